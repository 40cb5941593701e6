<?php

declare(strict_types=1);

namespace Cathedra\Core\Progress;

/**
 * What a group could fold next: models that most have not finished, not much harder than what they have, with few folds
 * that are new to them. One new fold in a model is best: there is something to learn, and the rest carries it.
 */
final class NextModels
{
    /** Years of the oldest in a band; a model is for a band when it is advised from that age or younger. */
    public const OLDEST = ['young' => 6, 'junior' => 10];

    /** Difficulty beyond the hardest model they finished (estimate, to be calibrated). */
    private const STEP_UP = 1;

    /**
     * @param  list<array{slug: string, kinds: list<string>, difficulty: int, age_from: int}>  $shelf
     * @param  list<string>  $known  kinds of fold that at least half of the group have made
     * @param  list<string>  $finished  models that at least half have finished
     * @param  string  $band  age band of the group
     * @return list<array{slug: string, fresh: list<string>, again: list<string>}> the best first, at most $most; which
     *     of its folds are new to them, and which they make again
     */
    public static function of(array $shelf, array $known, array $finished, string $band, int $most = 3): array
    {
        $oldest = self::OLDEST[$band] ?? 99;
        $reached = max([1, ...array_column(
            array_filter($shelf, static fn (array $m): bool => in_array($m['slug'], $finished, true)),
            'difficulty',
        )]);
        $found = [];
        foreach ($shelf as $model) {
            if (
                in_array($model['slug'], $finished, true)
                || $model['age_from'] > $oldest
                || $model['difficulty'] > $reached + self::STEP_UP
            ) {
                continue;
            }
            $fresh = array_values(array_diff($model['kinds'], $known));
            $found[] = [
                'rank' => [abs(count($fresh) - 1), count($fresh), abs($model['difficulty'] - $reached), $model['slug']],
                'slug' => $model['slug'],
                'fresh' => $fresh,
                'again' => array_values(array_intersect($model['kinds'], $known)),
            ];
        }
        usort($found, static fn (array $a, array $b): int => $a['rank'] <=> $b['rank']);

        return array_map(
            static fn (array $one): array => [
                'slug' => $one['slug'], 'fresh' => $one['fresh'], 'again' => $one['again'],
            ],
            array_slice($found, 0, $most),
        );
    }
}
