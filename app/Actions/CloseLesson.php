<?php

declare(strict_types=1);

namespace App\Actions;

use App\Library\ModelShelf;
use App\Library\PaperBench;
use App\Models\Lesson;
use App\Models\Mark;
use Carbon\CarbonImmutable;
use Cathedra\Core\Progress\Outcome;
use Illuminate\Support\Facades\DB;

/** Ends a lesson: the taps become finish records that the lead can correct, unless there are some already. */
final readonly class CloseLesson
{
    public function __construct(private ModelShelf $shelf, private PaperBench $bench, private CountPaper $count)
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
            $this->usePaper($lesson);
            $lesson->update(['ended_at' => $lesson->ended_at ?? CarbonImmutable::now()]);
        });
        $lesson->unsetRelation('finishes');
    }

    /** Keeps what was used, once, and takes it from the cupboard. */
    private function usePaper(Lesson $lesson): void
    {
        $lesson->loadMissing('stock');
        if ($lesson->ended_at !== null || $lesson->used_paper !== null || $lesson->stock === null) {
            return;
        }
        $model = $this->shelf->summary($lesson->model);
        $paper = $this->bench->forLesson($lesson, $lesson->stock, max(1, $lesson->group->learners->count()), $model);
        $lesson->update(['used_paper' => ['name' => $lesson->stock->name, 'width_mm' => $lesson->stock->width_mm, 'height_mm' => $lesson->stock->height_mm, 'side_mm' => $paper->side_mm, 'sheets' => $paper->sheets]]);
        ($this->count)($lesson->stock, -$paper->sheets, "{$model->title} with {$lesson->group->name}, {$lesson->starts_at->format('j M Y')}", $lesson);
    }
}
