<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Group;
use App\Pacing\UsualPolicies;
use App\Shelf\ModelShelf;
use App\Support\ApiRequest;
use App\Support\EachOnce;
use App\Support\LibraryFiles;
use Carbon\CarbonImmutable;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Lesson\Programme as CoreProgramme;
use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Timeline;
use Cathedra\Core\Paper\Material;
use Cathedra\Core\Rules\Bounds;
use Cathedra\Core\Rules\Decorate;
use Cathedra\Core\Rules\Method;
use Closure;
use Illuminate\Validation\Rule;

/** A lesson: its slot, its models in a row, its papers in a row, and how it is prepared. */
final class LessonRequest extends ApiRequest
{
    /** A minute that a lesson may begin at. */
    public const MOMENT = ['date_format:Y-m-d\TH:i', 'after:2000-01-01', 'before:2100-01-01'];

    protected function prepareForValidation(): void
    {
        $models = $this->input('models');
        $this->readLengths(
            array_map(
                static fn (int|string $i): string => "models.$i.side_mm",
                array_keys(is_array($models) ? $models : []),
            ),
        );
    }

    /** @return array<string, mixed> */
    public function rules(ModelShelf $shelf, LibraryFiles $files): array
    {
        return [
            'group_id' => ['required', 'integer', $this->ownId('groups'), $this->groupHasLearners(...)],
            'models' => ['required', 'array', 'list', 'between:1,'.CoreProgramme::MAX_MODELS],
            'models.*' => ['array'],
            'models.*.model' => [
                'required',
                'string',
                'max:60',
                new EachOnce('Each model comes once in a lesson.'),
                $this->isOnTheShelf($shelf),
            ],
            'models.*.ways' => ['sometimes', 'array', 'max:'.Bounds::MAX_WAYS, $this->isOffered($shelf)],
            'models.*.side_mm' => ['nullable', 'numeric', 'between:'.Bounds::SIDE_MM],
            'models.*.times' => ['sometimes', 'integer', 'between:1,'.CoreProgramme::MOST_TIMES],
            'starts_at' => ['bail', 'required', 'string', ...self::MOMENT],
            'ends_at' => [
                'bail',
                'required',
                'string',
                'date_format:Y-m-d\TH:i',
                $this->slotIsALesson(...),
            ],
            'helpers' => ['required', 'integer', 'between:'.Bounds::HELPERS],
            'stock_ids' => ['present', 'array', 'list', 'max:'.Bounds::MAX_PAPERS],
            'stock_ids.*' => ['integer', new EachOnce('Each paper comes once.'), $this->ownId('stocks')],
            'method' => ['required', 'string', Rule::enum(Method::class)],
            'square_in_lesson' => ['required', 'boolean', $this->noTrimmerForLearners(...)],
            'paper_ready' => ['required', 'boolean'],
            'prefer' => ['sometimes', 'string', Rule::enum(Prefer::class)],
            'helpers_cut' => ['sometimes', 'boolean'],
            'decorate' => ['sometimes', 'string', Rule::enum(Decorate::class)],
            'materials' => ['sometimes', 'nullable', 'array', 'list', 'max:40'],
            'materials.*' => [
                'string',
                Rule::in(array_map(static fn (Material $m): string => $m->key, $files->materials())),
            ],
            'policies' => ['sometimes', 'nullable', 'array', 'max:20', UsualPolicies::rule()],
            'prepared' => ['sometimes', 'integer', 'between:0,200', $this->leavesSteps($shelf)],
            'models.*.own_times' => ['sometimes', 'array', 'max:200', $this->areOwnTimes($shelf)],
            'models.*.checkpoints' => ['sometimes', 'array', 'max:200', $this->areCheckpoints($shelf)],
            'blocks' => ['sometimes', 'nullable', 'array:order,minutes', $this->areBlocks(...)],
            'version' => ['sometimes', 'integer', 'between:'.Bounds::VERSION],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'group_id.required' => 'Choose the group.',
            'group_id.exists' => 'That group does not exist (any more).',
            'models.required' => 'Choose a model.',
            'models.between' => 'A lesson has 1 to '.CoreProgramme::MAX_MODELS.' models.',
            'models.*.model.required' => 'Choose a model.',
            'models.*.times.*' => 'A model is folded once or twice in a lesson.',
            'models.*.side_mm.*' => 'The side of a square must be '.Bounds::said(Bounds::SIDE_MM).' mm.',
            'starts_at.*' => 'Give the start as a date and a time.',
            'ends_at.required' => 'Give the end of the slot.',
            'ends_at.date_format' => 'Give the end as a date and a time.',
            'helpers.*' => 'Helpers are a whole number '.Bounds::said(Bounds::HELPERS).'.',
            'stock_ids.max' => 'A lesson takes from at most '.Bounds::MAX_PAPERS.' kinds of paper.',
            'stock_ids.*.exists' => 'That paper is gone from the cupboard. Choose another.',
            'stock_ids.*.integer' => 'Name paper by its number.',
            'prepared.integer' => 'Steps folded before the lesson are a whole number from 0 on.',
            'prepared.between' => 'Steps folded before the lesson are a whole number from 0 on.',
            'materials.*.in' => 'That material is not on the list (any more). Choose again.',
        ];
    }

