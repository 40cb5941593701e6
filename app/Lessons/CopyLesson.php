<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\LessonModel;
use Carbon\CarbonImmutable;

/**
 * The same lesson for another group or another day: models, ways, paper, blocks and how it is taught. What happened in
 * it, what was ticked and what was cut stays with the first one.
 */
final readonly class CopyLesson
{
    /** Columns that go with the plan, not with the day on which it was taught. */
    private const PLANNED = [
        'minutes', 'method', 'square_in_lesson', 'helpers_cut', 'prefer', 'decorate', 'materials', 'policies',
        'prepared', 'blocks',
    ];

    public function __construct(private SaveLesson $save)
    {
    }

    public function __invoke(Lesson $lesson, Group $group, CarbonImmutable $startsAt): Lesson
    {
        $lesson->loadMissing(['models', 'chosen']);
        $models = array_values($lesson->models->map(static fn (LessonModel $one): array => [
            'model' => $one->model,
            'ways' => $one->ways,
            'side_mm' => $one->side_mm,
            'times' => $one->times,
            'own_times' => $one->own_times,
            'checkpoints' => $one->checkpoints,
        ])->all());
        $first = $models[0] ?? abort(409, 'This lesson has no model any more, so it cannot be copied.');

        return ($this->save)(
            Lesson::blank($lesson->organisation_id),
            [
                ...array_combine(self::PLANNED, array_map($lesson->getAttribute(...), self::PLANNED)),
                'group_id' => $group->id,
                'starts_at' => $startsAt,
                // another group has its own helpers; the same keeps those of this lesson
                'helpers' => $group->id === $lesson->group_id ? $lesson->helpers : $group->helpers,
            ],
            [$first, ...array_slice($models, 1)],
            array_values(array_map(intval(...), $lesson->chosen->modelKeys())),
        );
    }
}
