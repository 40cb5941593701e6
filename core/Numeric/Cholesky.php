<?php

declare(strict_types=1);

namespace Cathedra\Core\Numeric;

/** Solves the damped normal equations by Cholesky's factors, dense. */
final readonly class Cholesky
{
    /** Keeps what nothing pulls at from being anywhere. */
    private const FLOOR = 1e-12;

    /**
     * @param  array<int, array<int, float>>  $matrix  lower triangle by rows, symmetric, not negative
     * @param  array<int, float>  $right
     * @param  float  $lambda  damping, as a share of the diagonal
     * @return array<int, float>|null  x of (A + lambda diag A + floor) x = right; null when it is not positive
     */
    public static function solve(array $matrix, array $right, float $lambda): ?array
    {
        $n = count($right);
        $factor = [];
        for ($i = 0; $i < $n; $i++) {
            $row = $matrix[$i];
            $row[$i] += $lambda * $row[$i] + self::FLOOR;
            for ($j = 0; $j < $i; $j++) {
                $s = $row[$j];
                if ($s !== 0.0 || $j > 0) {
                    $other = $factor[$j];
                    for ($k = 0; $k < $j; $k++) {
                        $s -= $row[$k] * $other[$k];
                    }
                    $row[$j] = $s / $other[$j];
                }
            }
            $s = $row[$i];
            for ($k = 0; $k < $i; $k++) {
                $s -= $row[$k] * $row[$k];
            }
            if ($s <= 0) {
                return null;
            }
            $row[$i] = sqrt($s);
            $factor[] = $row;
        }
        $x = [];
        for ($i = 0; $i < $n; $i++) {
            $s = $right[$i];
            $row = $factor[$i];
            for ($k = 0; $k < $i; $k++) {
                $s -= $row[$k] * $x[$k];
            }
            $x[$i] = $s / $row[$i];
        }
        for ($i = $n - 1; $i >= 0; $i--) {
            $x[$i] /= $factor[$i][$i];
            $row = $factor[$i];
            for ($k = 0; $k < $i; $k++) {
                $x[$k] -= $row[$k] * $x[$i];
            }
        }

        return $x;
    }
}
