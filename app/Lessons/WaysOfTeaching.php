<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Group;
use App\Models\Lesson;
use App\Shelf\ModelData;
use App\Shelf\ModelShelf;
use App\Shelf\StepData;
use App\Teaching\ChangeWay;
use App\Teaching\WayChangeData;

/** What another way of teaching a passage would change: its steps, its hard moments, its end, and the minutes. */
final readonly class WaysOfTeaching
{
    public function __construct(
        private ModelShelf $shelf,
        private ModelMinutes $minutes,
        private LessonPlan $plan,
        private ChangeWay $change,
    ) {
    }

    /**
     * Of a model alone.
     *
     * @param  array<string, string>  $ways  as chosen; others are the usual ones
     */
    public function ofModel(string $slug, array $ways, ?Group $group): WaysData
    {
        return $this->of(
            $slug,
            $ways,
            fn (array $taken): ?int => $group === null ? null : $this->minutes->of($group, $slug, $taken),
        );
    }

    /**
     * Of a model of a lesson: minutes are those of the whole lesson, and each option says what the steps would become.
     *
     * @param  array<string, string>|null  $asked  ways that are thought of; null: as the lesson is set
     */
    public function ofLesson(Lesson $lesson, ProgrammeItem $item, ?array $asked): WaysData
    {
        $lesson->loadMissing(LessonSheet::WITH);

        return $this->of(
            $item->slug,
            $asked ?? $item->ways,
            fn (array $taken): int => $this->plan->minutes(
                $lesson,
                Programme::of($lesson, $this->shelf, [$item->slug => $taken]),
            ),
            $asked === null ? $item->first : null,
        );
    }

    /**
     * @param  array<string, string>  $ways
     * @param  callable(array<string, string>): ?int  $minutes  by ways
     * @param  int|null  $begins  number of the model's first step in a lesson; null: a change there is not asked for
     */
    private function of(string $slug, array $ways, callable $minutes, ?int $begins = null): WaysData
    {
        $passages = [];
        foreach ($this->passages($slug, $ways) as $passage) {
            $chosen = array_column($passage['options'], 'key', 'chosen')[1] ?? '';
            $options = [];
            foreach ($passage['options'] as $option) {
                $key = $option['key'];
                $options[] = [
                    ...$option,
                    'minutes' => $minutes([...$ways, $passage['name'] => $key]),
                    'change' => $begins === null || $option['chosen'] ? null : new WayChangeData(
                        $this->change->between($slug, $ways, $passage['name'], $chosen, $key, $begins),
                    ),
                ];
            }
            $passages[] = [...$passage, 'options' => $options];
        }

        return new WaysData($minutes($ways), $passages);
    }

    /**
     * What the passages and their options are, whoever is taught; kept, since every option is a model of its own.
     *
     * @param  array<string, string>  $ways
     * @return list<array{name: string, question: string|null, alike: bool, first: int, last: int,
     *     options: list<array{key: string, title: string, when: string|null, chosen: bool, usual: bool, steps: int,
     *     hard: list<string>, picture: array<string, mixed>}>}>
     */
    private function passages(string $slug, array $ways): array
    {
        $moves = $this->shelf->halves($slug, $ways) === null ? '' : '-moving';

        return $this->shelf->keepOf($slug, $ways, "passages$moves", function () use ($slug, $ways): array {
            $model = $this->shelf->model($slug, $ways);
            $passages = [];
            foreach ($model->routes as $route) {
                $options = [];
                foreach ($route['ways'] as $i => $way) {
                    $isChosen = $way['key'] === $route['chosen'];
                    $taken = [...$ways, $route['name'] => $way['key']];
                    $options[] = [
                        'key' => $way['key'],
                        'title' => $way['title'],
                        'when' => $way['when'],
                        'chosen' => $isChosen,
                        'usual' => $i === 0,
                        ...self::passage($isChosen ? $model : $this->shelf->model($slug, $taken), $route['name']),
                    ];
                }
                $passages[] = [
                    'name' => $route['name'],
                    'question' => $route['question'],
                    'alike' => $route['alike'],
                    'first' => $route['first'],
                    'last' => $route['last'],
                    'options' => $options,
                ];
            }

            return $passages;
        });
    }

    /** @return array{steps: int, hard: list<string>, picture: array<string, mixed>} */
    private static function passage(ModelData $model, string $name): array
    {
        $route = array_column($model->routes, null, 'name')[$name];
        $steps = array_slice($model->steps, $route['first'] - 1, $route['last'] - $route['first'] + 1);
        $hard = array_filter($steps, static fn (StepData $step): bool => $step->hard);

        return [
            'steps' => count($steps),
            'hard' => array_values(array_map(static fn (StepData $step): string => $step->name, $hard)),
            'picture' => $route['alike'] ? self::moment($steps) : self::end($model, $route['last']),
        ];
    }

    /**
     * Ways that end alike are told apart by their hardest step.
     *
     * @param  list<StepData>  $steps
     * @return array<string, mixed>
     */
    private static function moment(array $steps): array
    {
        usort($steps, static fn (StepData $a, StepData $b): int => $b->level <=> $a->level);

        return $steps[0]->halfway ?? $steps[0]->before;
    }

    /**
     * An option without steps leaves the paper as the step before it did, or as it lay at first.
     *
     * @return array<string, mixed>
     */
    private static function end(ModelData $model, int $last): array
    {
        return ($model->steps[$last - 1] ?? null)->after ?? $model->steps[0]->before;
    }
}
