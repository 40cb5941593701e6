<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Group;
use App\Models\Lesson;
use App\Shelf\ModelData;
use App\Shelf\ModelShelf;
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
                $taken = [...$ways, $passage['name'] => $key];
                $isNone = $begins === null || $this->shelf->parting($slug, $ways, $taken) === [];
                $options[] = [
                    ...$option,
                    'minutes' => $minutes($taken),
                    'change' => $isNone ? null : new WayChangeData(
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
            $passages = [];
            foreach ($this->shelf->model($slug, $ways)->routes as $route) {
                $taken = static fn (string $key): array => [...$ways, $route['name'] => $key];
                $keys = array_column($route['ways'], 'key');
                $models = array_combine($keys, array_map(
                    fn (string $key): ModelData => $this->shelf->model(
                        $slug,
                        $key === $route['chosen'] ? $ways : $taken($key),
                    ),
                    $keys,
                ));
                $parted = array_filter(
                    $keys,
                    fn (string $key): bool => $this->shelf->parting($slug, $ways, $taken($key)) !== [],
                );
                $played = array_unique(array_map(static fn (ModelData $m): array => $m->play, $models), SORT_REGULAR);
                if ($parted === [] && count($played) === 1) {
                    continue; // by the other ways chosen none of its options has a step
                }
                $look = PassageLook::of($route['name'], $models);
                $options = [];
                foreach ($route['ways'] as $i => $way) {
                    $options[] = [
                        ...$way,
                        'chosen' => $way['key'] === $route['chosen'],
                        'usual' => $i === 0,
                        ...$look->options[$way['key']],
                    ];
                }
                $passages[] = [
                    'name' => $route['name'],
                    'question' => $route['question'],
                    'alike' => $look->alike,
                    'first' => $route['first'],
                    'last' => $route['last'],
                    'options' => $options,
                ];
            }

            return $passages;
        });
    }
}
