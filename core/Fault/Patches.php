<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\LayerDepth;
use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Point;

/** Two states painted on one grid, and the largest patch in which they differ. */
final readonly class Patches
{
    /** Cells along the shorter side of the sheet: 3 mm of 150. */
    public const CELLS = 50;

    /** Cells of a row in the number of a cell. */
    public const ROW = 100_000;

    /** Cells of 3 mm that make 1 cm2, which an eye finds; a seam one cell wide is none. */
    private const SEEN = 11;

    public static function areSeen(FoldedState $one, FoldedState $other): bool
    {
        $cell = min($one->sheet->width, $one->sheet->height) / self::CELLS;
        $box = self::roundBoth($one, $other);
        [$mine, $yours] = [self::painted($one, $box, $cell), self::painted($other, $box, $cell)];
        $differs = [];
        foreach ($mine + $yours as $key => $_) {
            if (($mine[$key] ?? 0) !== ($yours[$key] ?? 0)) {
                $differs[$key] = true;
            }
        }

        return self::largest($differs) >= self::SEEN;
    }

    public static function roundBoth(FoldedState $one, FoldedState $other): Box
    {
        [$a, $b] = [$one->box(), $other->box()];

        return Box::around([
            new Point(min($a->left, $b->left), min($a->bottom, $b->bottom)),
            new Point(max($a->right, $b->right), max($a->top, $b->top)),
        ]);
    }

    /**
     * What is seen of one state, in cells about the middle of what it covers; odd numbers only, so that no cell lies on
     * an axis.
     *
     * @return array<string, array{int, int, int}> column, row, and 1 for the front of the sheet, 2 for its back
     */
    public static function about(FoldedState $state): array
    {
        $cell = min($state->sheet->width, $state->sheet->height) / self::CELLS;
        $box = $state->box();
        [$across, $up] = [(int) ceil($box->width() / $cell / 2), (int) ceil($box->height() / $cell / 2)];
        $middle = $box->centre();
        $around = Box::around([
            new Point($middle->x - $across * $cell, $middle->y - $up * $cell),
            new Point($middle->x + $across * $cell, $middle->y + $up * $cell),
        ]);
        $cells = [];
        foreach (self::painted($state, $around, $cell) as $key => $seen) {
            $i = 2 * ($key % self::ROW - $across) + 1;
            $j = 2 * (intdiv($key, self::ROW) - $up) + 1;
            $cells["$i $j"] = [$i, $j, $seen];
        }

        return $cells;
    }

    /**
     * The largest patch that hangs together, seams apart: a cell counts when its right and upper neighbours differ too.
     *
     * @param  array<int, true>  $cells
     */
    private static function largest(array $cells): int
    {
        $left = $cells;
        $most = 0;
        while ($left !== []) {
            $queue = [array_key_first($left)];
            unset($left[$queue[0]]);
            $solid = 0;
            for ($i = 0; $i < count($queue); $i++) {
                $k = $queue[$i];
                $solid += isset($cells[$k + 1], $cells[$k + self::ROW]) ? 1 : 0;
                foreach ([$k - 1, $k + 1, $k - self::ROW, $k + self::ROW] as $next) {
                    if (isset($left[$next])) {
                        unset($left[$next]);
                        $queue[] = $next;
                    }
                }
            }
            $most = max($most, $solid);
        }

        return $most;
    }

    /** @return array<int, int> by cell: 1 the front of the sheet, 2 its back; cells without paper are left out */
    private static function painted(FoldedState $state, Box $box, float $cell): array
    {
        return array_map(
            static fn (int $face): int => $state->frontUp[$face] ? 1 : 2,
            self::topmost($state, $box, $cell),
        );
    }

    /**
     * @param  float  $cell  mm
     * @return array<int, int> the face on top by cell: row * ROW + column from the box's bottom left
     */
    public static function topmost(FoldedState $state, Box $box, float $cell): array
    {
        $depth = LayerDepth::of($state);
        arsort($depth);
        $grid = [];
        foreach (array_keys($depth) as $face) {
            $polygon = $state->polygons[$face];
            $own = $polygon->box();
            $to = (int) ceil(($own->right - $box->left) / $cell);
            $top = (int) ceil(($own->top - $box->bottom) / $cell);
            for ($i = (int) floor(($own->left - $box->left) / $cell); $i < $to; $i++) {
                for ($j = (int) floor(($own->bottom - $box->bottom) / $cell); $j < $top; $j++) {
                    $p = new Point($box->left + ($i + 0.5) * $cell, $box->bottom + ($j + 0.5) * $cell);
                    if ($polygon->contains($p)) {
                        $grid[$j * self::ROW + $i] = $face;
                    }
                }
            }
        }

        return $grid;
    }
}
