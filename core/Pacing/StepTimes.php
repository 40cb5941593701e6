<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Rules\BaseTimes;

/**
 * What a step takes and how likely it is to get stuck at it: seconds of an adult beginner, before the group's pace. A
 * repetition is timed by what it repeats, not flat, and shown in short.
 */
final readonly class StepTimes
{
    /** However hard the step: more than this get it at once (estimate). */
    private const STUCK_MOST = 0.6;

    /** A step that was done before is half as likely to stop somebody (estimate). */
    private const STUCK_AGAIN = 0.5;

    /**
     * @param  float  $show  its demonstration
     * @param  float  $fold  the median of folding it
     * @param  float  $stuck  chance to get stuck, 0 to 1
     * @param  float  $base  of a fold of this kind, or of what is repeated
     * @param  array<string, float>  $factors  that make the one of the other: sides, layers, small, paper, known,
     *     learned, or again
     */
    private function __construct(
        public float $show,
        public float $fold,
        public float $stuck,
        public float $base,
        public array $factors,
    ) {
    }

    /**
     * @param  list<string>  $knows  kinds of fold that most of the group can do
     * @return list<self> step by step
     *
     * @throws BadPlan when a fold has no base time
     */
    public static function of(ModelLoad $model, BaseTimes $times, array $knows = []): array
    {
        $all = [];
        foreach ($model->steps as $step) {
            $again = array_values(array_filter(
                array_map(static fn (int $n): ?self => $all[$n - 1] ?? null, $step->repeats),
            ));
            $all[] = $again === []
                ? self::first($step, $times, $model, in_array($step->fold, $knows, true))
                : self::again($again, $times);
        }

        return $all;
    }

    private static function first(StepLoad $step, BaseTimes $times, ModelLoad $model, bool $isKnown): self
    {
        $base = $times->folds[$step->fold]
            ?? throw new BadPlan("There is no base time for the fold \"{$step->fold}\".");
        $isSmall = $step->shortest !== null && $step->shortest * $model->side < $times->smallMm;
        $factors = [
            'sides' => $step->twice ? $times->alsoFactor : 1.0,
            'layers' => 1 + $times->layersFactor * max(0, $step->layers - 2),
            'small' => $isSmall ? $times->smallFactor : 1.0,
            // what only turns the paper is as quick with any
            'paper' => $model->hardPaper && $step->shortest !== null ? $times->hardPaper : 1.0,
            'known' => $isKnown ? $times->knownFactor : 1.0,
            'learned' => $times->learned[$step->fold] ?? 1.0,
        ];
        // turning over, unfolding and the like stop hardly anybody
        $stuck = ($times->stuckRate[$step->level] ?? 0.0) * min(1.0, $times->weights[$step->fold] ?? 1.0);

        return new self(
            show: $base['show'] * $times->showing,
            fold: $base['fold'] * array_product($factors),
            stuck: min(self::STUCK_MOST, $stuck * ($isKnown ? $times->knownStuck : 1.0)),
            base: $base['fold'],
            factors: $factors,
        );
    }

    /** @param  non-empty-list<self>  $again */
    private static function again(array $again, BaseTimes $times): self
    {
        $first = array_sum(array_map(static fn (self $t): float => $t->fold, $again));

        return new self(
            show: $times->repeatShow * array_sum(array_map(static fn (self $t): float => $t->show, $again)),
            fold: $times->repeatFactor * $first,
            stuck: self::STUCK_AGAIN * max(array_map(static fn (self $t): float => $t->stuck, $again)),
            base: $first,
            factors: ['again' => $times->repeatFactor],
        );
    }
}
