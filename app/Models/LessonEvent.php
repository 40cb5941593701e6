<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\Finish;
use Illuminate\Database\Eloquent\Model;

/**
 * One line of a lesson's log; the room of teaching writes and reads them, Cathedra\Core\Lesson\Event says what they
 * mean.
 *
 * @property int $id
 * @property int $lesson_id
 * @property int $number within the lesson, from 1
 * @property string $key
 * @property string $kind
 * @property int|null $learner_id
 * @property int|null $step
 * @property string|null $cancels
 * @property string|null $model
 * @property Finish|null $finish
 * @property int|null $finish_step
 * @property string|null $text
 * @property int|null $user_id
 * @property string $device
 * @property CarbonImmutable $device_at
 * @property int $after_number
 * @property CarbonImmutable $at
 */
final class LessonEvent extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'number' => 'integer',
            'step' => 'integer',
            'finish' => Finish::class,
            'finish_step' => 'integer',
            'after_number' => 'integer',
            'device_at' => 'immutable_datetime:Y-m-d H:i:s.v',
            'at' => 'immutable_datetime:Y-m-d H:i:s.v',
        ];
    }
}
