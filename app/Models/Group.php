<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property int $id
 * @property int $organisation_id
 * @property string $name
 * @property string $age_band
 * @property int $helpers
 * @property int|null $table_size learners at a table; null: the usual number
 * @property int $version goes up with every change of the group or its list
 * @property Collection<int, Learner> $learners
 * @property \Carbon\CarbonImmutable|null $deleted_at since when it lies in the bin
 */
final class Group extends Model
{
    use SoftDeletes;

    protected $guarded = [];

    protected $attributes = ['version' => 1];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['helpers' => 'integer', 'table_size' => 'integer', 'version' => 'integer'];
    }

    /** @return HasMany<Learner, $this> */
    public function learners(): HasMany
    {
        $relation = $this->hasMany(Learner::class);
        $relation->orderBy('seat');

        return $relation;
    }

    /** How many learners; of a list they may be counted by the database alone (withCount). */
    public function size(): int
    {
        return (int) ($this->getAttributes()['learners_count'] ?? $this->learners->count());
    }

    /** @return HasMany<Lesson, $this> */
    public function lessons(): HasMany
    {
        $relation = $this->hasMany(Lesson::class);
        $relation->orderBy('starts_at');

        return $relation;
    }
}
