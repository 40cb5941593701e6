<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $name
 */
final class Organisation extends Model
{
    protected $guarded = [];

    /** @return HasMany<Group, $this> */
    public function groups(): HasMany
    {
        $relation = $this->hasMany(Group::class);
        $relation->orderBy('name');

        return $relation;
    }

    /** @return HasMany<Stock, $this> */
    public function stocks(): HasMany
    {
        $relation = $this->hasMany(Stock::class);
        $relation->orderBy('name');

        return $relation;
    }

    /** @return HasMany<Lesson, $this> */
    public function lessons(): HasMany
    {
        return $this->hasMany(Lesson::class);
    }
}
