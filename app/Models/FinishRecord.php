<?php

declare(strict_types=1);

namespace App\Models;

use Cathedra\Core\Lesson\Finish;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What the log says of a learner and a model, kept for lists over many lessons; the room of teaching writes it.
 *
 * @property int $id
 * @property int $lesson_id
 * @property int $learner_id
 * @property string $model library name of the model
 * @property Finish $outcome
 * @property int|null $step where the learner stopped
 * @property bool $seen that it was finished was seen or said; else it is presumed
 * @property array<string, string>|null $ways option by passage, of the passages that were folded
 * @property Lesson $lesson
 */
final class FinishRecord extends Model
{
    protected $table = 'finishes';

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['outcome' => Finish::class, 'step' => 'integer', 'seen' => 'boolean', 'ways' => 'array'];
    }

    /** SQL for the rank of a column of outcomes; Finish says what ranks how. */
    public static function rank(string $column): string
    {
        $cases = array_map(static fn (Finish $f): string => "WHEN '{$f->value}' THEN {$f->rank()}", Finish::cases());

        return "CASE $column ".implode(' ', $cases).' END';
    }

    /** @return list<string> outcomes that count as finished */
    public static function finished(): array
    {
        return array_values(array_map(
            static fn (Finish $f): string => $f->value,
            array_filter(Finish::cases(), static fn (Finish $f): bool => $f->isFinished()),
        ));
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }
}
