<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Geometry\Box;

/**
 * Edges of flaps that an eye finds on a model of one colour: two states painted on one grid, and how much of the edges
 * within the outline of one has none of the other beside it. The outline itself is a matter of Patches.
 */
final readonly class Edges
{
    /** Cells of 3 mm: 3 cm of an edge that is not there on the other are seen (estimate, to be calibrated). */
    private const SEEN = 10;

    public static function areSeen(FoldedState $one, FoldedState $other): bool
    {
        $cell = min($one->sheet->width, $one->sheet->height) / Patches::CELLS;
        $box = Patches::roundBoth($one, $other);
        [$mine, $yours] = [self::drawn($one, $box, $cell), self::drawn($other, $box, $cell)];

        return max(self::alone($mine, $yours), self::alone($yours, $mine)) >= self::SEEN;
    }

    /**
     * @param  array<int, true>  $edges
     * @param  array<int, true>  $others
     * @return int cells of the first that have none of the others in or beside them
     */
    private static function alone(array $edges, array $others): int
    {
        $alone = 0;
        foreach ($edges as $key => $_) {
            foreach ([-1, 0, 1] as $up) {
                foreach ([-1, 0, 1] as $along) {
                    if (isset($others[$key + $up * Patches::ROW + $along])) {
                        continue 3;
                    }
                }
            }
            $alone++;
        }

        return $alone;
    }

    /** @return array<int, true> cells where the paper on top ends and other paper is seen beside it */
    private static function drawn(FoldedState $state, Box $box, float $cell): array
    {
        $sheet = self::sheets($state);
        $top = Patches::topmost($state, $box, $cell);
        $drawn = [];
        foreach ($top as $key => $face) {
            foreach ([1, Patches::ROW] as $next) {
                $beside = $top[$key + $next] ?? null;
                if ($beside !== null && $sheet[$beside] !== $sheet[$face]) {
                    $drawn[$key] = true;
                }
            }
        }

        return $drawn;
    }

    /** @return array<int, int> by face: which faces lie in one plane, joined by creases that are open */
    private static function sheets(FoldedState $state): array
    {
        $open = static fn (Edge $edge): bool => $edge->assignment === Assignment::Flat;
        $of = [];
        foreach (FaceGraph::of($state->pattern, $open)->parts() as $i => $faces) {
            foreach ($faces as $face) {
                $of[$face] = $i;
            }
        }

        return $of;
    }
}
