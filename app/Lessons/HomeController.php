<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\FinishRecord;
use App\Models\Lesson;
use App\Models\Organisation;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use Carbon\CarbonImmutable;
use Cathedra\Core\Progress\Finish;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class HomeController extends Controller
{
    /** Lessons listed before and after the next one. */
    private const LISTED = 6;

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
        $cards = array_map($this->sheet->card(...), array_values($open->all()));

        return response()->json(
            new HomeData(
                $cards[0] ?? null,
                array_slice($cards, 1),
                array_map($this->sheet->card(...), array_values($taught->all())),
                $this->unfinished($organisation),
            ),
        );
    }

    /**
     * @return list<array{group: string, group_id: int, model_title: string, names: list<string>}> who stopped and has
     *     not finished since
     */
    private function unfinished(Organisation $organisation): array
    {
        $records = FinishRecord::query()
            ->with(['lesson.group.learners'])
            ->whereHas(
                'lesson',
                fn ($q) => $q
                    ->where('organisation_id', $organisation->id)
                    ->where('starts_at', '>=', CarbonImmutable::now()->subDays(60)),
            )
            ->get();
        $best = [];
        foreach ($records as $record) {
            $key = $record->learner_id.' '.$record->model;
            if (! isset($best[$key]) || $record->outcome->rank() > $best[$key]->outcome->rank()) {
                $best[$key] = $record;
            }
        }
        $lists = [];
        foreach ($best as $record) {
            if ($record->outcome !== Finish::Stopped) {
                continue;
            }
            $lesson = $record->lesson;
            $at = $lesson->group_id.' '.$record->model;
            $lists[$at] ??= [
                'group' => $lesson->group->name,
                'group_id' => $lesson->group_id,
                'model_title' => $this->shelf->summary($record->model)->title,
                'names' => [],
            ];
            $lists[$at]['names'][] = (string) $lesson->group->learners->firstWhere('id', $record->learner_id)?->name;
        }

        return array_values($lists);
    }
}
