<?php

declare(strict_types=1);

namespace Cathedra\Core\Progress;

use Cathedra\Core\Rules\Bounds;

/**
 * Models for a row of lessons, each chosen for what the lessons before it have taught: few folds that are new, not much
 * harder than what was made, and folds that were not made for long made again before they are forgotten.
 *
 * @phpstan-type Model array{slug: string, kinds: list<string>, difficulty: int, age_from: int, minutes: int}
 * @phpstan-type Chosen array{slug: string, fresh: list<string>, again: list<string>, faded: list<string>}
 */
final class Term
{
    /** Lessons in a row at most. */
    public const MOST = Bounds::MAX_LESSONS;

    /** Lessons without a fold after which it is fading (estimate, to be calibrated). */
    public const FADES_AFTER = 4;

    /** Difficulty beyond the hardest model they have made (estimate, to be calibrated). */
    private const STEP_UP = 1;

    /**
     * @param  list<Model>  $shelf  minutes: what a lesson with it takes this group
     * @param  list<string>  $known  kinds of fold that at least half of the group have made
     * @param  list<string>  $finished  models that at least half have finished
     * @param  string  $band  age band of the group
     * @param  int  $slot  minutes of a lesson
     * @param  int  $lessons  how many
     * @param  array<int, string>  $fixed  model by place of the lesson, from 0, where the lead has chosen
     * @return list<Chosen|null> what is chosen, which of its folds are new, made again, and made again after long; null
     *     where nothing is left that fits
     */
    public static function of(
        array $shelf,
        array $known,
        array $finished,
        string $band,
        int $slot,
        int $lessons,
        array $fixed = [],
    ): array {
        $models = array_column($shelf, null, 'slug');
        $oldest = NextModels::OLDEST[$band] ?? 99;
        $hard = static fn (string $slug): int => $models[$slug]['difficulty'] ?? 1;
        $reached = max([1, ...array_map($hard, $finished)]);
        $last = array_fill_keys($known, -1); // the lesson in which a fold was made last
        $term = [];
        for ($n = 0; $n < $lessons; $n++) {
            $faded = array_keys(array_filter($last, static fn (int $at): bool => $n - $at > self::FADES_AFTER));
            $taken = $models[$fixed[$n] ?? ''] ?? self::best(
                array_filter($shelf, static fn (array $model): bool => ! in_array($model['slug'], $finished, true)
                    && ! in_array($model['slug'], $fixed, true)
                    && $model['age_from'] <= $oldest
                    && $model['minutes'] <= $slot
                    && $model['difficulty'] <= $reached + self::STEP_UP),
                array_keys($last),
                $faded,
                $reached,
            );
            if ($taken === null) {
                $term[] = null;

                continue;
            }
            $term[] = [
                'slug' => $taken['slug'],
                'fresh' => array_values(array_diff($taken['kinds'], array_keys($last))),
                'again' => array_values(array_intersect($taken['kinds'], array_keys($last))),
                'faded' => array_values(array_intersect($taken['kinds'], $faded)),
            ];
            $finished[] = $taken['slug'];
            $reached = max($reached, $taken['difficulty']);
            $last = array_fill_keys($taken['kinds'], $n) + $last;
        }

        return $term;
    }

    /**
     * One new fold is best, then what brings back most that fades, then what is as hard as what they have made.
     *
     * @param  array<array-key, Model>  $models
     * @param  list<string>  $known
     * @param  list<string>  $faded
     * @return Model|null
     */
    private static function best(array $models, array $known, array $faded, int $reached): ?array
    {
        $rank = static function (array $model) use ($known, $faded, $reached): array {
            $fresh = count(array_diff($model['kinds'], $known));

            return [
                abs($fresh - 1),
                -count(array_intersect($model['kinds'], $faded)),
                $fresh,
                abs($model['difficulty'] - $reached),
                $model['slug'],
            ];
        };
        usort($models, static fn (array $a, array $b): int => $rank($a) <=> $rank($b));

        return $models[0] ?? null;
    }
}
