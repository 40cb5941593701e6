<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Support\Conflict;
use App\Support\Transaction;
use App\Support\Versions;

/**
 * Saves a lesson with its models and papers: all of it or nothing, and only over what its lead has seen. Once it is
 * taught it changes only by corrections of its log; while it is being taught, who folds what stays.
 *
 * @phpstan-type Placed array{model: string, ways: array<string, string>|null, side_mm: float|null, times: int,
 *     own_times: array<int, int>|null, checkpoints: array<int, bool>|null}
 */
final readonly class SaveLesson
{
    /** What is compared when two leads changed the same lesson, and how it is called. */
    private const SAID = [
        'group_id' => 'group',
        'starts_at' => 'start',
        'minutes' => 'minutes',
        'helpers' => 'helpers',
        'method' => 'cutting',
        'square_in_lesson' => 'squares in the lesson',
        'paper_ready' => 'paper ready',
        'prefer' => 'what the plan prefers',
        'helpers_cut' => 'helpers cut',
        'decorate' => 'decorating',
        'materials' => 'materials',
        'policies' => 'policies',
        'prepared' => 'steps folded before',
        'blocks' => 'blocks',
    ];

    /**
     * @param  array<string, mixed>  $columns
     * @param  non-empty-list<Placed>  $models
     * @param  list<int>  $stocks
     * @param  int|null  $version  the one that was changed; null: whatever is there
     *
     * @throws Conflict
     */
    public function __invoke(Lesson $lesson, array $columns, array $models, array $stocks, ?int $version = null): Lesson
    {
        Transaction::run(function () use ($lesson, $columns, $models, $stocks, $version): void {
            if ($lesson->exists) {
                $lesson->setRawAttributes(Transaction::locked($lesson)->getAttributes(), true);
                $lesson->unsetRelations();
                $this->guard($lesson, $columns, $models);
                $this->compare(lesson: $lesson, columns: $columns, models: $models, stocks: $stocks, version: $version);
                $lesson->version++;
            }
            $lesson->fill($columns)->save();
            $this->place($lesson, $models);
            $lesson
                ->chosen()
                ->sync(
                    array_combine(
                        $stocks,
                        array_map(static fn (int $place): array => ['place' => $place], array_keys($stocks)),
                    ),
                );
        });

        return $lesson->unsetRelations();
    }

    /**
     * A model as it is taught where nobody has said anything of it.
     *
     * @return Placed
     */
    public static function asUsual(string $model): array
    {
        return [
            'model' => $model, 'ways' => null, 'side_mm' => null, 'times' => 1, 'own_times' => null,
            'checkpoints' => null,
        ];
    }

    /** @param  list<Placed>  $models */
    private function place(Lesson $lesson, array $models): void
    {
        $lesson->models()->delete();
        foreach ($models as $place => $model) {
            $lesson->models()->create(['place' => $place] + $model);
        }
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  list<Placed>  $models
     */
    private function guard(Lesson $lesson, array $columns, array $models): void
    {
        if ($lesson->ended_at !== null) {
            throw Conflict::at(
                '/',
                'This lesson has been taught, so its plan stays as it was. Its records can be corrected'.
                    ' under "keep".',
            );
        }
        if ($lesson->started_at === null) {
            return;
        }
        if ((int) ($columns['group_id'] ?? $lesson->group_id) !== $lesson->group_id) {
            throw Conflict::at('/group_id', 'This lesson is being taught: its group stays, since marks belong to it.');
        }
        $named = array_map(static fn (array $m): array => [$m['model'], $m['ways']], $models);
        if ($named != $lesson->models->map(static fn ($m): array => [$m->model, $m->ways])->all()) {
            throw Conflict::at(
                '/models',
                'This lesson is being taught: its models stay, since marks count their steps.',
            );
        }
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  list<Placed>  $models
     * @param  list<int>  $stocks
     */
    private function compare(Lesson $lesson, array $columns, array $models, array $stocks, ?int $version): void
    {
        $theirs = $mine = [];
        foreach (self::SAID as $column => $said) {
            if (array_key_exists($column, $columns)) {
                $theirs[$said] = $lesson->getAttribute($column);
                $mine[$said] = $columns[$column];
            }
        }
        $theirs['models'] = $lesson->models
            ->map(static fn ($m): array => [$m->model, $m->side_mm, $m->times, $m->own_times, $m->checkpoints])
            ->all();
        $mine['models'] = array_map(
            static fn (array $m): array => [
                $m['model'], $m['side_mm'], $m['times'], $m['own_times'], $m['checkpoints'],
            ],
            $models,
        );
        $theirs['paper'] = array_map(intval(...), $lesson->chosen->modelKeys());
        $mine['paper'] = $stocks;
        Versions::compare(now: $lesson->version, seen: $version, what: 'this lesson', theirs: $theirs, mine: $mine);
    }
}
