<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Support\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What taught lessons say of times. */
final class LearnedController extends Controller
{
    public function __construct(private readonly LearnedSheet $sheet)
    {
    }

    public function show(Request $request): JsonResponse
    {
        return response()->json($this->sheet->of($this->organisation($request)));
    }

    public function leaveOut(Request $request, Lesson $lesson): JsonResponse
    {
        $given = $request->validate(
            ['odd' => ['required', 'boolean']],
            ['odd.*' => 'A lesson is left out (true) or not (false).'],
        );
        abort_if($lesson->ended_at === null, 409, 'Only a lesson that was taught can be left out.');
        $this->sheet->leaveOut($lesson, (bool) $given['odd']);

        return $this->show($request);
    }
}
