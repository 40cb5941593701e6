<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Lessons\Programme;
use App\Models\Lesson;
use App\Shelf\ModelShelf;
use App\Support\ApiRequest;
use Illuminate\Validation\Rule;

final class MarkRequest extends ApiRequest
{
    /** @return array<string, mixed> */
    public function rules(ModelShelf $shelf): array
    {
        $lesson = $this->route('lesson');
        $lesson = $lesson instanceof Lesson ? $lesson : throw new \LogicException('The route binds a lesson.');

        return [
            'key' => ['required', 'uuid'],
            'learner' => ['required', 'integer', Rule::exists('learners', 'id')->where('group_id', $lesson->group_id)],
            'step' => ['required', 'integer', 'between:1,'.Programme::of($lesson, $shelf)->steps()],
            'kind' => ['required', Rule::in(['done', 'help'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'learner.exists' => 'That learner is not in this group.',
            'step.*' => 'That step does not belong to this lesson.',
        ];
    }
}
