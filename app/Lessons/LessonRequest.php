<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Group;
use App\Shelf\ModelShelf;
use App\Support\ApiRequest;
use App\Support\LibraryFiles;
use Carbon\CarbonImmutable;
use Cathedra\Core\Paper\Material;
use Cathedra\Core\Paper\Prefer;
use Closure;
use Illuminate\Validation\Rule;

/** A lesson: the slot is given by its start and either minutes or its end. */
final class LessonRequest extends ApiRequest
{
    private const MOST_FURTHER = 4;

    private const MOST_STOCKS = 3;

    protected function prepareForValidation(): void
    {
        $this->readLengths([
            'side_mm',
            ...array_map(
                static fn (int|string $i): string => "further.$i.side_mm",
                array_keys(is_array($this->input('further')) ? $this->input('further') : []),
            ),
        ]);
    }

    /** @return array<string, mixed> */
    public function rules(ModelShelf $shelf, LibraryFiles $files): array
    {
        $own = fn (string $table) => Rule::exists($table, 'id')->where('organisation_id', $this->organisation()->id);

        return [
            'group_id' => ['required', 'integer', $own('groups'), $this->groupHasLearners(...)],
            'model' => [
                'required',
                'string',
                'max:60',
                fn (string $at, mixed $value, Closure $fail) => is_string($value) && $shelf->has($value) ?:
                $fail('There is no such model on the shelf.'),
            ],
            'ways' => [
                'sometimes',
                'array',
                'max:10',
                fn (string $at, mixed $value, Closure $fail) => $value === [] ||
                $shelf->offers((string) $this->string('model'), $value) ?:
                $fail('This model does not offer that way; choose the way again.'),
            ],
            'starts_at' => ['required', 'date_format:Y-m-d\TH:i', 'after:2000-01-01', 'before:2100-01-01'],
            'ends_at' => ['required', 'date_format:Y-m-d\TH:i', 'after:starts_at', $this->slotIsALesson(...)],
            'helpers' => ['required', 'integer', 'between:0,20'],
            'stock_id' => ['nullable', 'integer', $own('stocks')],
            'side_mm' => ['nullable', 'numeric', 'between:10,2000'],
            'method' => ['required', Rule::in(['scissors', 'trimmer', 'tear'])],
            'square_in_lesson' => [
                'required',
                'boolean',
                fn (string $at, mixed $value, Closure $fail) => $this->input('method') === 'trimmer' && (bool) $value
                    ? $fail('A trimmer is not for learners. Let them tear or use scissors, or cut beforehand.')
                    : null,
            ],
            'paper_ready' => ['required', 'boolean'],
            'further' => ['sometimes', 'array', 'max:'.self::MOST_FURTHER],
            'further.*.model' => [
                'required',
                'string',
                'max:60',
                'distinct',
                'different:model',
                fn (string $at, mixed $value, Closure $fail) => is_string($value) && $shelf->has($value) ?:
                $fail('There is no such model on the shelf.'),
            ],
            'further.*.ways' => [
                'sometimes',
                'array',
                'max:10',
                fn (string $at, mixed $value, Closure $fail) => $value === [] ||
                $shelf->offers((string) $this->input(str_replace('.ways', '.model', $at)), $value) ?:
                $fail('This model does not offer that way; choose the way again.'),
            ],
            'further.*.side_mm' => ['nullable', 'numeric', 'between:10,2000'],
            'also_stock_ids' => ['sometimes', 'array', 'max:'.self::MOST_STOCKS],
            'also_stock_ids.*' => ['integer', 'distinct', 'different:stock_id', $own('stocks')],
            'prefer' => ['sometimes', Rule::enum(Prefer::class)],
            'helpers_cut' => ['sometimes', 'boolean'],
            'decorate' => ['sometimes', Rule::in(['none', 'before', 'after'])],
            'materials' => ['sometimes', 'nullable', 'array', 'max:40'],
            'materials.*' => [
                'string',
                Rule::in(array_map(static fn (Material $m): string => $m->key, $files->materials())),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'group_id.required' => 'Choose the group.',
            'group_id.exists' => 'That group does not exist (any more).',
            'model.required' => 'Choose a model.',
            'starts_at.*' => 'Give the start as a date and a time.',
            'ends_at.after' => 'The slot ends before it starts. Choose an end after the start.',
            'ends_at.required' => 'Give the end of the slot.',
            'ends_at.date_format' => 'Give the end as a date and a time.',
            'helpers.*' => 'There can be 0 to 20 helpers.',
            'stock_id.exists' => 'That paper is gone from the cupboard. Choose another.',
            'side_mm.*' => 'A square must have between 10 and 2000 mm.',
            'further.max' => 'A lesson has at most '.(self::MOST_FURTHER + 1).' models.',
            'further.*.model.distinct' => 'Each model comes once in a lesson.',
            'further.*.model.different' => 'Each model comes once in a lesson.',
            'further.*.side_mm.*' => 'A square must have between 10 and 2000 mm.',
            'also_stock_ids.max' => 'A lesson takes from at most '.(self::MOST_STOCKS + 1).' kinds of paper.',
            'also_stock_ids.*.exists' => 'That paper is gone from the cupboard. Choose another.',
            'also_stock_ids.*.*' => 'Each paper comes once.',
            'materials.*.in' => 'That material is not on the list (any more). Choose again.',
        ];
    }

    /** @return array<string, mixed> columns of the lesson */
    public function columns(): array
    {
        $start = CarbonImmutable::parse($this->string('starts_at')->toString());

        return [
            ...array_diff_key($this->validated(), [
                'starts_at' => 0,
                'ends_at' => 0,
                'further' => 0,
                'also_stock_ids' => 0,
            ]),
            'ways' => $this->validated('ways') ?: null,
            'starts_at' => $start,
            'minutes' => (int) $start->diffInMinutes(CarbonImmutable::parse($this->string('ends_at')->toString())),
        ];
    }

    /**
     * @return list<array{model: string, ways: array<string, string>|null, side_mm: float|null}>|null null: not said, so
     *     as it was
     */
    public function further(): ?array
    {
        /** @var list<array{model: string, ways?: array<string, string>, side_mm?: float|null}>|null $given */
        $given = $this->validated('further');

        return $given === null
            ? null
            : array_map(
                static fn (array $m): array => [
                    'model' => $m['model'],
                    'ways' => $m['ways'] ?? [] ?: null,
                    'side_mm' => isset($m['side_mm']) ? (float) $m['side_mm'] : null,
                ],
                array_values($given),
            );
    }

    /** @return list<int>|null stocks beside the first; null: not said, so as it was */
    public function also(): ?array
    {
        $given = $this->validated('also_stock_ids');

        return is_array($given) ? array_map(intval(...), array_values($given)) : null;
    }

    private function slotIsALesson(string $attribute, mixed $value, Closure $fail): void
    {
        $start = strtotime((string) $this->string('starts_at'));
        $end = is_string($value) ? strtotime($value) : false;
        $minutes = $start !== false && $end !== false ? intdiv($end - $start, 60) : 0;
        if ($minutes > 0 && ($minutes < 5 || $minutes > 480)) {
            $fail("A slot has 5 to 480 minutes; this one has $minutes.");
        }
    }

    private function groupHasLearners(string $attribute, mixed $value, Closure $fail): void
    {
        $group = is_numeric($value)
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
