<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\Lesson;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The log of a lesson: what is new, and what a device has to add. */
final class EventController extends Controller
{
    private const MOST = 4294967295;

    /**
     * Every device asks every few seconds, and mostly nothing is new: one look at the lesson's row tells, without
     * making a lesson of it.
     *
     * @param  string  $log  number of the lesson
     */
    public function index(Request $request, string $log): JsonResponse
    {
        $newest = NewEvents::newest((int) $log, $this->user($request)->organisation_id);
        $after = self::after($request->query('after', '0'));

        return response()->json($newest <= $after
            ? LogData::nothingNew($newest)
            : NewEvents::after(Lesson::query()->findOrFail((int) $log), $after));
    }

    /** In plain PHP: setting the framework's validator up costs as much as the answer. */
    private static function after(mixed $given): int
    {
        return is_string($given) && ctype_digit($given) && strlen($given) <= 10 && (int) $given <= self::MOST
            ? (int) $given
            : throw ValidationException::withMessages([
                'after' => 'Say after which number; it is a whole number from 0.',
            ]);
    }

    public function store(EventRequest $request, Lesson $lesson, LessonLog $log): JsonResponse
    {
        $lesson = $log->append($lesson, $this->user($request), $request->events());

        return response()->json(NewEvents::after($lesson, (int) $request->validated('after')));
    }
}
