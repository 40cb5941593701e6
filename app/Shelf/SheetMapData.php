<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\Api\JsonShape;
use Cathedra\Core\Decoration\SeenPart;
use Cathedra\Core\Decoration\SheetMap;
use Cathedra\Core\Decoration\View;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Geometry\Point;

/** Where the flat sheet ends up, in mm: for drawing on it before it is folded. */
#[
    JsonShape('SheetMapData', [
        'width' => 'number',
        'height' => 'number',
        'parts' => ['[]' => [
            'view' => ['front', 'behind'],
            'side' => ['front', 'back'],
            'sheet' => 'number[][]',
            'model' => 'number[][]',
            'up' => 'number[]',
            'group' => 'integer',
        ]],
        'outlines' => ['[]' => [
            'view' => ['front', 'behind'],
            'side' => ['front', 'back'],
            'from' => 'number[]',
            'to' => 'number[]',
            'model_from' => 'number[]',
            'model_to' => 'number[]',
        ]],
        'seen' => ['[]' => ['view' => ['front', 'behind'], 'side' => ['front', 'back'], 'share' => 'number']],
    ], [
        'parts' => 'convex pieces that are seen; sheet and model: its corners, in the same order, on the flat sheet '
            .'seen from its front, and on the model as it is seen in that view (y up)',
        'outlines' => 'round what hangs together, on the sheet and on the model',
        'seen' => 'how much of a side is seen in a view, as a share of the sheet',
    ]),
]
final readonly class SheetMapData
{
    /**
     * @param  list<array<string, mixed>>  $parts
     * @param  list<array<string, mixed>>  $outlines
     * @param  list<array{view: string, side: string, share: float}>  $seen
     */
    private function __construct(
        public float $width,
        public float $height,
        public array $parts,
        public array $outlines,
        public array $seen,
    ) {
    }

    public static function of(FoldedState $end): self
    {
        $map = SheetMap::of($end);
        $pair = static fn (Point $p): array => [round($p->x, 3), round($p->y, 3)];
        $seen = [];
        foreach (View::cases() as $view) {
            foreach (Side::cases() as $side) {
                $seen[] = [
                    'view' => $view->value,
                    'side' => $side->value,
                    'share' => round($map->area($view, $side) / $end->sheet->area(), 4),
                ];
            }
        }

        return new self(
            width: $end->sheet->width,
            height: $end->sheet->height,
            parts: array_map(static fn (SeenPart $part): array => [
                'view' => $part->view->value,
                'side' => $part->side->value,
                'sheet' => array_map($pair, $part->onSheet->points),
                'model' => array_map(
                    static fn (Point $p): array => $pair($part->place->of($p)),
                    $part->onSheet->points,
                ),
                'up' => [round($part->up->x, 4), round($part->up->y, 4)],
                'group' => $part->group,
            ], $map->parts),
            outlines: array_map(static fn (array $line): array => [
                'view' => $line['view']->value,
                'side' => $line['side']->value,
                'from' => $pair($line['at']->a),
                'to' => $pair($line['at']->b),
                'model_from' => $pair($line['place']->of($line['at']->a)),
                'model_to' => $pair($line['place']->of($line['at']->b)),
            ], $map->outlines()),
            seen: $seen,
        );
    }
}
