<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Bin\Bin;
use App\Models\Lesson;
use App\Pacing\LessonCast;
use App\Pacing\LessonForecast;
use App\Pacing\RestOfLesson;
use App\Pacing\UsualPolicies;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use App\Support\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

final class LessonController extends Controller
{
    private const PER_PAGE = 25;

    public function __construct(private readonly LessonSheet $sheet)
    {
    }

    public function index(ListRequest $request, ModelShelf $shelf): JsonResponse
    {
        $page = $request->lessons($shelf)->paginate(self::PER_PAGE);

        return response()->json([
            'lessons' => $this->sheet->cards(array_values($page->getCollection()->all())),
            'page' => $page->currentPage(),
            'pages' => $page->lastPage(),
            'count' => $page->total(),
        ]);
    }

    public function store(LessonRequest $request, SaveLesson $save, UsualPolicies $usual): JsonResponse
    {
        $lesson = $usual->lesson($request->organisation()->id);

        return response()->json(
            $this->sheet->full($save($lesson, $request->columns(), $request->models(), $request->stocks())),
            201,
        );
    }

    /** The same lesson for another group or day. */
    public function copy(CopyRequest $request, Lesson $lesson, CopyLesson $copy): JsonResponse
    {
        return response()->json($this->sheet->full($copy($lesson, $request->group(), $request->startsAt())), 201);
    }

    public function show(Lesson $lesson): JsonResponse
    {
        return response()->json($this->sheet->full($lesson));
    }

    public function update(LessonRequest $request, Lesson $lesson, SaveLesson $save): JsonResponse
    {
        $version = $request->validated('version');
        $saved = $save(
            $lesson,
            $request->columns(),
            $request->models(),
            $request->stocks(),
            $version === null ? null : (int) $version,
        );

        return response()->json($this->sheet->full($saved));
    }

    /** How it is likely to go, and what would help: rehearsed when it is asked for. */
    public function forecast(Lesson $lesson, LessonForecast $forecast): JsonResponse
    {
        return response()->json($forecast->of($lesson));
    }

    /** How the rest of it is likely to go, while it is taught. */
    public function rest(Lesson $lesson, RestOfLesson $rest): JsonResponse
    {
        return response()->json($rest->of($lesson));
    }

    /** Learners to rehearse it with. */
    public function cast(Request $request, Lesson $lesson, LessonCast $cast): JsonResponse
    {
        $given = $request->validate(
            ['seed' => ['sometimes', 'integer', 'between:1,1000000']],
            ['seed.*' => 'A rehearsal is numbered from 1 to 1,000,000.'],
        );
        abort_if($lesson->learnerIds() === [], 409, 'This group has no learners yet. Enter their given names first.');

        return response()->json($cast->of($lesson, (int) ($given['seed'] ?? 1)));
    }

    public function destroy(Request $request, Lesson $lesson, Bin $bin): JsonResponse
    {
        return response()->json($bin->put($lesson, $request->boolean('sure')));
    }

    /** Entries of the list of what is to be ready: one, or all of it at once. */
    public function tick(TickRequest $request, Lesson $lesson): Response
    {
        [$keys, $done] = [$request->entries(), $request->boolean('done')];
        Transaction::run(function () use ($lesson, $keys, $done): void {
            $locked = Transaction::locked($lesson);
            $others = array_values(array_diff($locked->ticks ?? [], $keys));
            $locked->update(['ticks' => $done ? [...$others, ...$keys] : $others]);
        });

        return response()->noContent();
    }
}
