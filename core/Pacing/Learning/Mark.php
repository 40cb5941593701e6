<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

/** How long one learner took for one step, as a lesson's log shows it. */
final readonly class Mark
{
    /**
     * @param  string  $fold  kind of fold
     * @param  string  $group  whose pace it tells of
     * @param  string  $lesson  in which it was made
     * @param  string  $learner  who made it, in that lesson
     * @param  float  $ln  natural log of the seconds over those that were expected
     * @param  int  $worth  learners of whom it speaks
     * @param  float  $spread  its variance, as a share of that of one learner's time
     */
    public function __construct(
        public string $fold,
        public string $group,
        public string $lesson,
        public string $learner,
        public float $ln,
        public int $worth = 1,
        public float $spread = 1.0,
    ) {
    }
}
