<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a learner read off the ruler.
 *
 * @property int $id
 * @property int $lesson_id
 * @property int $learner_id
 * @property string $model the body that was measured; '': the first of the lesson, as before there were several
 * @property string $name width, depth, height or slope
 * @property float $mm
 */
final class Reading extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['mm' => 'float'];
    }
}
