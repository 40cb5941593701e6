<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** Is it square? By its two diagonals. */
final readonly class SquareCheck
{
    /**
     * With four equal sides s that are out by the angle e, the diagonals are 2 s sin(45 + e/2) and 2 s cos(45 + e/2)
     * long; they differ by about sqrt(2) s sin(e): 150 mm and 1 degree give 3.7 mm.
     *
     * @param  float  $tolerance  degrees a model forgives
     * @return array{passes: bool, off_degrees: float, allowed_mm: float, trim_mm: float} trim: what to take off on the
     *     longer diagonal, at both its ends together
     */
    public static function of(float $side, float $first, float $second, float $tolerance): array
    {
        $difference = abs($first - $second);
        $off = rad2deg(asin(min(1.0, $difference / (M_SQRT2 * $side))));

        return [
            'passes' => $off <= $tolerance + 1e-9,
            'off_degrees' => $off,
            'allowed_mm' => M_SQRT2 * $side * sin(deg2rad($tolerance)),
            'trim_mm' => $difference,
        ];
    }
}
