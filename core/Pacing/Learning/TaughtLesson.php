<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Rules\BaseTimes;

/** A lesson that was taught, beside what was expected of it. */
final readonly class TaughtLesson
{
    public ShownSteps $shown;

    /**
     * @param  array<int, array{fold: string, show: float, expected: float}>  $steps  by number in the lesson: kind of
     *     fold, seconds it is shown, and the seconds that half the group was expected to take at most
     * @param  string  $group  whose pace it tells of
     * @param  int  $learners  in the group
     */
    public function __construct(
        public string $lesson,
        public string $group,
        public int $learners,
        public Programme $programme,
        public Log $log,
        public array $steps,
    ) {
        $this->shown = ShownSteps::of($log);
    }

    /** @return list<Mark> */
    public function marks(Showing $showing, BaseTimes $times): array
    {
        $steps = $this->shown->put($this->steps, $showing->factor($this->shown->lead));

        return $this->log->marks !== Marking::Exception
            ? Marks::of($this->log, $steps, $this->group, $this->lesson)
            : Marks::ofTheRoom(
                log: $this->log,
                programme: $this->programme,
                steps: $steps,
                group: $this->group,
                lesson: $this->lesson,
                learners: $this->learners,
                times: $times,
            );
    }
}
