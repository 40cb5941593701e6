<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One tap in front of the class: a learner has done a step, or needs help at it. The key is made by the device, so a
 * mark
 * sent twice over a bad connection is kept once.
 *
 * @property int $id
 * @property string $key
 * @property int $lesson_id
 * @property int $learner_id
 * @property int $step
 * @property string $kind done or help
 * @property CarbonImmutable $at
 */
final class Mark extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['step' => 'integer', 'at' => 'immutable_datetime'];
    }
}
