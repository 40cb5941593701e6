<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\Lesson;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The log of a lesson: what is new, and what a device has to add. */
final class EventController extends Controller
{
    public function __construct(private readonly LessonLog $log)
    {
    }

    public function index(Request $request, Lesson $lesson): JsonResponse
    {
        $given = $request->validate(
            ['after' => ['sometimes', 'integer', 'between:0,4294967295']],
            ['after.*' => 'Say after which number; it is a whole number from 0.'],
        );

        return response()->json($this->log->since($lesson, (int) ($given['after'] ?? 0)));
    }

    public function store(EventRequest $request, Lesson $lesson): JsonResponse
    {
        $lesson = $this->log->append($lesson, $this->user($request), $request->events());

        return response()->json($this->log->since($lesson, (int) $request->validated('after')));
    }
}
