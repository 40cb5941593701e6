<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Live;

/** One learner of a lesson that is under way, who is here. Steps are those of the lesson; seconds as in `SoFar`. */
final readonly class SeatSoFar
{
    /**
     * @param  int|null  $behind  the step not yet done; null for who is along
     * @param  float  $said  when something was last said of the learner
     * @param  bool  $waits  for help
     * @param  int  $looked  furthest step that somebody saw done
     */
    public function __construct(
        public int $learner,
        public ?int $behind,
        public float $said,
        public bool $waits,
        public int $looked,
    ) {
    }
}
