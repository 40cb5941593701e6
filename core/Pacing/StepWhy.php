<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

/** Why a step of a run sheet takes as long as it does: show + base times every factor + wait. Seconds. */
final readonly class StepWhy
{
    /**
     * @param  int  $step  of the lesson
     * @param  float  $base  what an adult beginner takes for a fold of this kind, or for what is repeated
     * @param  array<string, float>  $factors  by name, those that are not 1: sides (both), layers (beyond two), again
     *     (a repetition), along (a crease that is there), age, slowest (of so many learners), manner (the policies)
     * @param  float  $wait  for the queue at the helpers
     */
    public function __construct(
        public int $step,
        public float $show,
        public float $base,
        public array $factors,
        public float $wait,
    ) {
    }

    public function seconds(): float
    {
        return $this->show + $this->base * array_product($this->factors) + $this->wait;
    }
}
