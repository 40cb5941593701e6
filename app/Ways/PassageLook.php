<?php

declare(strict_types=1);

namespace App\Ways;

use App\Shelf\ModelData;
use App\Shelf\StepData;

/** What tells the ways of a passage apart: how many steps, which are hard, and one picture each. */
final readonly class PassageLook
{
    /**
     * @param  bool  $alike  whether the finished models look the same
     * @param  array<string, array{steps: int, hard: list<string>, picture: array<string, mixed>}>  $options
     */
    private function __construct(public bool $alike, public array $options)
    {
    }

    /** @param  array<string, ModelData>  $models  the model by each option */
    public static function of(string $name, array $models): self
    {
        $passages = array_map(
            static fn (ModelData $model): array => array_column($model->passages, null, 'name')[$name],
            $models,
        );
        $pictures = self::pictures($models, $passages);
        $options = [];
        foreach ($models as $key => $model) {
            $steps = self::steps($model, $passages[$key]['steps']);
            $hard = array_filter($steps, static fn (StepData $step): bool => $step->hard);
            $options[$key] = [
                'steps' => count($steps),
                'hard' => array_values(array_map(static fn (StepData $step): string => $step->name, $hard)),
                'picture' => $pictures[$key],
            ];
        }
        $ends = array_map(static fn (ModelData $model): array => $model->summary->picture, $models);

        return new self(in_array(true, array_column($passages, 'alike'), true) || self::same($ends), $options);
    }

    /**
     * The end of each; where the ends look alike the hardest moment of each that no other has, and of a choice what its
     * ways begin with, or what follows the first of its steps, its own or a later one; else the first picture in which
     * they differ at all, such as the range of a length that is chosen by eye.
     *
     * @param  array<string, ModelData>  $models
     * @param  array<string, array{alike: bool, first: int, last: int, steps: list<int>}>  $passages
     * @return array<string, array<string, mixed>>
     */
    private static function pictures(array $models, array $passages): array
    {
        $by = static fn (callable $picture): array => array_map($picture, $models, $passages);
        $keys = array_keys($models);
        if (in_array(true, array_column($passages, 'alike'), true)) {
            $steps = $pictures = [];
            foreach ($models as $key => $model) {
                $steps[$key] = self::steps($model, $passages[$key]['steps']);
            }
            foreach ($steps as $key => $own) {
                $pictures[] = self::moment($own, array_merge(...array_values(array_diff_key($steps, [$key => true]))));
            }
        } else {
            $pictures = $by(static fn (ModelData $m, array $r): array => self::end($m, $r['last']));
            if (self::same($pictures)) {
                $pictures = $by(static fn (ModelData $m, array $r): array => self::start($m, $r['first']));
            }
            if (self::same($pictures)) {
                $pictures = $by(
                    static fn (ModelData $m, array $r): array => self::start($m, ($r['steps'][0] ?? $r['last']) + 1),
                );
            }
            if (self::same($pictures)) {
                $pictures = self::firstThatDiffers($models) ?? $pictures;
            }
        }

        return array_combine($keys, $pictures);
    }

    /**
     * The first picture of a step that is not the same by each option.
     *
     * @param  array<string, ModelData>  $models
     * @return list<array<string, mixed>>|null
     */
    private static function firstThatDiffers(array $models): ?array
    {
        $fewest = min([PHP_INT_MAX, ...array_map(static fn (ModelData $model): int => count($model->steps), $models)]);
        for ($n = 1; $n <= $fewest; $n++) {
            $pictures = array_map(static fn (ModelData $m): array => self::start($m, $n), array_values($models));
            if (! self::same($pictures)) {
                return $pictures;
            }
        }

        return null;
    }

    /**
     * @param  list<int>  $numbers
     * @return list<StepData>
     */
    private static function steps(ModelData $model, array $numbers): array
    {
        return array_values(array_intersect_key(
            array_combine(range(1, count($model->steps)), $model->steps),
            array_flip($numbers),
        ));
    }

    /**
     * @param  list<StepData>  $steps
     * @param  list<StepData>  $others  of the other options
     * @return array<string, mixed>
     */
    private static function moment(array $steps, array $others): array
    {
        usort($steps, static fn (StepData $a, StepData $b): int => $b->level <=> $a->level);
        $seen = static fn (?array $picture): string => $picture === null ? '' : self::seen($picture);
        $before = array_map(static fn (StepData $step): string => $seen($step->before), $others);
        $halfway = array_map(static fn (StepData $step): string => $seen($step->halfway), $others);
        foreach ($steps as $step) {
            if (! in_array($seen($step->before), $before, true)) {
                return $step->halfway === null || in_array($seen($step->halfway), $halfway, true)
                    ? $step->before
                    : $step->halfway;
            }
        }

        return $steps[0]->halfway ?? $steps[0]->before;
    }

    /**
     * An option without steps leaves the paper as the step before it did, or as it lay at first.
     *
     * @return array<string, mixed>
     */
    private static function end(ModelData $model, int $last): array
    {
        return ($model->steps[$last - 1] ?? null)->after ?? $model->steps[0]->before;
    }

    /**
     * The first step that is taught when a way was chosen, whether it is the way's own or not.
     *
     * @return array<string, mixed>
     */
    private static function start(ModelData $model, int $first): array
    {
        return $model->steps[min($first, count($model->steps)) - 1]->before;
    }

    /** @param  array<array<string, mixed>>  $pictures */
    private static function same(array $pictures): bool
    {
        return count(array_unique(array_map(self::seen(...), $pictures))) === 1;
    }

    /**
     * What there is to see of a picture, whatever the order in which it is drawn: its styles and their points.
     *
     * @param  array<string, mixed>  $picture
     */
    private static function seen(array $picture): string
    {
        $seen = array_map(static function (array $path): string {
            preg_match_all('/[-0-9.]+ [-0-9.]+/', $path['path'] ?? '', $points);
            sort($points[0]);

            return ($path['style'] ?? '').implode(' ', array_unique($points[0]));
        }, $picture['marks'] ?? []);
        sort($seen);

        return implode("\n", $seen);
    }
}
