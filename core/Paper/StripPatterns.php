<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * Some good ways to cut a sheet, where all of them would be too many: rows across the sheet (or along it), each as high as
 * its largest squares, filled with one size and the rest of the row with smaller ones.
 */
final readonly class StripPatterns
{
    private const SLACK = 1e-6;

    /** Rows counted of each size; more patterns than this makes are not needed for a plan that is only meant to be good. */
    private const MOST_ROWS = 40;

    /**
     * @param  list<float>  $sides  mm, largest first
     * @param  array<int, int>  $caps
     * @return list<array{counts: array<int, int>, squares: list<array{x: float, y: float, size: int}>}>
     */
    public static function of(float $width, float $height, array $sides, array $caps, float $kerf, float $trim): array
    {
        $patterns = [];
        foreach ([false, true] as $along) {
            [$w, $h] = $along ? [$height - 2 * $trim, $width - 2 * $trim] : [$width - 2 * $trim, $height - 2 * $trim];
            foreach (self::rows($h, $sides, $kerf) as $rows) {
                $squares = [];
                $counts = array_fill(0, count($sides), 0);
                $y = $trim;
                foreach ($rows as $size) {
                    $x = $trim;
                    foreach (self::filled($w, $size, $sides, $kerf) as $i) {
                        if ($counts[$i] < $caps[$i]) {
                            $counts[$i]++;
                            $squares[] = $along ? ['x' => round($y, 3), 'y' => round($x, 3), 'size' => $i] : ['x' => round($x, 3), 'y' => round($y, 3), 'size' => $i];
                        }
                        $x += $sides[$i] + $kerf;
                    }
                    $y += $sides[$size] + $kerf;
                }
                if ($squares !== []) {
                    $patterns[implode(',', $counts)] ??= ['counts' => $counts, 'squares' => $squares];
                }
            }
        }

        return array_values($patterns);
    }

    /**
     * Every number of rows of each size that fits, largest rows first.
     *
     * @param  list<float>  $sides
     * @return list<list<int>> sizes of the rows
     */
    private static function rows(float $height, array $sides, float $kerf, int $from = 0): array
    {
        if ($from === count($sides)) {
            return [[]];
        }
        $found = [];
        for ($n = 0; $n <= self::MOST_ROWS && $n * ($sides[$from] + $kerf) - $kerf <= $height + self::SLACK; $n++) {
            foreach (self::rows($height - $n * ($sides[$from] + $kerf), $sides, $kerf, $from + 1) as $rest) {
                $found[] = [...array_fill(0, $n, $from), ...$rest];
            }
            if (count($found) > 1500) {
                break;
            }
        }

        return $found;
    }

    /**
     * @param  list<float>  $sides
     * @return list<int> sizes along the row
     */
    private static function filled(float $width, int $size, array $sides, float $kerf): array
    {
        $row = [];
        for ($i = $size; $i < count($sides); $i++) {
            while ($sides[$i] <= $width + self::SLACK) {
                $row[] = $i;
                $width -= $sides[$i] + $kerf;
            }
        }

        return $row;
    }
}
