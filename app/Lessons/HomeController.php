<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\FinishRecord;
use App\Models\Lesson;
use App\Models\Organisation;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\Finish;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

final class HomeController extends Controller
{
    /** Lessons listed before and after the next one. */
    private const LISTED = 6;

    private const UNFINISHED_DAYS = 60;

    public function __construct(private readonly LessonSheet $sheet, private readonly ModelShelf $shelf)
    {
    }

    public function __invoke(Request $request): JsonResponse
    {
        $organisation = $this->organisation($request);
        $today = CarbonImmutable::now()->startOfDay();
        /** @var Collection<int, Lesson> $open */
        $open = $organisation
            ->lessons()
            ->with(LessonSheet::WITH)
            ->whereNull('ended_at')
            ->where('starts_at', '>=', $today)
            ->orderByRaw('started_at IS NULL')
            ->orderBy('starts_at')
            ->limit(self::LISTED + 1)
            ->get();
        /** @var Collection<int, Lesson> $taught */
        $taught = $organisation
            ->lessons()
            ->with(LessonSheet::WITH)
            ->whereNotNull('ended_at')
            ->orderByDesc('starts_at')
            ->limit(self::LISTED)
            ->get();
        $cards = $this->sheet->cards(array_values($open->all()));

        return response()->json(
            new HomeData(
                $cards[0] ?? null,
                array_slice($cards, 1),
                $this->sheet->cards(array_values($taught->all())),
                $this->unfinished($organisation),
            ),
        );
    }

    /**
     * Who stopped in the last 60 days and has not finished since, summed up by the database: a group of three years has
     * thousands of records.
     *
     * @return list<array{group: string, group_id: int, model_title: string, names: list<string>}>
     */
    private function unfinished(Organisation $organisation): array
    {
        $rows = DB::table('finishes')
            ->join('lessons', 'lessons.id', '=', 'finishes.lesson_id')
            ->join('learners', 'learners.id', '=', 'finishes.learner_id')
            ->join('groups', 'groups.id', '=', 'lessons.group_id')
            ->where('lessons.organisation_id', $organisation->id)
            ->where('lessons.starts_at', '>=', CarbonImmutable::now()->subDays(self::UNFINISHED_DAYS))
            ->whereNull('lessons.deleted_at')->whereNull('learners.deleted_at')
            ->groupBy('groups.id', 'groups.name', 'finishes.model', 'learners.id', 'learners.name', 'learners.seat')
            ->havingRaw('MAX('.FinishRecord::rank('finishes.outcome').') = '.Finish::Stopped->rank())
            ->orderBy('groups.name')->orderBy('finishes.model')->orderBy('learners.seat')
            ->get(['groups.id', 'groups.name', 'finishes.model', 'learners.name as learner']);
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
