<?php

declare(strict_types=1);

namespace Cathedra\Core\Numeric;

/**
 * Least cost * x with rows * x <= limits and x >= 0, for costs that are not negative: the dual simplex method on a
 * dense table.
 */
final class DualSimplex
{
    private const ZERO = 1e-9;

    /** Cells of the table worked over in the time of one step of the budget. */
    private const CELLS_A_STEP = 2;

    /** Steps after which rounding, not the problem, keeps it going. */
    public const MAX_STEPS = 2000;

    /**
     * @param  list<float>  $costs  not negative
     * @param  list<array{array<int, float>, float}>  $rows  coefficients by variable, and the limit
     * @param  list<int>  $names  of the variables, for the answer
     * @param  Budget|null  $budget  a step for every cell of the table that is worked over; null: none is counted
     * @param  int  $steps  after which the answer is "not known"
     */
    public static function least(
        array $costs,
        array $rows,
        array $names,
        ?Budget $budget = null,
        int $steps = self::MAX_STEPS,
    ): LinearAnswer {
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
        for ($step = 0; $step < $steps; $step++) {
            $budget?->spend(1 + intdiv($m * ($n + $m), self::CELLS_A_STEP));
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

                return LinearAnswer::solved($cost, $uses, array_slice($reduced, $n));
            }
            $enter = null;
            $ratio = INF;
            foreach ($table[$leave] as $c => $value) {
                if ($value < -self::ZERO && -$reduced[$c] / $value < $ratio - self::ZERO) {
                    [$enter, $ratio] = [$c, -$reduced[$c] / $value];
                }
            }
            if ($enter === null) {
                return LinearAnswer::impossible();
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

        return LinearAnswer::unknown();
    }
}
