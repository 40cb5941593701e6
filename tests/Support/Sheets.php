<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Rehearsal\Forecast;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\Timeline;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Rules\TeachingRules;

/**
 * Lessons with times that can be summed in the head: each fold takes 40 s and 10 to show, 60 s to arrive, 30 to hand
 * out, 20 a checkpoint, 25 to the next model, 200 to decorate, 50 to clear up; no spread, nobody gets stuck.
 */
final class Sheets
{
    public const LIBRARY = __DIR__.'/../../library';

    /** @param  array<string, mixed>  $with  other values of base-times.yaml */
    public static function times(array $with = []): BaseTimes
    {
        $fold = ['hands' => 1, 'factor' => 1, 'weight' => 1];

        return BaseTimes::fromArray($with + [
            'age_factor' => [
                'adult' => ['label' => 'adults', 'factor' => 1.0],
                'junior' => ['label' => 'juniors', 'factor' => 1.6],
                'young' => ['label' => 'young', 'factor' => 2.5],
            ],
            'layers_factor' => 0.1,
            'slowest_spread' => 0.0,
            'own_spread' => 0.0,
            'miss_factor' => 2,
            'repeat_factor' => 0.7,
            'repeat_show' => 0.5,
            'also_factor' => 1.8,
            'known_factor' => 0.8,
            'known_stuck' => 0.5,
            'small_factor' => 1.25,
            'small_mm' => 20,
            'hard_paper_factor' => 1.2,
            'small_group' => 6,
            'prior_marks' => 2,
            'group_spread' => 0.2,
            'prior_lessons' => 3,
            'full_marks' => 20,
            'lead_spread' => 0.3,
            'show_spread' => 0.35,
            'help_seconds' => 30.0,
            'stuck_rate' => array_fill(1, 5, 0.0),
            'blocks' => [
                'arrive' => 60, 'hand_out' => 30, 'checkpoint' => 20, 'clear' => 50, 'next_model' => 25,
                'decorate' => 200, 'talk' => 300, 'display' => 180, 'rotate' => 40,
            ],
            'source' => 'made up for the test',
        ], FoldTable::fromArray([
            'folds' => array_fill_keys(['valley', 'mountain', 'crease', 'tuck', 'rotate', 'repeat'], $fold),
            'seconds' => ['step' => 0, 'each' => 40, 'show_step' => 0, 'show_each' => 10],
            'source' => 'made up for the test',
        ]));
    }

    /**
     * @param  list<ModelLoad>  $models
     * @param  'none'|'before'|'after'  $decorate
     */
    public static function plan(
        Room $room,
        array $models,
        int $minutes = 30,
        int $squaring = 0,
        string $decorate = 'none',
        ?Policies $policies = null,
        ?Timeline $timeline = null,
        float $gate = 1.0,
    ): Plan {
        $source = ['source' => 'for this test'];

        return Plan::of(
            room: $room,
            models: $models,
            minutes: $minutes,
            squaring: $squaring,
            decorate: $decorate,
            policies: $policies ?? Policies::usual(),
            rules: TeachingRules::fromArray([
                'go_share' => ['value' => $gate] + $source,
                'long_wait_seconds' => ['value' => 60] + $source,
            ]),
            timeline: $timeline,
        );
    }

    public static function sheet(Plan $plan, ?BaseTimes $times = null): RunSheet
    {
        $times ??= self::times();

        return RunSheet::of($plan, Forecast::rehearse($plan, $times), $times);
    }
}
