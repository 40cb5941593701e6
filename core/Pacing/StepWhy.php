<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

/** Why a step of a run sheet takes as long as it does: show + base times every factor + wait. Seconds. */
final readonly class StepWhy
{
    /**
     * @param  int  $step  of the lesson
     * @param  float  $base  what an adult beginner takes for a fold of this kind, or for what is repeated; or what the
     *     lead says
     * @param  array<string, float>  $factors  by name, those that are not 1: sides (both), layers (beyond two), small
     *     (a short crease on this paper), paper (it folds this model hardly), known (a fold they can do), learned (from
     *     taught lessons), again (a repetition), along (a crease that is there), age, pace (the group's own), manner
     *     (the policies)
     * @param  float  $wait  until so many have it that the lead goes on, those who were helped among them; below 0
     *     where the room runs ahead
     * @param  bool  $own  whether the lead has said it
     */
    public function __construct(
        public int $step,
        public float $show,
        public float $base,
        public array $factors,
        public float $wait = 0.0,
        public bool $own = false,
    ) {
    }

    /** What half of the learners take at most. */
    public function fold(): float
    {
        return $this->base * array_product($this->factors);
    }

    public function seconds(): float
    {
        return $this->show + $this->fold() + $this->wait;
    }

    /** @param  float  $hold  seconds from the end of its demonstration until the lead goes on */
    public function held(float $hold): self
    {
        return new self(...['wait' => $hold - $this->fold()] + get_object_vars($this));
    }
}