    /** @return array<string, mixed> columns of the lesson */
    public function columns(): array
    {
        $start = CarbonImmutable::parse($this->string('starts_at')->toString());
        $rows = ['starts_at' => 0, 'ends_at' => 0, 'models' => 0, 'stock_ids' => 0, 'version' => 0];

        return [
            ...array_diff_key($this->validated(), $rows),
            'starts_at' => $start,
            'minutes' => (int) $start->diffInMinutes(CarbonImmutable::parse($this->string('ends_at')->toString())),
        ];
    }

    /**
     * @return non-empty-list<array{model: string, ways: array<string, string>|null, side_mm: float|null, times: int,
     *     own_times: array<int, int>|null, checkpoints: array<int, bool>|null}>
     */
    public function models(): array
    {
        /**
         * @var non-empty-list<array{model: string, ways?: array<string, string>, side_mm?: float|null,
         *     times?: int, own_times?: array<int, int>, checkpoints?: array<int, bool>}> $given
         */
        $given = array_values((array) $this->validated('models'));

        return array_map(
            static fn (array $m): array => [
                'model' => $m['model'],
                'ways' => $m['ways'] ?? [] ?: null,
                'side_mm' => isset($m['side_mm']) ? (float) $m['side_mm'] : null,
                'times' => (int) ($m['times'] ?? 1),
                'own_times' => array_map(intval(...), $m['own_times'] ?? []) ?: null,
                'checkpoints' => array_map(boolval(...), $m['checkpoints'] ?? []) ?: null,
            ],
            $given,
        );
    }

    /** @return list<int> papers, the first one first */
    public function stocks(): array
    {
        return array_map(intval(...), array_values((array) $this->validated('stock_ids')));
    }

    private function isOnTheShelf(ModelShelf $shelf): Closure
    {
        return static fn (
            string $at,
            mixed $value,
            Closure $fail,
        ) => is_string($value) && $shelf->has($value) ?: $fail('There is no such model on the shelf.');
    }

    private function isOffered(ModelShelf $shelf): Closure
    {
        return function (string $at, mixed $value, Closure $fail) use ($shelf): void {
            $model = $this->input(str_replace('.ways', '.model', $at));
            if ($value !== [] && ! (is_string($model) && $shelf->offers($model, $value))) {
                $fail('This model does not offer that way; choose the way again.');
            }
        };
    }

    private function areOwnTimes(ModelShelf $shelf): Closure
    {
        return $this->byStep($shelf, static function (mixed $seconds): ?string {
            return is_int($seconds) && Bounds::holds(Bounds::STEP_SECONDS, $seconds)
                ? null
                : 'Folding a step takes '.Bounds::said(Bounds::STEP_SECONDS).' seconds, in whole seconds.';
        });
    }

