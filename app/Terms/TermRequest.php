<?php

declare(strict_types=1);

namespace App\Terms;

use App\Lessons\LessonRequest;
use App\Models\Group;
use App\Shelf\ModelShelf;
use App\Support\ApiRequest;
use Carbon\CarbonImmutable;
use Cathedra\Core\Progress\Term;
use Cathedra\Core\Rules\Bounds;
use Illuminate\Validation\Rule;

/** A row of lessons of a group, week by week. */
final class TermRequest extends ApiRequest
{
    /** @return array<string, mixed> */
    public function rules(ModelShelf $shelf): array
    {
        return [
            'group_id' => ['required', 'integer', $this->ownId('groups')],
            'starts_at' => ['bail', 'required', 'string', ...LessonRequest::MOMENT],
            'minutes' => ['required', 'integer', 'between:'.Bounds::MINUTES],
            'lessons' => ['required', 'integer', 'between:1,'.Term::MOST],
            'days_off' => ['sometimes', 'array', 'list', 'max:60'],
            'days_off.*' => ['string', 'date_format:Y-m-d'],
            'models' => ['sometimes', 'array', 'list', 'max:'.Term::MOST],
            'models.*' => ['nullable', 'string', Rule::in($shelf->slugs())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'group_id.*' => 'Choose the group.',
            'starts_at.*' => 'Give the first lesson as a date and a time.',
            'minutes.*' => 'A lesson has '.Bounds::said(Bounds::MINUTES).' minutes.',
            'lessons.*' => 'A term has 1 to '.Term::MOST.' lessons.',
            'days_off.max' => 'At most 60 days off can be named.',
            'days_off.*' => 'Days off are dates such as 2026-12-24.',
            'models.*' => 'There is no such model on the shelf.',
        ];
    }

    public function group(): Group
    {
        return $this->organisation()->groups()->whereKey((int) $this->validated('group_id'))->sole();
    }

    public function minutes(): int
    {
        return (int) $this->validated('minutes');
    }

    /** @return list<CarbonImmutable> the same day and hour every week, days off left out */
    public function dates(): array
    {
        $off = (array) $this->validated('days_off', []);
        $at = CarbonImmutable::parse((string) $this->validated('starts_at'));
        $dates = [];
        while (count($dates) < (int) $this->validated('lessons')) {
            in_array($at->format('Y-m-d'), $off, true) || $dates[] = $at;
            $at = $at->addWeek();
        }

        return $dates;
    }

    /** @return array<int, string> model by place of the lesson, where the lead has chosen */
    public function fixed(): array
    {
        return array_filter((array) $this->validated('models', []), is_string(...));
    }
}
