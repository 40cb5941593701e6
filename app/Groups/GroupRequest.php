<?php

declare(strict_types=1);

namespace App\Groups;

use App\Models\Group;
use App\Support\ApiRequest;
use App\Support\EachOnce;
use App\Support\LibraryFiles;
use App\Support\PlainText;
use Cathedra\Core\Rules\Bounds;
use Illuminate\Validation\Rule;

final class GroupRequest extends ApiRequest
{
    /** @return array<string, mixed> */
    public function rules(LibraryFiles $files): array
    {
        $group = $this->route('group');

        return [
            'name' => [
                'required',
                'string',
                'max:'.Bounds::NAME_LENGTH,
                new PlainText,
                Rule::unique('groups')
                    ->where('organisation_id', $this->organisation()->id)
                    ->whereNull('deleted_at')
                    ->ignore($group instanceof Group ? $group->id : null),
            ],
            'age_band' => ['required', 'string', Rule::in(array_keys($files->times()->ages))],
            'helpers' => ['required', 'integer', 'between:'.Bounds::HELPERS],
            'table_size' => ['sometimes', 'nullable', 'integer', 'between:'.Bounds::TABLE_SEATS],
            'learners' => ['present', 'array', 'list', 'max:'.Bounds::MAX_LEARNERS],
            'learners.*' => ['array'],
            'learners.*.id' => ['nullable', 'integer', new EachOnce('Each learner is listed once.')],
            'learners.*.name' => ['required', 'string', 'max:'.Bounds::LEARNER_NAME_LENGTH, new PlainText],
            'remove' => ['sometimes', 'array', 'list', 'max:'.Bounds::MAX_LEARNERS],
            'remove.*' => ['integer'],
            'version' => ['sometimes', 'integer', 'between:'.Bounds::VERSION],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the group a name.',
            'name.max' => 'The name is too long; '.Bounds::NAME_LENGTH.' characters are enough.',
            'name.unique' => 'There is a group of this name already.',
            'age_band.in' => 'Choose one of the age bands.',
            'helpers.*' => 'Helpers are a whole number '.Bounds::said(Bounds::HELPERS).'.',
            'table_size.*' => 'There are 1 to 20 places at a table.',
            'learners.max' => 'A group has at most '.Bounds::MAX_LEARNERS.' learners; divide a larger one.',
            'learners.*.name.required' => 'A learner needs a given name or nickname.',
            'learners.*.name.max' => 'The name is too long; a given name or nickname of 40 characters is enough.',
        ];
    }
}
