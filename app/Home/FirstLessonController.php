<?php

declare(strict_types=1);

namespace App\Home;

use App\Lessons\LessonSheet;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;

/** One sentence, and a lesson comes of it. */
final class FirstLessonController extends Controller
{
    public function __construct(private readonly FirstLesson $first, private readonly LessonSheet $sheet)
    {
    }

    public function offers(FirstLessonRequest $request): JsonResponse
    {
        return response()->json($this->first->offers($request->organisation(), $request->wish()));
    }

    public function make(FirstLessonRequest $request): JsonResponse
    {
        return response()->json($this->sheet->full($this->first->make(
            $request->organisation(),
            $request->wish(),
            $request->string('model')->toString(),
            $request->string('starts_at')->toString(),
        )), 201);
    }
}
