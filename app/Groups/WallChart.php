<?php

declare(strict_types=1);

namespace App\Groups;

use App\Lessons\LessonSheet;
use App\Models\FinishRecord;
use App\Models\Group;
use App\Shelf\ModelShelf;
use Cathedra\Core\Progress\Finish;

/** Learners x models of a group, with the best end each learner reached in any lesson. */
final readonly class WallChart
{
    public function __construct(private ModelShelf $shelf, private LessonSheet $sheet)
    {
    }

    public function __invoke(Group $group): WallData
    {
        $records = FinishRecord::query()
            ->with('lesson')
            ->whereHas('lesson', fn ($q) => $q->where('group_id', $group->id))
            ->get()
            ->sortBy(fn (FinishRecord $r): array => [$r->lesson->starts_at->getTimestamp(), $r->id]);
        $models = [];
        $best = [];
        foreach ($records as $record) {
            $slug = $record->model;
            $models[$slug] ??= ['slug' => $slug, 'title' => $this->shelf->summary($slug)->title];
            $known = $best[$record->learner_id][$slug] ?? null;
            if ($known === null || $record->outcome->rank() >= $known->outcome->rank()) {
                $best[$record->learner_id][$slug] = $record;
            }
        }
        $cells = [];
        $finished = 0;
        foreach ($best as $learner => $bySlug) {
            foreach ($bySlug as $slug => $record) {
                $cells[] = [
                    'learner' => $learner,
                    'model' => $slug,
                    'outcome' => $record->outcome->value,
                    'step' => $record->step,
                ];
                $finished += in_array($record->outcome, [Finish::Alone, Finish::WithHelp], true) ? 1 : 0;
            }
        }

        return new WallData($this->sheet->group($group), array_values($models), $cells, $finished);
    }
}
