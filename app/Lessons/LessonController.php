<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use App\Teaching\CloseLesson;
use App\Teaching\FinishRequest;
use App\Teaching\MarkRequest;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

final class LessonController extends Controller
{
    private const PER_PAGE = 25;

    public function __construct(private readonly LessonSheet $sheet, private readonly ModelShelf $shelf)
    {
    }

    public function index(Request $request): JsonResponse
    {
        $page = $this->organisation($request)
            ->lessons()
            ->with(LessonSheet::WITH)
            ->orderByDesc('starts_at')
            ->paginate(self::PER_PAGE);

        return response()->json([
            'lessons' => $page->getCollection()->map($this->sheet->card(...)),
            'page' => $page->currentPage(),
            'pages' => $page->lastPage(),
        ]);
    }

    public function store(LessonRequest $request, SaveLesson $save): JsonResponse
    {
        $lesson = new Lesson([
            'organisation_id' => $request->organisation()->id,
            'side_mm' => null,
            'stock_id' => null,
            'started_at' => null,
            'ended_at' => null,
            'used_paper' => null,
            'ticks' => null,
            'materials' => null,
        ]);

        return response()->json(
            $this->sheet->full($save($lesson, $request->columns(), $request->further() ?? [], $request->also() ?? [])),
            201,
        );
    }

    public function show(Lesson $lesson): JsonResponse
    {
        return response()->json($this->sheet->full($lesson));
    }

    public function update(LessonRequest $request, Lesson $lesson, SaveLesson $save): JsonResponse
    {
        return response()->json(
            $this->sheet->full($save($lesson, $request->columns(), $request->further(), $request->also())),
        );
    }

    public function destroy(Lesson $lesson): Response
    {
        $lesson->delete();

        return response()->noContent();
    }

    public function position(Request $request, Lesson $lesson): Response
    {
        $last = Programme::of($lesson, $this->shelf)->steps() + 1;
        $given = $request->validate(
            ['step' => ['required', 'integer', "between:0,$last"]],
            ['step.*' => "The step must be a whole number from 0 to $last."],
        );
        $lesson->update(['step' => $given['step'], 'started_at' => $lesson->started_at ?? CarbonImmutable::now()]);

        return response()->noContent();
    }

    public function tick(Request $request, Lesson $lesson): Response
    {
        $given = $request->validate(
            ['key' => ['required', 'string', 'regex:/^[a-z-]{1,30}-\\d{1,2}$/'], 'done' => ['required', 'boolean']],
            ['key.*' => 'There is no such entry in the list.'],
        );
        DB::transaction(function () use ($lesson, $given): void {
            $ticks = array_values(
                array_diff(Lesson::query()->whereKey($lesson->id)->lockForUpdate()->first()->ticks ?? [], [
                    $given['key'],
                ]),
            );
            $lesson->update(['ticks' => $given['done'] ? [...$ticks, $given['key']] : $ticks]);
        });

        return response()->noContent();
    }

    public function mark(MarkRequest $request, Lesson $lesson): Response
    {
        $mark = $request->validated();
        $lesson
            ->marks()
            ->firstOrCreate(
                ['key' => $mark['key']],
                [
                    'learner_id' => $mark['learner'],
                    'step' => $mark['step'],
                    'kind' => $mark['kind'],
                    'at' => CarbonImmutable::now(),
                ],
            );

        return response()->noContent();
    }

    public function unmark(Lesson $lesson, string $key): Response
    {
        $lesson->marks()->where('key', $key)->delete();

        return response()->noContent();
    }

    public function close(Lesson $lesson, CloseLesson $close): JsonResponse
    {
        $close($lesson);

        return response()->json($this->sheet->full($lesson));
    }

    public function finish(FinishRequest $request, Lesson $lesson): Response
    {
        $given = $request->validated();
        $lesson
            ->finishes()
            ->updateOrCreate(
                ['learner_id' => $given['learner'], 'model' => $given['model'] ?? $lesson->model],
                ['outcome' => $given['outcome'], 'step' => $given['outcome'] === 'stopped' ? $given['step'] : null],
            );

        return response()->noContent();
    }
}
