<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** How many squares to have beyond one each, so that running out is unlikely. */
final readonly class Spares
{
    /**
     * The smallest k with P(Binomial(n, rate) > k) <= risk, at least one: every learner spoils a square with
     * probability $rate, independently.
     */
    public static function needed(int $learners, float $rate, float $risk): int
    {
        $term = (1 - $rate) ** $learners;
        $sum = $term;
        $k = 0;
        while ($sum < 1 - $risk && $k < $learners) {
            $term *= ($learners - $k) / ($k + 1) * $rate / (1 - $rate);
            $sum += $term;
            $k++;
        }

        return max(1, $k);
    }
}
