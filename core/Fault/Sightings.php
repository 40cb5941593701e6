<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Rules\FaultTable;

/**
 * What leads saw go wrong, against what the table expects: a kind that is seen more often than its weight says counts
 * for more. With n sightings in all and n_k of a kind whose share of all weights is p_k, its factor is
 * (n_k + m p_k) / ((n + m) p_k), where m is the number of sightings the weights stand for; at most doubled or halved.
 */
final readonly class Sightings
{
    private const MOST = 2.0;

    /**
     * @param  array<string, int>  $counts  sightings by kind of fault
     * @return array<string, float> factor by kind; 1 where nothing was seen yet
     */
    public static function factors(FaultTable $table, array $counts): array
    {
        $all = array_sum(array_intersect_key($counts, $table->weights));
        $weights = array_sum($table->weights);
        $factors = [];
        foreach ($table->weights as $kind => $weight) {
            $share = $weight / $weights;
            $factor = $share <= 0.0 ? 1.0 : (($counts[$kind] ?? 0) + $table->prior * $share) /
                (($all + $table->prior) * $share);
            $factors[$kind] = min(self::MOST, max(1 / self::MOST, $factor));
        }

        return $factors;
    }
}
