<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use Illuminate\Support\Facades\DB;

/** Saves a lesson with its further models and further paper: all of it or nothing. */
final readonly class SaveLesson
{
    /**
     * @param  array<string, mixed>  $columns
     * @param  list<array{model: string, ways: array<string, string>|null, side_mm: float|null}>|null  $further  null:
     *     as it was
     * @param  list<int>|null  $also  stocks; null: as it was
     */
    public function __invoke(Lesson $lesson, array $columns, ?array $further, ?array $also): Lesson
    {
        DB::transaction(function () use ($lesson, $columns, $further, $also): void {
            $lesson->fill($columns)->save();
            if ($further !== null) {
                $lesson->further()->delete();
                foreach ($further as $i => $model) {
                    $lesson->further()->create(['place' => $i + 1] + $model);
                }
            }
            if ($also !== null) {
                $lesson->alsoFrom()->sync($also);
            }
        });

        return $lesson->unsetRelations();
    }
}
