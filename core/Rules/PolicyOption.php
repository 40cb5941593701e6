<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** One way to go about a lesson: why one would, what is said of it to the room, and what it costs. */
final readonly class PolicyOption
{
    /**
     * @param  string  $says  to the room, before the first step
     * @param  float  $show  factor on the time to show a step
     * @param  float  $fold  factor on the time to fold it
     * @param  float  $stuck  factor on the chance to get stuck at it
     * @param  float  $squaring  factor on the time to make a square
     */
    public function __construct(
        public string $title,
        public string $why,
        public string $says,
        public float $show,
        public float $fold,
        public float $stuck = 1.0,
        public float $squaring = 1.0,
    ) {
    }
}
