<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property int $id
 * @property int $organisation_id
 * @property int $group_id
 * @property CarbonImmutable $starts_at
 * @property int $minutes
 * @property int $helpers
 * @property 'scissors'|'trimmer'|'tear' $method
 * @property bool $square_in_lesson
 * @property bool $helpers_cut whether the helpers cut too
 * @property 'least'|'fewest'|'scrap' $prefer what a cutting plan puts first
 * @property 'none'|'before'|'after' $decorate on the flat sheet, on the finished model, or not in the lesson
 * @property list<string>|null $materials keys; null: what the models ask for
 * @property bool $paper_ready
 * @property int $step as the log stands: the step being taught, 0 before the first
 * @property CarbonImmutable|null $started_at as the log stands
 * @property CarbonImmutable|null $ended_at as the log stands
 * @property int $newest number of the newest line of the log
 * @property int $version goes up with every change of the plan
 * @property CarbonImmutable|null $deleted_at since when it lies in the bin
 * @property array{name: string, width_mm: float, height_mm: float, side_mm: float, sheets: int,
 *     takes?: list<array{stock: int, name: string, sheets: int}>, sides?: array<string, float>,
 *     stocks?: list<array<string, mixed>>}|null $used_paper what was used, kept when taught
 * @property array<string, string>|null $policies option by policy, of those that are not left as usual
 * @property int $prepared steps of the first model that are folded before the lesson
 * @property array{order: list<string>, minutes: array<string, int>}|null $blocks null: as usual
 * @property bool $odd whether nothing is learned from it (a fire drill)
 * @property list<string>|null $ticks keys of the preparation that is done
 * @property Group $group
 * @property Collection<int, LessonModel> $models in their places
 * @property Collection<int, Stock> $chosen paper, in its places
 * @property Collection<int, FinishRecord> $finishes
 */
final class Lesson extends Model
{
    use SoftDeletes;

    protected $guarded = [];

    protected $attributes = [
        'method' => 'scissors',
        'square_in_lesson' => false,
        'paper_ready' => false,
        'step' => 0,
        'prefer' => 'least',
        'helpers_cut' => true,
        'decorate' => 'none',
        'prepared' => 0,
        'newest' => 0,
        'odd' => false,
        'version' => 1,
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'immutable_datetime',
            'minutes' => 'integer',
            'helpers' => 'integer',
            'square_in_lesson' => 'boolean',
            'paper_ready' => 'boolean',
            'step' => 'integer',
            'newest' => 'integer',
            'version' => 'integer',
            'used_paper' => 'array',
            'ticks' => 'array',
            'policies' => 'array',
            'blocks' => 'array',
            'odd' => 'boolean',
            'prepared' => 'integer',
            'helpers_cut' => 'boolean',
            'materials' => 'array',
            'started_at' => 'immutable_datetime',
            'ended_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }

    /** @return BelongsToMany<Stock, $this> */
    public function chosen(): BelongsToMany
    {
        $relation = $this->belongsToMany(Stock::class, 'lesson_stock');
        $relation->orderBy('lesson_stock.place');

        return $relation;
    }

    /** @return HasMany<LessonModel, $this> */
    public function models(): HasMany
    {
        $relation = $this->hasMany(LessonModel::class);
        $relation->orderBy('place');

        return $relation;
    }

    /**
     * @return list<Stock> the paper chosen, in its places; of a lesson that was taught as it was then, whatever became
     *     of it
     */
    public function papers(): array
    {
        if (isset($this->used_paper['stocks'])) {
            return array_map(
                static fn (array $kept): Stock => (new Stock)->forceFill($kept),
                $this->used_paper['stocks'],
            );
        }

        return array_values($this->chosen->all());
    }

    /** @return list<int> who may be marked, by seat */
    public function learnerIds(): array
    {
        return array_values($this->group->learners->map(static fn (Learner $l): int => $l->id)->all());
    }

    /** An empty group is planned for one, so that the plan can be looked at before names are in. */
    public function learners(): int
    {
        return max(1, $this->group->size());
    }

    /** @return HasMany<LessonEvent, $this> */
    public function events(): HasMany
    {
        $relation = $this->hasMany(LessonEvent::class);
        $relation->orderBy('number');

        return $relation;
    }

    /** @return HasMany<FinishRecord, $this> */
    public function finishes(): HasMany
    {
        return $this->hasMany(FinishRecord::class);
    }

    /** A lesson that is not saved yet. */
    public static function blank(int $organisation): self
    {
        return new self([
            'organisation_id' => $organisation,
            'started_at' => null,
            'ended_at' => null,
            'used_paper' => null,
            'ticks' => null,
            'policies' => null,
            'blocks' => null,
            'materials' => null,
        ]);
    }

    /** @return 'planned'|'teaching'|'taught' as the log stands */
    public function status(): string
    {
        return $this->ended_at !== null ? 'taught' : ($this->started_at !== null ? 'teaching' : 'planned');
    }

    public function bell(): CarbonImmutable
    {
        return $this->starts_at->addMinutes($this->minutes);
    }
}
