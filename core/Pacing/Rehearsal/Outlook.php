<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Pacing\Block;
use Cathedra\Core\Rules\BaseTimes;

/** How one plan is likely to go: its rehearsal, in steps of the lesson. Seconds from the beginning of the slot. */
final readonly class Outlook
{
    /** Holds that are named, and the seconds a learner must wait there at least, on average. */
    private const HOLDS = 2;

    private const LONG = 30.0;

    /**
     * @param  float  $after  seconds after the folding, without clearing up
     * @param  float  $everybody  share of the runs in which all are done by the bell
     * @param  list<array{t: float, slowest: int, middle: int, fastest: int}>  $wave  by seconds, steps of the lesson
     *     that are done; until nine of ten have done all
     * @param  list<array{step: int, wait: float, to: float}>  $holds  the longest waits: step of the lesson, mean
     *     seconds a learner, and the end, seconds
     * @param  int|null  $until  the last checkpoint that nine of ten rooms reach by the bell; null: none, or all do it
     */
    private function __construct(
        public Answer $answer,
        public float $after,
        public float $everybody,
        public array $wave,
        public array $holds,
        public ?int $until,
    ) {
    }

    public static function of(Plan $plan, Answer $answer, BaseTimes $times): self
    {
        $setting = $plan->setting($times);
        $blocks = $plan->blocks($times);
        $numbers = array_map(
            static fn (Block $block): ?int => $block->kind === 'step' && ! $block->again ? $block->step : null,
            $blocks,
        );
        $after = array_sum(array_map(
            static fn (Block $block): float => $block->key === 'clear' ? 0.0 : $block->room->demo,
            $plan->after($times),
        ));
        $bell = $setting->bell ?? INF;

        return new self(
            answer: $answer,
            after: $after,
            everybody: $answer->allDoneBy($bell),
            wave: self::waveOf($answer, $numbers),
            holds: $plan->checks() ? self::holdsOf($answer, $setting, $numbers) : [],
            until: self::untilOf($answer, $setting, $numbers, $bell),
        );
    }

    /** Seconds from the start of the slot until all but clearing up is done, in so many of ten such rooms. */
    public function end(float $quantile): float
    {
        return Answer::quantile($this->answer->finishes, $quantile) + $this->after;
    }

    /**
     * @param  list<int|null>  $numbers
     * @return list<array{t: float, slowest: int, middle: int, fastest: int}>
     */
    private static function waveOf(Answer $answer, array $numbers): array
    {
        $done = static fn (int $at): int => max([0, ...array_filter(array_slice($numbers, 0, $at - 1))]);
        $wave = [];
        foreach ($answer->wave as ['t_s' => $t, 'slowest' => $slowest, 'middle' => $middle, 'fastest' => $fastest]) {
            $wave[] = [
                't' => $t,
                'slowest' => $done($slowest),
                'middle' => $done($middle),
                'fastest' => $done($fastest),
            ];
            if ($slowest > count($numbers)) {
                break;
            }
        }

        return $wave;
    }

    /**
     * @param  list<int|null>  $numbers
     * @return list<array{step: int, wait: float, to: float}>
     */
    private static function holdsOf(Answer $answer, RehearsedRoom $setting, array $numbers): array
    {
        $holds = [];
        $at = 0.0;
        foreach ($setting->steps as $k => $step) {
            $at += $step->demo + $answer->holds[$k];
            if ($numbers[$k] !== null && $answer->waits[$k] >= self::LONG) {
                $holds[] = ['step' => $numbers[$k], 'wait' => $answer->waits[$k], 'to' => $at];
            }
        }
        usort($holds, static fn (array $a, array $b): int => $b['wait'] <=> $a['wait']);

        return array_slice($holds, 0, self::HOLDS);
    }

    /**
     * The spread of the whole is shared out by time: what is done by the mean time t is done by t times p90 / mean in
     * nine of ten rooms.
     *
     * @param  list<int|null>  $numbers
     */
    private static function untilOf(Answer $answer, RehearsedRoom $setting, array $numbers, float $bell): ?int
    {
        $late = Answer::quantile($answer->finishes, 0.9) / max(1e-9, $answer->mean());
        $at = $answer->earlier; // the last group reaches it so much later than the first
        $until = null;
        foreach ($setting->steps as $k => $step) {
            $at += $step->demo + $answer->holds[$k];
            if ($step->checkpoint && $numbers[$k] !== null && $at * $late <= $bell) {
                $until = $numbers[$k];
            }
        }

        return Answer::quantile($answer->finishes, 0.9) <= $bell ? null : $until;
    }
}
