<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** What the marks of a lesson say of how learners ended. */
interface Ending
{
    /** Null: nothing is recorded. */
    public function outcome(int $learner, ProgrammeModel $model): ?Outcome;
}
