<?php

declare(strict_types=1);

namespace App\Models;

use Cathedra\Core\Progress\Finish;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $lesson_id
 * @property int $learner_id
 * @property string $model library name of the model
 * @property Finish $outcome
 * @property int|null $step where the learner stopped
 * @property Lesson $lesson
 */
final class FinishRecord extends Model
{
    protected $table = 'finishes';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['outcome' => Finish::class, 'step' => 'integer'];
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }
}
