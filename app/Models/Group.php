<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $organisation_id
 * @property string $name
 * @property string $age_band
 * @property int $helpers
 * @property int|null $table_size learners at a table; null: the usual number
 * @property Collection<int, Learner> $learners
 */
final class Group extends Model
{
    protected $guarded = [];

    /** @return HasMany<Learner, $this> */
    public function learners(): HasMany
    {
        $relation = $this->hasMany(Learner::class);
        $relation->orderBy('seat');

        return $relation;
    }

    /** @return HasMany<Lesson, $this> */
    public function lessons(): HasMany
    {
        $relation = $this->hasMany(Lesson::class);
        $relation->orderBy('starts_at');

        return $relation;
    }
}
