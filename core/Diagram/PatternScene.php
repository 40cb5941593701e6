<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;

/** The crease pattern: the flat sheet seen from its front, mountains and valleys by line style, open creases thin. */
final readonly class PatternScene
{
    public static function of(FoldedState $state): Scene
    {
        $pair = static fn (Point $p): array => [$p->x, $p->y];
        $items = [];
        foreach (array_keys($state->pattern->faces) as $face) {
            $items[] = [
                'type' => 'face',
                'face' => [
                    'points' => array_map($pair, $state->pattern->polygon($face)->points),
                    'side' => 'back',
                    'moving' => false,
                    'depth' => 0,
                ],
            ];
        }
        $folds = [];
        foreach ($state->pattern->edges as $edge) {
            $ends = [
                'from' => $pair($state->pattern->vertices[$edge->a]),
                'to' => $pair($state->pattern->vertices[$edge->b]),
            ];
            if ($edge->assignment->isFolded()) {
                $folds[] = ['kind' => $edge->assignment->value === 'V' ? 'valley' : 'mountain'] + $ends;
            } elseif (! $edge->isHidden()) {
                $items[] = [
                    'type' => 'line',
                    'line' => ['kind' => $edge->assignment->isRaw() ? 'raw' : 'crease'] + $ends,
                ];
            }
        }
        $margin = 0.04 * max($state->sheet->width, $state->sheet->height);

        return new Scene(
            frame: [-$margin, -$margin, $state->sheet->width + 2 * $margin, $state->sheet->height + 2 * $margin],
            items: $items,
            folds: $folds,
            arrows: [],
            dots: [],
            signs: [],
        );
    }
}
