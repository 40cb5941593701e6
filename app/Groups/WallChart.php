<?php

declare(strict_types=1);

namespace App\Groups;

use App\Lessons\LessonSheet;
use App\Models\FinishRecord;
use App\Models\Group;
use App\Shelf\ModelShelf;
use Cathedra\Core\Lesson\Finish;
use Illuminate\Support\Facades\DB;

/**
 * Learners x models of a group, with the best end each learner reached in any lesson. The database sums the records up:
 * a
 * group of three years has thousands.
 */
final readonly class WallChart
{
    public function __construct(private ModelShelf $shelf, private LessonSheet $sheet)
    {
    }

    public function __invoke(Group $group): WallData
    {
        $rank = FinishRecord::rank('f.outcome');
        // One whole number a record: rank first, then the lesson's time, then the step; its maximum is the best and
        // latest.
        $best = "MAX(($rank * 10000000000 + UNIX_TIMESTAMP(l.starts_at)) * 1000 + COALESCE(f.step, 0))";
        $rows = DB::table('finishes as f')
            ->join('lessons as l', 'l.id', '=', 'f.lesson_id')
            ->join('learners as p', 'p.id', '=', 'f.learner_id')
            ->where('l.group_id', $group->id)->whereNull('l.deleted_at')->whereNull('p.deleted_at')
            ->groupBy('f.learner_id', 'f.model')
            ->selectRaw("f.learner_id, f.model, $best AS best, MIN(l.starts_at) AS first, MIN(f.id) AS made")
            ->get();
        $of = array_combine(array_map(static fn (Finish $f): int => $f->rank(), Finish::cases()), Finish::cases());
        $first = [];
        $cells = [];
        $finished = 0;
        foreach ($rows as $row) {
            $first[$row->model] = min($first[$row->model] ?? [$row->first, $row->made], [$row->first, $row->made]);
            $best = (int) $row->best;
            $finish = $of[intdiv($best, 10_000_000_000_000)];
            $cells[] = [
                'learner' => $row->learner_id,
                'model' => $row->model,
                'outcome' => $finish->value,
                'step' => $finish === Finish::Stopped ? $best % 1000 : null,
            ];
            $finished += $finish->isFinished() ? 1 : 0;
        }
        asort($first);
        $models = array_map(
            fn (string $slug): array => ['slug' => $slug, 'title' => $this->shelf->title($slug)],
            array_keys($first),
        );

        return new WallData($this->sheet->group($group), $models, $cells, $finished);
    }
}
