<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Lessons\Programme;
use App\Models\Lesson;
use App\Shelf\ModelShelf;
use App\Support\ApiRequest;
use Illuminate\Validation\Rule;

final class FinishRequest extends ApiRequest
{
    /** @return array<string, mixed> */
    public function rules(ModelShelf $shelf): array
    {
        $lesson = $this->route('lesson');
        $lesson = $lesson instanceof Lesson ? $lesson : throw new \LogicException('The route binds a lesson.');
        $programme = Programme::of($lesson, $shelf);
        $item = $programme->find((string) $this->string('model')) ?? $programme->items[0];

        return [
            'model' => [
                'sometimes',
                'string',
                Rule::in(array_map(static fn ($i): string => $i->slug, $programme->items)),
            ],
            'learner' => ['required', 'integer', Rule::exists('learners', 'id')->where('group_id', $lesson->group_id)],
            'outcome' => ['required', Rule::in(['alone', 'help', 'stopped', 'away'])],
            'step' => ['nullable', 'required_if:outcome,stopped', 'integer', 'between:1,'.count($item->loads)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'model.in' => 'That model is not in this lesson.',
            'learner.exists' => 'That learner is not in this group.',
            'step.required_if' => 'Say at which step the learner stopped.',
            'step.between' => 'That step does not belong to this model.',
        ];
    }
}
