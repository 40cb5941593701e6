<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * Least cost * x with rows * x <= limits and x >= 0, for costs that are not negative: the dual simplex method on a
 * dense table.
 */
final class DualSimplex
{
    private const ZERO = 1e-9;

    /** Steps after which rounding, not the problem, keeps it going. */
    private const MAX_STEPS = 2000;

    /**
     * @param  list<float>  $costs  not negative
     * @param  list<array{array<int, float>, float}>  $rows  coefficients by variable, and the limit
     * @param  list<int>  $names  of the variables, for the answer
     * @return array{cost: float, uses: array<int, float>, prices: list<float>}|null null when no x meets all rows;
     *     prices: what one more of each row's limit would save, by row
     */
    public static function least(array $costs, array $rows, array $names): ?array
    {
        $n = count($costs);
        $m = count($rows);
        $table = [];
        $right = [];
        $basis = [];
        foreach ($rows as $r => [$row, $limit]) {
            $table[$r] = array_values($row);
            for ($s = 0; $s < $m; $s++) {
                $table[$r][$n + $s] = $s === $r ? 1.0 : 0.0;
            }
            $right[$r] = $limit;
            $basis[$r] = $n + $r;
        }
        $reduced = [...$costs, ...array_fill(0, $m, 0.0)];
        $cost = 0.0;
        for ($step = 0; $step < self::MAX_STEPS; $step++) {
            $leave = null;
            foreach ($right as $r => $value) {
                if ($value < -self::ZERO && ($leave === null || $value < $right[$leave])) {
                    $leave = $r;
                }
            }
            if ($leave === null) {
                $uses = [];
                foreach ($basis as $r => $variable) {
                    if ($variable < $n && $right[$r] > self::ZERO) {
                        $uses[$names[$variable]] = $right[$r];
                    }
                }

                return ['cost' => $cost, 'uses' => $uses, 'prices' => array_slice($reduced, $n)];
            }
            $enter = null;
            $ratio = INF;
            foreach ($table[$leave] as $c => $value) {
                if ($value < -self::ZERO && -$reduced[$c] / $value < $ratio - self::ZERO) {
                    [$enter, $ratio] = [$c, -$reduced[$c] / $value];
                }
            }
            if ($enter === null) {
                return null;
            }
            $pivot = $table[$leave][$enter];
            foreach ($table[$leave] as $c => $value) {
                $table[$leave][$c] = $value / $pivot;
            }
            $right[$leave] /= $pivot;
            foreach ($table as $r => $row) {
                if ($r !== $leave && abs($factor = $row[$enter]) > 0.0) {
                    foreach ($table[$leave] as $c => $value) {
                        if ($value !== 0.0) {
                            $table[$r][$c] -= $factor * $value;
                        }
                    }
                    $right[$r] -= $factor * $right[$leave];
                }
            }
            $factor = $reduced[$enter];
            foreach ($table[$leave] as $c => $value) {
                $reduced[$c] = max(0.0, $reduced[$c] - $factor * $value);
            }
            $cost += $factor * $right[$leave];
            $basis[$leave] = $enter;
        }

        // a bound of nothing is always true
        return ['cost' => 0.0, 'uses' => [$names[0] => 1.0], 'prices' => array_fill(0, $m, 0.0)];
    }
}
