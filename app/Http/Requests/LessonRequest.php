<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Library\ModelShelf;
use App\Models\Group;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Validation\Rule;

/** A lesson: the slot is given by its start and either minutes or its end. */
final class LessonRequest extends ApiRequest
{
    protected function prepareForValidation(): void
    {
        $this->readLengths(['side_mm']);
    }

    /** @return array<string, mixed> */
    public function rules(ModelShelf $shelf): array
    {
        $own = fn (string $table) => Rule::exists($table, 'id')->where('organisation_id', $this->organisation()->id);

        return [
            'group_id' => ['required', 'integer', $own('groups'), $this->groupHasLearners(...)],
            'model' => ['required', 'string', 'max:60', fn (string $at, mixed $value, Closure $fail) => is_string($value) && $shelf->has($value) ?: $fail('There is no such model on the shelf.')],
            'ways' => ['sometimes', 'array', 'max:10', fn (string $at, mixed $value, Closure $fail) => $value === [] || $shelf->offers((string) $this->string('model'), $value) ?: $fail('This model does not offer that way; choose the way again.')],
            'starts_at' => ['required', 'date_format:Y-m-d\TH:i', 'after:2000-01-01', 'before:2100-01-01'],
            'ends_at' => ['required', 'date_format:Y-m-d\TH:i', 'after:starts_at', $this->slotIsALesson(...)],
            'helpers' => ['required', 'integer', 'between:0,20'],
            'stock_id' => ['nullable', 'integer', $own('stocks')],
            'side_mm' => ['nullable', 'numeric', 'between:10,2000'],
            'method' => ['required', Rule::in(['scissors', 'tear'])],
            'square_in_lesson' => ['required', 'boolean'],
            'paper_ready' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'group_id.required' => 'Choose the group.', 'group_id.exists' => 'That group does not exist (any more).',
            'model.required' => 'Choose a model.',
            'starts_at.*' => 'Give the start as a date and a time.',
            'ends_at.after' => 'The slot ends before it starts. Choose an end after the start.', 'ends_at.required' => 'Give the end of the slot.', 'ends_at.date_format' => 'Give the end as a date and a time.',
            'helpers.*' => 'There can be 0 to 20 helpers.',
            'stock_id.exists' => 'That paper is gone from the cupboard. Choose another.',
            'side_mm.*' => 'A square must have between 10 and 2000 mm.',
        ];
    }

    /** @return array<string, mixed> columns of the lesson */
    public function columns(): array
    {
        $start = CarbonImmutable::parse($this->string('starts_at')->toString());

        return [
            ...array_diff_key($this->validated(), ['starts_at' => 0, 'ends_at' => 0]),
            'ways' => $this->validated('ways') ?: null,
            'starts_at' => $start,
            'minutes' => (int) $start->diffInMinutes(CarbonImmutable::parse($this->string('ends_at')->toString())),
        ];
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
        $group = is_numeric($value) ? Group::query()->where('organisation_id', $this->organisation()->id)->withCount('learners')->find((int) $value) : null;
        if ($group !== null && $group->getAttribute('learners_count') === 0) {
            $fail('This group has no learners yet. Enter their given names first.');
        }
    }
}
