<?php

declare(strict_types=1);

namespace App\Models;

use Cathedra\Core\Wording\Directions;
use Cathedra\Core\Wording\FoldNames;
use Cathedra\Core\Wording\Manner;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $name
 * @property Directions $directions
 * @property FoldNames $fold_names
 * @property bool $letters
 * @property array<string, string>|null $policies how lessons are usually taught here, by policy
 */
final class Organisation extends Model
{
    protected $guarded = [];

    protected $attributes = ['directions' => 'folder', 'fold_names' => 'term', 'letters' => false, 'policies' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'directions' => Directions::class,
            'fold_names' => FoldNames::class,
            'letters' => 'boolean',
            'policies' => 'array',
        ];
    }

    public function manner(): Manner
    {
        return new Manner($this->directions, $this->fold_names, $this->letters);
    }

    /** @return HasMany<Group, $this> */
    public function groups(): HasMany
    {
        $relation = $this->hasMany(Group::class);
        $relation->orderBy('name');

        return $relation;
    }

    /** @return HasMany<Stock, $this> what is really there first: screens choose the first */
    public function stocks(): HasMany
    {
        $relation = $this->hasMany(Stock::class);
        $relation->orderByRaw('(`count` <=> 0)')->orderBy('name');

        return $relation;
    }

    /** @return HasMany<Lesson, $this> */
    public function lessons(): HasMany
    {
        return $this->hasMany(Lesson::class);
    }
}
