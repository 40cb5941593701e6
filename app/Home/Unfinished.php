<?php

declare(strict_types=1);

namespace App\Home;

use App\Models\FinishRecord;
use App\Models\Organisation;
use App\Shelf\ModelShelf;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\Finish;
use Illuminate\Support\Facades\DB;

/** Whom a lesson left in the middle of a model. */
final readonly class Unfinished
{
    private const DAYS = 60;

    public function __construct(private ModelShelf $shelf)
    {
    }

    /**
     * Who stopped in the last 60 days and has not finished since, summed up by the database: a group of three years has
     * thousands of records.
     *
     * @return list<array{group: string, group_id: int, model_title: string, names: list<string>}>
     */
    public function __invoke(Organisation $organisation): array
    {
        $stopped = DB::table('lessons')
            ->join('finishes', 'finishes.lesson_id', '=', 'lessons.id')
            ->where('lessons.organisation_id', $organisation->id)
            ->where('lessons.starts_at', '>=', CarbonImmutable::now()->subDays(self::DAYS))
            ->whereNull('lessons.deleted_at')
            ->groupBy('finishes.learner_id', 'finishes.model', 'lessons.group_id')
            ->havingRaw('MAX('.FinishRecord::rank('finishes.outcome').') = '.Finish::Stopped->rank())
            ->select('finishes.learner_id', 'finishes.model', 'lessons.group_id');
        $rows = DB::query()->fromSub($stopped, 's')
            ->join('learners', 'learners.id', '=', 's.learner_id')
            ->join('groups', 'groups.id', '=', 's.group_id')
            ->whereNull('learners.deleted_at')
            ->orderBy('groups.name')->orderBy('s.model')->orderBy('learners.seat')
            ->get(['groups.id', 'groups.name', 's.model', 'learners.name as learner']);
        $lists = [];
        foreach ($rows as $row) {
            $lists["{$row->id} {$row->model}"] ??= [
                'group' => $row->name,
                'group_id' => $row->id,
                'model_title' => $this->shelf->title($row->model),
                'names' => [],
            ];
            $lists["{$row->id} {$row->model}"]['names'][] = $row->learner;
        }

        return array_values($lists);
    }
}
