<?php

declare(strict_types=1);

namespace App\Actions;

use App\Library\ModelShelf;
use App\Models\Lesson;
use App\Models\Mark;
use Carbon\CarbonImmutable;
use Cathedra\Core\Progress\Outcome;
use Illuminate\Support\Facades\DB;

/** Ends a lesson: the taps become finish records that the lead can correct, unless there are some already. */
final readonly class CloseLesson
{
    public function __construct(private ModelShelf $shelf)
    {
    }

    public function __invoke(Lesson $lesson): void
    {
        $lesson->loadMissing(['group.learners', 'marks', 'finishes']);
        $steps = count($this->shelf->loads($lesson->model, $lesson->ways ?? []));
        DB::transaction(function () use ($lesson, $steps): void {
            $known = $lesson->finishes->pluck('learner_id')->all();
            foreach ($lesson->group->learners as $learner) {
                if (in_array($learner->id, $known, true)) {
                    continue;
                }
                $marks = $lesson->marks->where('learner_id', $learner->id)->map(fn (Mark $m): array => ['step' => $m->step, 'kind' => $m->kind])->all();
                $outcome = Outcome::fromMarks(array_values($marks), $steps);
                $lesson->finishes()->create(['learner_id' => $learner->id, 'outcome' => $outcome->finish, 'step' => $outcome->step]);
            }
            $lesson->update(['ended_at' => $lesson->ended_at ?? CarbonImmutable::now()]);
        });
        $lesson->unsetRelation('finishes');
    }
}
