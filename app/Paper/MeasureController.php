<?php

declare(strict_types=1);

namespace App\Paper;

use App\Lessons\Programme;
use App\Lessons\ProgrammeItem;
use App\Models\Lesson;
use App\Models\Reading;
use App\Shelf\ModelShelf;
use App\Support\Controller;
use App\Support\LibraryFiles;
use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\DisplayString;
use Cathedra\Core\Paper\Length;
use Cathedra\Core\Paper\Reading as Measured;
use Cathedra\Core\Paper\SquareCheck;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Rulers: predicted and read sizes, the two diagonals of a square, strings of finished models. */
final class MeasureController extends Controller
{
    /** mm of string for knots and the loop; estimate. */
    private const KNOTS = 150.0;

    public function __construct(private readonly ModelShelf $shelf, private readonly LibraryFiles $files)
    {
    }

    public function show(Lesson $lesson): JsonResponse
    {
        $lesson->loadMissing(['chosen', 'models', 'group.learners']);
        $programme = Programme::of($lesson, $this->shelf);
        $measured =
            array_values(
                array_filter($programme->items, static fn (ProgrammeItem $i): bool => $i->summary->measures !== []),
            )[0] ?? $programme->items[0];
        $model = $measured->summary;
        $stock = $lesson->papers()[0] ?? null;
        $side =
            $lesson->used_paper['sides'][$measured->slug] ??
            (($measured === $programme->items[0] ? $lesson->used_paper['side_mm'] ?? null : null) ??
                ($measured->side ??
                    ($stock === null
                        ? 150.0
                        : min($stock->width_mm, $stock->height_mm) -
                            2 * ($model->ratio === 1.0 ? $stock->trim_mm : 0.0))));
        $words = $this->files->words();
        $predicted = [];
        foreach (array_diff_key($model->measures, ['volume' => 0]) as $name => $per) {
            $predicted[$name] = [
                'name' => $name,
                'title' => $words->say('measures', $name),
                'mm' => round($per * $side, 1),
            ];
        }
        $stack = (2 * ($stock->grammage ?? 80)) / 800;
        /** @var Collection<int, Reading> $kept */
        $kept = Reading::query()->where('lesson_id', $lesson->id)->get();
        $readings = [];
        foreach ($kept as $reading) {
            if (isset($predicted[$reading->name])) {
                $of = Measured::against($predicted[$reading->name]['mm'], $reading->mm, $stack);
                $readings[] = [
                    'learner' => $reading->learner_id,
                    'name' => $reading->name,
                    'mm' => $reading->mm,
                    'difference_mm' => round($of->difference(), 1),
                    'why' => $words->say('measures', $of->why),
                ];
            }
        }

        return response()->json(
            new MeasureData(
                $model->title,
                $side,
                array_values($predicted),
                isset($model->measures['volume']) ? round(($model->measures['volume'] * $side ** 3) / 1000, 1) : null,
                $readings,
            ),
        );
    }

    public function read(Request $request, Lesson $lesson): Response
    {
        $given = $request->validate(
            [
                'learner' => [
                    'required',
                    'integer',
                    Rule::exists('learners', 'id')->where('group_id', $lesson->group_id),
                ],
                'name' => ['required', Rule::in(['width', 'depth', 'height'])],
                'value' => ['present', 'nullable', 'string', 'max:40'],
                'unit' => ['required', Rule::in(['mm', 'cm', 'in'])],
            ],
            [
                'learner.exists' => 'That learner is not in this group.',
                'value.*' => 'Write a length, such as 35 mm or 1 3/8 in.',
            ],
        );
        $of = ['lesson_id' => $lesson->id, 'learner_id' => $given['learner'], 'name' => $given['name']];
        if (trim((string) $given['value']) === '') {
            Reading::query()->where($of)->delete();

            return response()->noContent();
        }
        $mm = self::length((string) $given['value'], $given['unit'], 'value');
        if ($mm > 2000) {
            throw ValidationException::withMessages(['value' => 'That is longer than any sheet. Check the unit.']);
        }
        Reading::query()->updateOrCreate($of, ['mm' => $mm]);

        return response()->noContent();
    }

    public function square(Request $request): JsonResponse
    {
        $given = $request->validate(
            [
                'side' => ['required', 'string', 'max:40'],
                'first' => ['required', 'string', 'max:40'],
                'second' => ['required', 'string', 'max:40'],
                'unit' => ['sometimes', Rule::in(['mm', 'cm', 'in'])],
                'model' => [
                    'required',
                    'string',
                    fn (string $at, mixed $value, \Closure $fail) => is_string($value) && $this->shelf->has($value) ?:
                    $fail('There is no such model on the shelf.'),
                ],
            ],
            ['first.required' => 'Measure the first diagonal.', 'second.required' => 'Measure the second diagonal.'],
        );
        $unit = $given['unit'] ?? 'mm';
        [$side, $first, $second] = array_map(fn (string $key): float => self::length($given[$key], $unit, $key), [
            'side',
            'first',
            'second',
        ]);
        foreach (['first' => $first, 'second' => $second] as $key => $diagonal) {
            if (abs($diagonal / ($side * M_SQRT2) - 1) > 0.15) {
                throw ValidationException::withMessages([
                    $key => 'This is no diagonal of that square: it should have about '.
                        Length::say($side * M_SQRT2, $unit).
                        '.',
                ]);
            }
        }
        $tolerance = $this->files->paperRules()['square_tolerance']['values'][
            $this->shelf->summary($given['model'])->difficulty
        ];
        $check = SquareCheck::of($side, $first, $second, $tolerance);
        $words = $this->files->words();
        $with = [
            'off' => (string) round($check['off_degrees'], 1),
            'allowed' => Length::say($check['allowed_mm'], 'mm'),
            'trim' => Length::say($check['trim_mm'], 'mm'),
        ];

        return response()->json([
            'passes' => $check['passes'],
            'text' => $words->say('measures', $check['passes'] ? 'square' : 'not-square', $with),
        ]);
    }

    public function display(Request $request): JsonResponse
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
        $model = $this->shelf->summary($given['model']);
        $string = DisplayString::of(
            (int) $given['models'],
            ($model->measures['height'] ?? $model->height_per_side) * (float) $given['side'],
            (float) $given['gap'],
            self::KNOTS,
            (float) $given['side'] ** 2 * max($model->ratio, 1 / $model->ratio),
            80,
            (int) $given['goal'],
            (float) $given['per_lesson'],
        );

        return response()->json([
            'length_mm' => round($string->length, 1),
            'drop_mm' => round($string->drop, 1),
            'beads' => $string->beads,
            'weight_g' => round($string->weight, 1),
            'lessons' => $string->lessons,
        ]);
    }

    /** @param  'mm'|'cm'|'in'  $unit */
    private static function length(string $text, string $unit, string $field): float
    {
        try {
            return Length::parse($text, $unit);
        } catch (BadPaper $e) {
            throw ValidationException::withMessages([$field => $e->getMessage()]);
        }
    }
}
