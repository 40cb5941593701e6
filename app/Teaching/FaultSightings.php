<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\Lesson;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use Cathedra\Core\Fault\FaultKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** What a lead saw go wrong in a lesson; from it the place learns what to warn of first. */
final class FaultSightings extends Controller
{
    public function __construct(private readonly SightingRows $sightings)
    {
    }

    /** What goes wrong at a step of a model, the likeliest first by what was seen here. */
    public function ofStep(
        Request $request,
        ModelShelf $shelf,
        StepFaults $faults,
        string $model,
        int $step,
    ): JsonResponse {
        $ways = $shelf->asked($model, $request->query('ways', []));
        abort_if($step < 1 || $step > count($shelf->loads($model, $ways)), 404);

        return response()->json($faults->of($model, $ways, $step, $this->user($request)->organisation_id));
    }

    public function index(Lesson $lesson): JsonResponse
    {
        return response()->json($this->sightings->of($lesson));
    }

    public function tick(Request $request, Lesson $lesson): Response
    {
        $given = $request->validate([
            'model' => ['required', 'string', Rule::in($lesson->models()->pluck('model')->all())],
            'step' => ['required', 'integer', 'between:1,120'],
            'kind' => ['required', 'string', Rule::in(array_column(FaultKind::cases(), 'value'))],
            'seen' => ['required', 'boolean'],
        ], [
            'model.in' => 'This model is not folded in this lesson.',
            'kind.in' => 'There is no such kind of mistake.',
        ]);
        $fault = ['model' => $given['model'], 'step' => $given['step'], 'kind' => $given['kind']];
        $this->sightings->tick($lesson, $fault, (bool) $given['seen']);

        return response()->noContent();
    }
}
