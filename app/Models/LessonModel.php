<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A model of a lesson, in its place.
 *
 * @property int $id
 * @property int $lesson_id
 * @property int $place from 0
 * @property string $model
 * @property array<string, string>|null $ways
 * @property float|null $side_mm
 * @property array<int, bool>|null $checkpoints by step of the model: those that were put or taken away
 * @property array<int, int>|null $own_times seconds by step of the model, as the lead says
 * @property int $times how often it is folded in the lesson, 1 or 2
 */
final class LessonModel extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['times' => 1];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['place' => 'integer', 'ways' => 'array', 'side_mm' => 'float', 'times' => 'integer',
            'checkpoints' => 'array', 'own_times' => 'array'];
    }
}
