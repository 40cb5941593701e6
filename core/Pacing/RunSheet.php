<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Rules\BaseTimes;

/**
 * The timed order of a lesson, from its rehearsal: each line is as long as on average, and a buffer makes it enough in
 * nine of ten rooms like this one. Times in seconds from the start of the slot.
 *
 * @phpstan-type Line array{kind: 'block'|'step'|'checkpoint', key: string, step: int|null, start: int, seconds: int}
 */
final readonly class RunSheet
{
    /** Of ten rooms like this one so many are done by the end of the buffer (what a lead would call safe). */
    public const SAFE = 0.9;

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
     * @param  Answer  $answer  of the plan's rehearsal
     *
     * @throws BadPlan
     */
    public static function of(Plan $plan, Answer $answer, BaseTimes $times): self
    {
        $lines = [];
        $whys = [];
        $blocks = $plan->blocks($times);
        foreach ($blocks as $k => $block) {
            $seconds = $block->room->demo + $answer->holds[$k];
            if ($block->out) {
                continue;
            }
            $last = array_key_last($lines);
            $joins = self::joins($block, $plan);
            if ($joins !== null && $last !== null && $lines[$last][1] === $joins) {
                $lines[] = ['block', $joins, null, array_pop($lines)[3] + $seconds];
            } else {
                $lines[] = $joins !== null
                    ? ['block', $joins, null, $seconds]
                    : [$block->kind, $block->key, $block->step, $seconds];
            }
            $joins === null && $block->why !== null && ($whys[] = $block->why->held($answer->holds[$k]));
        }
        if ($answer->earlier > 0.0) {
            $lines[] = ['block', 'other-groups', null, $answer->earlier];
        }
        $after = array_values(array_filter($plan->after($times), static fn (Block $block): bool => ! $block->out));
        $buffer = max(0.0, Answer::quantile($answer->finishes, self::SAFE) - $answer->mean());
        foreach ($after as $i => $block) {
            $i === count($after) - 1 && $buffer >= 1.0 && $lines[] = ['block', 'buffer', null, $buffer];
            $lines[] = ['block', $block->key, null, $block->room->demo];
        }
        if ($after === [] && $buffer >= 1.0) {
            $lines[] = ['block', 'buffer', null, $buffer];
        }

        return self::laid($lines, $plan->minutes * 60, $whys);
    }

    /** Seconds in which a grown-up folds the first steps of a model alone, before the lesson. */
    public static function foldedBefore(ModelLoad $model, int $steps, BaseTimes $times): float
    {
        return array_sum(array_map(
            static fn (StepTimes $step): float => $step->fold,
            array_slice(StepTimes::of($model, $times), 0, $steps),
        ));
    }

    /** The line in which a block is counted with its neighbours; null: it has a line of its own. */
    private static function joins(Block $block, Plan $plan): ?string
    {
        return match (true) {
            $block->again => 'again',
            $block->kind === 'step' && ! $plan->checks() => 'self-paced',
            default => null,
        };
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
