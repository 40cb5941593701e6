<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\LessonModel;
use App\Shelf\ModelShelf;
use App\Support\ApiRequest;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Validation\Rule;

/** Which lessons of an organisation are listed: those to come, those that were, or those in which words are found. */
final class ListRequest extends ApiRequest
{
    /** Words that are looked for; more are no search. */
    private const MAX_WORDS = 8;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'page' => ['sometimes', 'integer', 'between:1,100000'],
            'when' => ['sometimes', Rule::in(['coming', 'past'])],
            'group' => ['sometimes', 'integer', $this->ownId('groups')],
            'words' => ['sometimes', 'nullable', 'string', 'max:80'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'page.*' => 'There is no such page.',
            'when.*' => 'Lessons are listed as "coming" or "past".',
            'words.*' => 'Search with at most 80 letters.',
        ];
    }

    /**
     * The lessons asked for: those to come from the next one on, all others from the last one back.
     *
     * @return HasMany<Lesson, \App\Models\Organisation>
     */
    public function lessons(ModelShelf $shelf): HasMany
    {
        $lessons = $this->organisation()->lessons();
        $when = $this->validated('when');
        $today = CarbonImmutable::now()->startOfDay();
        if ($when === 'coming') {
            $lessons->whereNull('ended_at')->where('starts_at', '>=', $today);
        } elseif ($when === 'past') {
            $lessons->where(static fn (Builder $q) => $q->whereNotNull('ended_at')->orWhere('starts_at', '<', $today));
        }
        $group = $this->validated('group');
        $group === null || $lessons->where('group_id', (int) $group);
        foreach ($this->words() as $word) {
            $lessons->where(fn (Builder $q) => $this->found($q, $word, $shelf));
        }
        $order = $when === 'coming' ? 'asc' : 'desc';

        $lessons->orderBy('starts_at', $order)->orderBy('id', $order);

        return $lessons;
    }

    /** @return list<string> */
    private function words(): array
    {
        $words = preg_split('/\s+/u', trim((string) ($this->validated('words') ?? '')), -1, PREG_SPLIT_NO_EMPTY);

        return array_slice($words === false ? [] : $words, 0, self::MAX_WORDS);
    }

    /**
     * In the name of the group, the title of a model, or the day as it is written (2026-11-24).
     *
     * @param  Builder<Lesson>  $q
     */
    private function found(Builder $q, string $word, ModelShelf $shelf): void
    {
        $like = '%'.addcslashes($word, '%_\\').'%';
        $models = array_values(array_filter(
            $shelf->slugs(),
            static fn (string $slug): bool => mb_stripos($shelf->title($slug), $word) !== false,
        ));
        $q->whereIn('group_id', Group::query()->where('name', 'like', $like)->select('id'))
            ->orWhereIn('lessons.id', LessonModel::query()->whereIn('model', $models)->select('lesson_id'))
            ->orWhere('starts_at', 'like', $like);
    }
}
