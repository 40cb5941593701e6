<?php

declare(strict_types=1);

namespace Cathedra\Core\Numeric;

/** The standard normal distribution. */
final readonly class Normal
{
    /**
     * The value below which a share of $p lies, 0 < $p < 1; P. J. Acklam's rational approximation, relative error under
     * 1.2e-9.
     */
    public static function quantile(float $p): float
    {
        if ($p <= 0 || $p >= 1) {
            throw new \LogicException('A quantile needs a share between 0 and 1.');
        }
        if ($p > 0.97575) {
            return -self::tail(1 - $p);
        }
        if ($p < 0.02425) {
            return self::tail($p);
        }
        $q = $p - 0.5;
        $r = $q * $q;

        return ((((((-39.69683028665376 * $r + 220.9460984245205) * $r - 275.9285104469687) * $r + 138.357751867269) *
            $r -
            30.66479806614716) *
            $r +
            2.506628277459239) *
            $q) /
            (((((-54.47609879822406 * $r + 161.5858368580409) * $r - 155.6989798598866) * $r + 66.80131188771972) * $r -
                13.28068155288572) *
                $r +
                1);
    }

    private static function tail(float $p): float
    {
        $q = sqrt(-2 * log($p));

        return (((((-0.007784894002430293 * $q - 0.3223964580411365) * $q - 2.400758277161838) * $q -
            2.549732539343734) *
            $q +
            4.374664141464968) *
            $q +
            2.938163982698783) /
            ((((0.007784695709041462 * $q + 0.3224671290700398) * $q + 2.445134137142996) * $q + 3.754408661907416) *
                $q +
                1);
    }
}
