<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\FinishRecord;
use App\Models\Lesson;
use Cathedra\Core\Lesson\Outcome;
use Cathedra\Core\Lesson\Outcomes;
use Cathedra\Core\Lesson\WaysFolded;
use Illuminate\Database\Eloquent\Collection;

/** Writes what the core says of a lesson's log into the rows that lists over many lessons read. */
final class KeepRecords
{
    /** @param  list<int>  $learners  only their rows are touched; those of people in the bin stay */
    public function write(Lesson $lesson, Outcomes $outcomes, WaysFolded $ways, array $learners): void
    {
        $known = [];
        /** @var Collection<int, FinishRecord> $rows */
        $rows = FinishRecord::query()->where('lesson_id', $lesson->id)->whereIn('learner_id', $learners)->get();
        foreach ($rows as $row) {
            $known[$row->learner_id][$row->model] = $row;
        }
        foreach ($outcomes->records as $learner => $own) {
            foreach ($own as $model => $outcome) {
                $row = $known[$learner][$model] ?? null;
                $this->keep(
                    lesson: $lesson,
                    learner: $learner,
                    model: $model,
                    outcome: $outcome,
                    ways: $ways->find($learner, $model),
                    row: $row,
                );
                unset($known[$learner][$model]);
            }
        }
        foreach (array_merge(...array_map(array_values(...), array_values($known))) as $gone) {
            $gone->delete();
        }
    }

    /** @param  array<string, string>  $ways  option by passage, of the passages that were folded */
    private function keep(
        Lesson $lesson,
        int $learner,
        string $model,
        Outcome $outcome,
        array $ways,
        ?FinishRecord $row,
    ): void {
        $row ??= new FinishRecord(['lesson_id' => $lesson->id, 'learner_id' => $learner, 'model' => $model]);
        $row->fill(['outcome' => $outcome->finish, 'step' => $outcome->step, 'seen' => $outcome->seen,
            'ways' => $ways ?: null]);
        $row->isDirty() && $row->save();
    }
}
