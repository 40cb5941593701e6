<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

/** One step as the room feels it. Seconds. */
final readonly class PacedStep
{
    /**
     * @param  float  $demo  of its demonstration, all showings together
     * @param  float  $fold  median folding time
     * @param  float  $stuck  chance to get stuck, 0 to 1
     * @param  float  $help  a service when stuck
     * @param  bool  $checkpoint  all wait for all when it is done
     */
    public function __construct(
        public float $demo,
        public float $fold,
        public float $stuck,
        public float $help,
        public bool $checkpoint,
    ) {
    }
}
