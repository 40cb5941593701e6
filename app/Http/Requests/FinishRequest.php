<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Library\ModelShelf;
use App\Models\Lesson;
use Illuminate\Validation\Rule;

final class FinishRequest extends ApiRequest
{
    /** @return array<string, mixed> */
    public function rules(ModelShelf $shelf): array
    {
        $lesson = $this->route('lesson');
        $lesson = $lesson instanceof Lesson ? $lesson : throw new \LogicException('The route binds a lesson.');

        return [
            'learner' => ['required', 'integer', Rule::exists('learners', 'id')->where('group_id', $lesson->group_id)],
            'outcome' => ['required', Rule::in(['alone', 'help', 'stopped', 'away'])],
            'step' => ['nullable', 'required_if:outcome,stopped', 'integer', 'between:1,'.count($shelf->loads($lesson->model, $lesson->ways ?? []))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['learner.exists' => 'That learner is not in this group.', 'step.required_if' => 'Say at which step the learner stopped.', 'step.between' => 'That step does not belong to this model.'];
    }
}
