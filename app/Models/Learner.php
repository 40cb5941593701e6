<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A given name or nickname and a seat: nothing else is kept about a learner.
 *
 * @property int $id
 * @property int $group_id
 * @property string $name
 * @property int|null $seat empty in the bin and while a list is put in order
 * @property Group $group
 * @property \Carbon\CarbonImmutable|null $deleted_at since when it lies in the bin
 */
final class Learner extends Model
{
    use SoftDeletes;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['seat' => 'integer'];
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }
}
