<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A given name or nickname and a seat: nothing else is kept about a learner.
 *
 * @property int $id
 * @property int $group_id
 * @property string $name
 * @property int $seat
 */
final class Learner extends Model
{
    protected $guarded = [];
}
