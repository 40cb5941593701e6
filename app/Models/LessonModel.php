<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A further model of a lesson, after its first one.
 *
 * @property int $id
 * @property int $lesson_id
 * @property int $place from 1
 * @property string $model
 * @property array<string, string>|null $ways
 * @property float|null $side_mm
 */
final class LessonModel extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['place' => 'integer', 'ways' => 'array', 'side_mm' => 'float'];
    }
}
