<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Group;
use App\Support\ApiRequest;
use Carbon\CarbonImmutable;

/** For whom a lesson is copied, and when it begins. */
final class CopyRequest extends ApiRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'group_id' => ['required', 'integer', $this->ownId('groups')],
            'starts_at' => ['bail', 'required', 'string', ...LessonRequest::MOMENT],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'group_id.*' => 'Choose the group.',
            'starts_at.*' => 'Give the start as a date and a time.',
        ];
    }

    public function group(): Group
    {
        return $this->organisation()->groups()->whereKey((int) $this->validated('group_id'))->sole();
    }

    public function startsAt(): CarbonImmutable
    {
        return CarbonImmutable::parse($this->string('starts_at')->toString());
    }
}