    private function areCheckpoints(ModelShelf $shelf): Closure
    {
        return $this->byStep($shelf, static fn (mixed $is): ?string => is_bool($is)
            ? null
            : 'A checkpoint is put (true) or taken away (false).');
    }

    /** @param  callable(mixed): ?string  $wrong */
    private function byStep(ModelShelf $shelf, callable $wrong): Closure
    {
        return function (string $at, mixed $value, Closure $fail) use ($shelf, $wrong): void {
            $place = (string) preg_replace('/\.\w+$/', '', $at);
            [$slug, $ways] = [$this->input("$place.model"), $this->input("$place.ways", [])];
            if (! is_string($slug) || ! $shelf->has($slug) || ! is_array($ways) || ! $shelf->offers($slug, $ways)) {
                return; // said at the model
            }
            $steps = count($shelf->loads($slug, $ways));
            foreach (is_array($value) ? $value : [] as $step => $given) {
                $said = ! is_int($step) || $step < 1 || $step > $steps
                    ? "This model has the steps 1 to $steps; \"$step\" is none of them."
                    : $wrong($given);
                $said === null || $fail($said);
            }
        };
    }

    private function areBlocks(string $at, mixed $value, Closure $fail): void
    {
        $order = is_array($value) ? $value['order'] ?? null : null;
        $minutes = is_array($value) ? $value['minutes'] ?? [] : null;
        $isOrder = is_array($order) && array_is_list($order) && array_filter($order, is_string(...)) === $order;
        if (! $isOrder || ! is_array($minutes) || array_filter($minutes, is_int(...)) !== $minutes) {
            $fail('Blocks are an order of their names, and whole minutes by name.');

            return;
        }
        try {
            Timeline::of($order, $minutes);
        } catch (BadPlan $e) {
            $fail($e->getMessage());
        }
    }

    private function leavesSteps(ModelShelf $shelf): Closure
    {
        return function (string $at, mixed $value, Closure $fail) use ($shelf): void {
            [$slug, $ways] = [$this->input('models.0.model'), $this->input('models.0.ways', [])];
            if (! is_string($slug) || ! $shelf->has($slug) || ! is_array($ways) || ! $shelf->offers($slug, $ways)) {
                return; // said at the model
            }
            $most = count($shelf->loads($slug, $ways)) - 1;
            if (is_int($value) && $value > $most) {
                $fail("The first model has one step more than $most; at most $most can be folded before the lesson.");
            }
        };
    }

    private function noTrimmerForLearners(string $attribute, mixed $value, Closure $fail): void
    {
        if ($this->input('method') === Method::Trimmer->value && (bool) $value) {
            $fail('A trimmer is not for learners. Let them tear or use scissors, or cut beforehand.');
        }
    }

    private function slotIsALesson(string $attribute, mixed $value, Closure $fail): void
    {
        $given = $this->input('starts_at');
        $start = is_string($given) ? strtotime($given) : false;
        $end = is_string($value) ? strtotime($value) : false;
        if ($start === false || $end === false) {
            return; // said at the start, or by the rule before
        }
        $minutes = intdiv($end - $start, 60);
        if ($minutes <= 0) {
            $fail('The slot ends before it starts. Choose an end after the start.');
        } elseif (! Bounds::holds(Bounds::MINUTES, $minutes)) {
            ['least' => $least, 'most' => $most] = Bounds::range(Bounds::MINUTES);
            $fail("A slot has $least to $most minutes; this one has $minutes.");
        }
    }

    private function groupHasLearners(string $attribute, mixed $value, Closure $fail): void
    {
        $group =
            is_int($value) || (is_string($value) && ctype_digit($value))
                ? Group::query()
                    ->where('organisation_id', $this->organisation()->id)
                    ->withCount('learners')
                    ->find((int) $value)
                : null;
        if ($group !== null && $group->getAttribute('learners_count') === 0) {
            $fail('This group has no learners yet. Enter their given names first.');
        }
    }
}
