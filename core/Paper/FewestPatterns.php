<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/** People cut in stacks: of plans with the same sheets the one with the fewest different patterns; one and two are tried in full. */
final readonly class FewestPatterns
{
    /** Pairs tried; more patterns than this makes are left as they are. */
    private const MOST_PAIRS = 60_000;

    /**
     * @param  list<array{counts: array<int, int>, group: int, cost: float}>  $columns
     * @param  array<int, int>  $need
     * @param  array<int, int>  $uses  by column
     * @return array<int, int>
     */
    public static function of(array $columns, array $need, array $uses): array
    {
        $different = count(array_filter($uses));
        if ($different <= 1) {
            return $uses;
        }
        $sheets = [];
        foreach ($uses as $c => $times) {
            $sheets[$columns[$c]['group']] = ($sheets[$columns[$c]['group']] ?? 0) + $times;
        }
        $sheets = array_filter($sheets);
        $of = static fn (int $group): array => array_keys(array_filter($columns, static fn (array $column): bool => $column['group'] === $group));
        $none = array_fill(0, count($columns), 0);
        if (count($sheets) === 1) {
            [$group, $n] = [array_key_first($sheets), (int) reset($sheets)];
            $patterns = $of($group);
            foreach ($patterns as $p) {
                if (self::covers($columns, [[$p, $n]], $need)) {
                    return self::sorted([$p => $n] + $none);
                }
            }
            if ($different > 2 && count($patterns) ** 2 * $n <= 2 * self::MOST_PAIRS) {
                foreach ($patterns as $p) {
                    foreach ($patterns as $q) {
                        for ($k = 1; $p < $q && $k < $n; $k++) {
                            if (self::covers($columns, [[$p, $k], [$q, $n - $k]], $need)) {
                                return self::sorted([$p => $k, $q => $n - $k] + $none);
                            }
                        }
                    }
                }
            }
        } elseif (count($sheets) === 2 && $different > 2) {
            [$g, $h] = array_keys($sheets);
            foreach ($of($g) as $p) {
                foreach ($of($h) as $q) {
                    if (self::covers($columns, [[$p, $sheets[$g]], [$q, $sheets[$h]]], $need)) {
                        return self::sorted([$p => $sheets[$g], $q => $sheets[$h]] + $none);
                    }
                }
            }
        }

        return $uses;
    }

    /**
     * @param  list<array{counts: array<int, int>, group: int, cost: float}>  $columns
     * @param  list<array{int, int}>  $chosen  column and times
     * @param  array<int, int>  $need
     */
    private static function covers(array $columns, array $chosen, array $need): bool
    {
        foreach ($need as $i => $n) {
            foreach ($chosen as [$c, $times]) {
                $n -= $times * $columns[$c]['counts'][$i];
            }
            if ($n > 0) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<int, int>  $uses
     * @return list<int>
     */
    private static function sorted(array $uses): array
    {
        ksort($uses);

        return array_values($uses);
    }
}
