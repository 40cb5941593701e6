<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

/** What a rehearsal found. Seconds from the first demonstration, unless it says minutes. */
final readonly class Answer
{
    /**
     * @param  list<float>  $finishes  by run, sorted: when the last learner finishes
     * @param  float  $learner  mean over all learners and runs
     * @param  list<float>  $learners  when each hundredth of all learners of all runs is done, from the first to the
     *     last: 101 values
     * @param  float|null  $share  mean share of the learners that is done by the bell; null without a bell
     * @param  float  $idle  minutes a learner waits for a gate, mean
     * @param  float  $queue  minutes a learner waits for help, mean
     * @param  float  $busy  share of the helpers' time, pooled over runs
     * @param  list<float>  $holds  by step: from the end of its demonstration to its gate, mean
     * @param  list<float>  $waits  by step: how long a learner who has done it waits for its gate, mean seconds
     * @param  list<array{t_s: float, slowest: int, middle: int, fastest: int}>  $wave  the step at which the slowest
     *     tenth, the middle and the fastest tenth are; one more than there are when they have done all
     * @param  float  $earlier  mean seconds by which the last small group begins after the first
     */
    public function __construct(
        public array $finishes,
        public float $learner,
        public ?float $share,
        public float $idle,
        public float $queue,
        public float $busy,
        public array $holds,
        public array $waits,
        public array $wave,
        public array $learners,
        public float $earlier = 0.0,
    ) {
    }

    public function mean(): float
    {
        return array_sum($this->finishes) / count($this->finishes);
    }

    /** Share of the learners that is done by then, to a hundredth. */
    public function doneBy(float $seconds): float
    {
        $before = count(array_filter($this->learners, static fn (float $end): bool => $end <= $seconds));

        return max(0, $before - 1) / (count($this->learners) - 1);
    }

    /** Share of the runs in which everybody is done by then. */
    public function allDoneBy(float $seconds): float
    {
        return count(array_filter($this->finishes, static fn (float $f): bool => $f <= $seconds)) /
            count($this->finishes);
    }

    /**
     * Interpolated between order statistics: of n values the p-quantile lies at p (n - 1).
     *
     * @param  list<float>  $sorted
     */
    public static function quantile(array $sorted, float $p): float
    {
        $at = $p * (count($sorted) - 1);
        $low = (int) floor($at);
        $high = min($low + 1, count($sorted) - 1);

        return $sorted[$low] + ($at - $low) * ($sorted[$high] - $sorted[$low]);
    }

    /** @return array<string, mixed> as cathedra:rehearse prints it */
    public function toArray(): array
    {
        return [
            'finish_s' => [
                'mean' => $this->mean(),
                'p10' => self::quantile($this->finishes, 0.1),
                'p50' => self::quantile($this->finishes, 0.5),
                'p90' => self::quantile($this->finishes, 0.9),
            ],
            'learner_finish_s' => ['mean' => $this->learner],
            'finished_share' => $this->share,
            'idle_min_mean' => $this->idle,
            'queue_min_mean' => $this->queue,
            'helper_utilisation' => $this->busy,
            'step_hold_s' => $this->holds,
            'wave' => array_map(fn (array $at): array => ['t_s' => $at['t_s']] + array_map(
                fn (int|float $step): int => min((int) $step, count($this->holds)),
                $at,
            ), $this->wave),
        ];
    }
}
