<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Numeric\Knapsack;

/**
 * Good ways to cut a sheet, where all of them would be too many to list: rows across the sheet (or along it), each as
 * high as its largest squares and filled with those and smaller ones. The best of them for given prices of squares is
 * found by two knapsacks, first along a row, then over the rows (P. C. Gilmore and R. E. Gomory, "Multistage cutting
 * stock problems of two and more dimensions", Operations Research 13, 1965). Lengths are counted in small steps,
 * squares rounded up to them.
 */
final readonly class StripPatterns
{
    /**
     * Steps a length is counted in: whole parts of all squares where there are such, else 0.1 mm up to A3, coarser for
     * longer sheets.
     */
    private const STEPS = 4200;

    private const FINEST = 0.1;

    private const SLACK = 1e-6;

    /**
     * The pattern whose squares are worth most.
     *
     * @param  list<float>  $sides  mm, largest first
     * @param  list<float>  $prices  what a square of each size is worth, not negative
     * @param  array<int, int>  $caps  squares wanted of each; more are worth nothing
     * @return array{counts: array<int, int>, along: bool, rows: list<array{size: int, times: int, counts: array<int,
     *     int>}>} counts up to the caps
     */
    public static function dearest(
        float $width,
        float $height,
        array $sides,
        array $prices,
        array $caps,
        float $kerf,
        float $trim,
        ?Budget $budget = null,
    ): array {
        $best = ['counts' => array_fill(0, count($sides), 0), 'along' => false, 'rows' => []];
        $most = 0.0;
        foreach ([false, true] as $along) {
            [$w, $h] = $along ? [$height - 2 * $trim, $width - 2 * $trim] : [$width - 2 * $trim, $height - 2 * $trim];
            if (min($w, $h) <= 0) {
                continue;
            }
            $rows = self::rows(
                width: $w,
                height: $h,
                sides: $sides,
                prices: $prices,
                caps: $caps,
                kerf: $kerf,
                budget: $budget,
            );
            $counts = array_fill(0, count($sides), 0);
            $value = 0.0;
            foreach ($rows as ['times' => $times, 'counts' => $of]) {
                foreach ($of as $i => $n) {
                    $counts[$i] = min($caps[$i], $counts[$i] + $times * $n);
                }
            }
            foreach ($counts as $i => $n) {
                $value += $n * $prices[$i];
            }
            if ($value > $most) {
                [$best, $most] = [['counts' => $counts, 'along' => $along, 'rows' => $rows], $value];
            }
        }

        return $best;
    }

    /**
     * Where the squares of a pattern lie, from the sheet's own corner; never more of a size than is counted.
     *
     * @param  array{counts: array<int, int>, along: bool, rows: list<array{size: int, times: int, counts: array<int,
     *     int>}>}  $pattern
     * @param  list<float>  $sides
     * @return list<array{x: float, y: float, size: int}>
     */
    public static function place(array $pattern, array $sides, float $kerf, float $trim): array
    {
        $squares = [];
        $left = $pattern['counts'];
        $y = $trim;
        foreach ($pattern['rows'] as ['size' => $size, 'times' => $times, 'counts' => $counts]) {
            for ($n = 0; $n < $times; $n++) {
                $x = $trim;
                foreach ($counts as $i => $count) {
                    for ($k = 0; $k < $count; $k++) {
                        if ($left[$i]-- > 0) {
                            $squares[] = $pattern['along']
                                ? ['x' => round($y, 3), 'y' => round($x, 3), 'size' => $i]
                                : ['x' => round($x, 3), 'y' => round($y, 3), 'size' => $i];
                        }
                        $x += $sides[$i] + $kerf;
                    }
                }
                $y += $sides[$size] + $kerf;
            }
        }

        return $squares;
    }

    /**
     * @param  list<float>  $sides
     * @param  list<float>  $prices
     * @param  array<int, int>  $caps
     * @return list<array{size: int, times: int, counts: array<int, int>}> largest rows first
     */
    private static function rows(
        float $width,
        float $height,
        array $sides,
        array $prices,
        array $caps,
        float $kerf,
        ?Budget $budget,
    ): array {
        $rowOf = [];
        $rowValue = [];
        $step = max(self::FINEST, self::common($sides, $kerf), max($width, $height) / self::STEPS);
        $long = array_map(static fn (float $side): int => (int) ceil(($side + $kerf) / $step - self::SLACK), $sides);
        $room = static fn (float $length): int => (int) floor(($length + $kerf) / $step + self::SLACK);
        $along = new Knapsack($room($width), $budget);
        for ($i = count($sides) - 1; $i >= 0; $i--) {
            // a row may hold its own size and all smaller ones
            if ($caps[$i] <= 0 || $prices[$i] <= 0 || $sides[$i] > min($width, $height) + self::SLACK) {
                continue;
            }
            $along->offer($i, $long[$i], $prices[$i], $caps[$i]);
            $counts = array_fill(0, count($sides), 0);
            $value = 0.0;
            foreach ($along->best() as $k => $n) {
                $counts[$k] = $n;
                $value += $n * $prices[$k];
            }
            $rowOf[$i] = $counts;
            $rowValue[$i] = $value;
        }
        $over = new Knapsack($room($height), $budget);
        foreach ($rowOf as $i => $counts) {
            $over->offer($i, $long[$i], $rowValue[$i], (int) ceil($caps[$i] / max(1, $counts[$i])));
        }
        $rows = [];
        foreach ($over->best() as $i => $times) {
            $rows[$i] = ['size' => $i, 'times' => $times, 'counts' => $rowOf[$i]];
        }
        ksort($rows);

        return array_values($rows);
    }

    /**
     * mm: the largest length of which all squares with their kerf are whole multiples, to 0.001 mm
     *
     * @param  list<float>  $sides
     */
    private static function common(array $sides, float $kerf): float
    {
        $common = 0;
        foreach ($sides as $side) {
            for ($other = (int) round(($side + $kerf) * 1000); $other !== 0;) {
                [$common, $other] = [$other, $common % $other];
            }
        }

        return $common / 1000;
    }
}
