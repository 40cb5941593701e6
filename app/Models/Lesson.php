<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $organisation_id
 * @property int $group_id
 * @property int|null $stock_id
 * @property string $model library name of the model
 * @property array<string, string>|null $ways the way taken, by route of the model
 * @property CarbonImmutable $starts_at
 * @property int $minutes
 * @property int $helpers
 * @property float|null $side_mm wanted square; null: the largest the sheet gives
 * @property 'scissors'|'trimmer'|'tear' $method
 * @property bool $square_in_lesson
 * @property bool $helpers_cut whether the helpers cut too
 * @property 'least'|'fewest'|'scrap' $prefer what a cutting plan puts first
 * @property 'none'|'before'|'after' $decorate on the flat sheet, on the finished model, or not in the lesson
 * @property list<string>|null $materials keys; null: what the models ask for
 * @property bool $paper_ready
 * @property int $step the step being taught, 0 before the first
 * @property CarbonImmutable|null $started_at
 * @property CarbonImmutable|null $ended_at
 * @property array{name: string, width_mm: float, height_mm: float, side_mm: float, sheets: int,
 *     takes?: list<array{stock: int, name: string, sheets: int}>, sides?: array<string, float>,
 *     stocks?: list<array<string, mixed>>}|null $used_paper what was used, kept when taught
 * @property list<string>|null $ticks keys of the preparation that is done
 * @property Group $group
 * @property Stock|null $stock
 * @property Collection<int, Stock> $alsoFrom further paper
 * @property Collection<int, LessonModel> $further models after the first
 * @property Collection<int, Mark> $marks
 * @property Collection<int, FinishRecord> $finishes
 */
final class Lesson extends Model
{
    protected $guarded = [];

    protected $attributes = [
        'method' => 'scissors',
        'square_in_lesson' => false,
        'paper_ready' => false,
        'step' => 0,
        'prefer' => 'least',
        'helpers_cut' => true,
        'decorate' => 'none',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at' => 'immutable_datetime',
            'minutes' => 'integer',
            'helpers' => 'integer',
            'side_mm' => 'float',
            'square_in_lesson' => 'boolean',
            'paper_ready' => 'boolean',
            'step' => 'integer',
            'ways' => 'array',
            'used_paper' => 'array',
            'ticks' => 'array',
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

    /** @return BelongsTo<Stock, $this> */
    public function stock(): BelongsTo
    {
        return $this->belongsTo(Stock::class);
    }

    /** @return BelongsToMany<Stock, $this> */
    public function alsoFrom(): BelongsToMany
    {
        $relation = $this->belongsToMany(Stock::class, 'lesson_stock');
        $relation->orderBy('lesson_stock.id');

        return $relation;
    }

    /** @return HasMany<LessonModel, $this> */
    public function further(): HasMany
    {
        $relation = $this->hasMany(LessonModel::class);
        $relation->orderBy('place');

        return $relation;
    }

    /**
     * @return list<Stock> the paper chosen, the first one first; of a lesson that was taught as it was then, whatever
     *     became of it
     */
    public function papers(): array
    {
        if (isset($this->used_paper['stocks'])) {
            return array_map(
                static fn (array $kept): Stock => (new Stock())->forceFill($kept),
                $this->used_paper['stocks'],
            );
        }
        $main = $this->stock;
        $also = array_values($this->alsoFrom->filter(static fn (Stock $s): bool => $s->id !== $main?->id)->all());

        return $main === null ? $also : [$main, ...$also];
    }

    /** An empty group is planned for one, so that the plan can be looked at before names are in. */
    public function learners(): int
    {
        return max(1, $this->group->learners->count());
    }

    /** @return HasMany<Mark, $this> */
    public function marks(): HasMany
    {
        $relation = $this->hasMany(Mark::class);
        $relation->orderBy('at')->orderBy('id');

        return $relation;
    }

    /** @return HasMany<FinishRecord, $this> */
    public function finishes(): HasMany
    {
        return $this->hasMany(FinishRecord::class);
    }

    public function bell(): CarbonImmutable
    {
        return $this->starts_at->addMinutes($this->minutes);
    }
}
