<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;

/**
 * The folded plane cut into convex cells over each of which the same layers lie, with their stack from the top down.
 * The layer order is a relation on pairs; only within a cell is it a list.
 */
final readonly class Stacks
{
    /** @param  list<array{polygon: Polygon, faces: list<int>}>  $cells faces from the top down */
    private function __construct(public array $cells)
    {
    }

    public static function of(FoldedState $state): self
    {
        $pieces = [self::frame($state)];
        foreach (self::segments($state) as $segment) {
            $pieces = self::cut($pieces, $segment, $state->tolerance->meeting);
        }
        $cells = [];
        foreach ($pieces as $piece) {
            if ($piece->area() <= $state->tolerance->area) {
                continue;
            }
            $faces = self::facesAt($state, $piece->centroid());
            if ($faces !== []) {
                $cells[] = ['polygon' => $piece, 'faces' => $faces];
            }
        }

        return new self($cells);
    }

    /** @return list<int> the faces over a point of the folded plane, from the top down */
    public static function facesAt(FoldedState $state, Point $p): array
    {
        $faces = [];
        foreach ($state->polygons as $face => $polygon) {
            if ($polygon->contains($p)) {
                $faces[] = $face;
            }
        }
        usort($faces, static fn (int $i, int $j): int => $state->order->above($i, $j) === true ? -1 : 1);

        return $faces;
    }

    /**
     * Every edge of every face in the folded plane, each place once.
     *
     * @return list<Segment>
     */
    public static function segments(FoldedState $state): array
    {
        $grid = $state->tolerance->sight;
        $segments = [];
        foreach ($state->pattern->edges as $edge) {
            $segment = $state->segment($edge);
            $segments[$segment->name($grid)] ??= $segment;
        }

        return array_values($segments);
    }

    public function mostLayers(): int
    {
        return $this->cells === []
            ? 0
            : max(array_map(static fn (array $cell): int => count($cell['faces']), $this->cells));
    }

    private static function frame(FoldedState $state): Polygon
    {
        $box = $state->box();
        $m = $state->sheet->diagonal() * 0.01;

        return Polygon::of([
            new Point($box->left - $m, $box->bottom - $m),
            new Point($box->right + $m, $box->bottom - $m),
            new Point($box->right + $m, $box->top + $m),
            new Point($box->left - $m, $box->top + $m),
        ]);
    }

    /**
     * @param  list<Polygon>  $pieces
     * @return list<Polygon>
     */
    private static function cut(array $pieces, Segment $segment, float $margin): array
    {
        $line = $segment->line();
        if ($line === null) {
            return $pieces;
        }
        $out = [];
        foreach ($pieces as $piece) {
            if ($piece->spanInside($segment->a, $segment->b, $margin) === null) {
                $out[] = $piece;

                continue;
            }
            foreach ([$line, $line->reversed()] as $half) {
                $part = $piece->clippedBy($half);
                if (! $part->isEmpty()) {
                    $out[] = $part;
                }
            }
        }

        return $out;
    }
}
