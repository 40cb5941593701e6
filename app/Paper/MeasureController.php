<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Models\Reading;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use Cathedra\Core\Rules\Unit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Rulers: predicted and read sizes, the two diagonals of a square, strings of finished models. */
final class MeasureController extends Controller
{
    public function __construct(private readonly ModelShelf $shelf)
    {
    }

    public function show(Lesson $lesson, Measures $measures): JsonResponse
    {
        return response()->json($measures->of($lesson));
    }

    public function read(Request $request, Lesson $lesson, Rulers $rulers): Response
    {
        $given = $request->validate(
            [
                'learner' => [
                    'required',
                    'integer',
                    Rule::exists('learners', 'id')->where('group_id', $lesson->group_id)->whereNull('deleted_at'),
                ],
                'model' => ['required', 'string', Rule::in($lesson->models->pluck('model')->all())],
                'name' => ['required', Rule::in(['width', 'depth', 'height', 'slope'])],
                'value' => ['present', 'nullable', 'string', 'max:40'],
                'unit' => ['required', Rule::enum(Unit::class)],
            ],
            [
                'model.*' => 'That model is not in this lesson.',
                'learner.exists' => 'That learner is not in this group.',
                'value.*' => 'Write a length, such as 35 mm or 1 3/8 in.',
            ],
        );
        $of = [
            'lesson_id' => $lesson->id, 'learner_id' => $given['learner'], 'model' => $given['model'],
            'name' => $given['name'],
        ];
        // What was read before lessons could have several bodies gives way to what is read now.
        Reading::query()->where(['model' => ''] + $of)->delete();
        if (trim((string) $given['value']) === '') {
            Reading::query()->where($of)->delete();

            return response()->noContent();
        }
        $mm = $rulers->length((string) $given['value'], $given['unit'], 'value');
        if ($mm > 2000) {
            throw ValidationException::withMessages(['value' => 'That is longer than any sheet. Check the unit.']);
        }
        Reading::query()->updateOrCreate($of, ['mm' => $mm]);

        return response()->noContent();
    }

    public function square(Request $request, Rulers $rulers): JsonResponse
    {
        $given = $request->validate(
            [
                'side' => ['required', 'string', 'max:40'],
                'first' => ['required', 'string', 'max:40'],
                'second' => ['required', 'string', 'max:40'],
                'unit' => ['sometimes', Rule::enum(Unit::class)],
                'model' => [
                    'required',
                    'string',
                    fn (string $at, mixed $value, \Closure $fail) => is_string($value) && $this->shelf->has($value) ?:
                    $fail('There is no such model on the shelf.'),
                ],
            ],
            ['first.required' => 'Measure the first diagonal.', 'second.required' => 'Measure the second diagonal.'],
        );

        return response()->json($rulers->square(
            $given['model'],
            $given['unit'] ?? 'mm',
            ['side' => $given['side'], 'first' => $given['first'], 'second' => $given['second']],
        ));
    }

    public function display(Request $request, Rulers $rulers): JsonResponse
    {
        $given = $request->validate([
            'model' => [
                'required',
                'string',
                fn (string $at, mixed $value, \Closure $fail) => is_string($value) && $this->shelf->has($value) ?:
                $fail('There is no such model on the shelf.'),
            ],
            'side' => ['required', 'numeric', 'between:10,2000'],
            'models' => ['required', 'integer', 'between:1,1000'],
            'gap' => ['required', 'numeric', 'between:0,1000'],
            'goal' => ['required', 'integer', 'between:0,1000000'],
            'per_lesson' => ['required', 'integer', 'between:0,60'],
        ]);

        return response()->json($rulers->string(
            model: $given['model'],
            side: (float) $given['side'],
            models: (int) $given['models'],
            gap: (float) $given['gap'],
            goal: (int) $given['goal'],
            perLesson: (int) $given['per_lesson'],
        ));
    }
}
