<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** One model of a lesson, its steps numbered through the lesson. */
final readonly class ProgrammeModel
{
    /**
     * @param  string  $slug  library name
     * @param  int  $first  number of its first step in the lesson
     * @param  int  $steps  at least 1
     * @param  list<array{name: string, option: string, last: int}>  $passages  that can be shown another way: the way
     *     shown now, and the last of its steps, of the model from 1
     */
    public function __construct(public string $slug, public int $first, public int $steps, public array $passages = [])
    {
    }

    public function last(): int
    {
        return $this->first + $this->steps - 1;
    }

    public function holds(int $step): bool
    {
        return $step >= $this->first && $step <= $this->last();
    }

    /** The step of the model, from 1, that is this step of the lesson. */
    public function own(int $step): int
    {
        return $step - $this->first + 1;
    }
}
