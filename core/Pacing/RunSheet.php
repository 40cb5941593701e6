<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\Bounds;

/**
 * The timed order of a lesson. Deterministic: at a step all wait for the slowest learner one must expect, whose pace is
 * the n/(n+1) quantile of the spread between learners (the expected place of the slowest of n), and for the queue at
 * the helpers. Times in seconds from the start of the slot.
 *
 * @phpstan-type Line array{kind: 'block'|'step'|'checkpoint', key: string, step: int|null, start: int, seconds: int}
 */
final readonly class RunSheet
{
    /** A model folded a second time takes this share of the first time (estimate, to be calibrated). */
    public const AGAIN = 0.6;

    /** Weight of a fold below which nobody gets stuck at it: turning the paper over or round, unfolding. */
    private const EASY = 0.2;

    /**
     * @param  list<Line>  $lines  in order; each starts when the one before ends
     * @param  int  $needed  seconds from the start to the end of the last line
     * @param  int  $slot  seconds the slot has
     * @param  list<StepWhy>  $whys  of the steps, in order
     */
    private function __construct(public array $lines, public int $needed, public int $slot, public array $whys)
    {
    }

    /** Positive: seconds to spare. Negative: seconds too many. */
    public function spare(): int
    {
        return $this->slot - $this->needed;
    }

    /**
     * @param  list<ModelLoad>  $models  in the order they are taught; their steps are numbered through
     * @param  int  $squaring  seconds of squaring inside the lesson, for all models together; 0 when the paper is
     *     square before
     * @param  int  $slotMinutes  5 to 480
     * @param  'none'|'before'|'after'  $decorate  on the flat sheet, on the finished model, or not in the lesson
     * @param  Policies|null  $policies  how it is taught; null: as usual
     *
     * @throws BadPlan
     */
    public static function plan(
        Room $room,
        array $models,
        int $slotMinutes,
        int $squaring,
        BaseTimes $times,
        string $decorate = 'none',
        ?Policies $policies = null,
    ): self {
        $policies ??= Policies::usual();
        if (! Bounds::holds(Bounds::MINUTES, $slotMinutes)) {
            throw new BadPlan("A slot has 5 to 480 minutes, not $slotMinutes; its end must lie after its start.");
        }
        $age =
            $times->ages[$room->ageBand]['factor'] ??
            throw new BadPlan("There is no age band called \"{$room->ageBand}\".");
        $slowest = exp($times->spread * Normal::quantile($room->learners / ($room->learners + 1)));
        $whys = [];
        $blocks = [
            ['block', 'arrive', null, (float) $times->blocks['arrive']],
            ['block', 'hand-out', null, (float) $times->blocks['hand_out']],
        ];
        if ($squaring > 0) {
            $blocks[] = ['block', 'squaring', null, (float) $squaring];
        }
        if ($decorate === 'before') {
            $blocks[] = ['block', 'decorate', null, (float) $times->blocks['decorate']];
        }
        $number = 0;
        foreach ($models as $m => $model) {
            if ($m > 0) {
                $blocks[] = ['block', 'next-model', null, (float) $times->blocks['next_model']];
            }
            $queue = self::queue($room, $times->stuckRate[$model->difficulty] ?? 0.0, $times->helpSeconds);
            $ready = $m === 0 ? min($policies->prepared, count($model->steps)) : 0;
            foreach (self::shown($model, $ready, $policies, $times) as $key => $seconds) {
                $blocks[] = ['block', $key, null, $seconds];
            }
            $all = StepTimes::of($model, $times);
            $once = 0.0;
            foreach ($model->steps as $i => $step) {
                $number++;
                if ($i < $ready) {
                    continue;
                }
                $isThere = $squaring > 0 && $policies->countsSquaring() && $model->diagonal === $i + 1;
                $left = ! $isThere ? 1.0 : ($step->fold === 'crease' ? 0.0 : Policies::ALONG);
                $wait = match (true) {
                    $isThere, ($times->weights[$step->fold] ?? 1.0) < self::EASY => 0.0, // nobody gets stuck
                    $step->layers > 1 || $step->twice => $queue,
                    default => $queue / 2,
                };
                $whys[] = $why = new StepWhy(
                    $number,
                    $policies->showsFirst() ? 0.0 : $all[$i]->show * $policies->show,
                    $all[$i]->base,
                    array_filter(
                        [
                            ...$all[$i]->factors,
                            'along' => $left,
                            'age' => $age,
                            'slowest' => $slowest,
                            'manner' => $policies->fold,
                        ],
                        static fn (float $factor): bool => $factor !== 1.0,
                    ),
                    $wait,
                );
                $once += $why->seconds();
                $blocks[] = ['step', $step->fold, $number, $why->seconds()];
                if ($step->checkpoint) {
                    $blocks[] = ['checkpoint', 'checkpoint', $number, (float) $times->blocks['checkpoint']];
                }
            }
            if ($model->times > 1) {
                $blocks[] = ['block', 'again', null, ($model->times - 1) * self::AGAIN * $once];
            }
        }
        if ($decorate === 'after') {
            $blocks[] = ['block', 'decorate', null, (float) $times->blocks['decorate']];
        }
        $blocks[] = ['block', 'clear', null, (float) $times->blocks['clear']];

        return self::laid($blocks, $slotMinutes * 60, $whys);
    }

    /**
     * What is shown of a model before anybody folds: what was folded before the lesson, and all of it where that is the
     * policy.
     *
     * @param  int  $ready  steps folded before
     * @return array<string, float> seconds by key of the block
     */
    private static function shown(ModelLoad $model, int $ready, Policies $policies, BaseTimes $times): array
    {
        $shows = array_map(static fn (StepTimes $step): float => $step->show, StepTimes::of($model, $times));

        return array_filter([
            'recap' => Policies::RECAP * array_sum(array_slice($shows, 0, $ready)),
            'show-all' => $policies->showsFirst() ? $policies->show * array_sum(array_slice($shows, $ready)) : 0.0,
        ]);
    }

    /** Seconds in which a grown-up folds the first steps of a model alone, before the lesson. */
    public static function foldedBefore(ModelLoad $model, int $steps, BaseTimes $times): float
    {
        return array_sum(array_map(
            static fn (StepTimes $step): float => $step->fold,
            array_slice(StepTimes::of($model, $times), 0, $steps),
        ));
    }

    /** Seconds until the last of the learners who are stuck has been helped; the lead helps too. */
    private static function queue(Room $room, float $stuckRate, float $helpSeconds): float
    {
        return ceil(($room->learners * $stuckRate) / ($room->helpers + 1)) * $helpSeconds;
    }

    /**
     * @param  list<array{'block'|'step'|'checkpoint', string, int|null, float}>  $blocks
     * @param  list<StepWhy>  $whys
     */
    private static function laid(array $blocks, int $slot, array $whys): self
    {
        $lines = [];
        $at = 0.0;
        foreach ($blocks as [$kind, $key, $step, $seconds]) {
            $start = (int) round($at);
            $at += $seconds;
            $lines[] = [
                'kind' => $kind,
                'key' => $key,
                'step' => $step,
                'start' => $start,
                'seconds' => (int) round($at) - $start,
            ];
        }

        return new self($lines, (int) round($at), $slot, $whys);
    }
}
