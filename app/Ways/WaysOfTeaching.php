<?php

declare(strict_types=1);

namespace App\Ways;

use App\Models\Group;
use App\Models\Lesson;
use App\Pacing\LessonPlan;
use App\Pacing\ModelMinutes;
use App\Programme\Loaded;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Shelf\ModelData;
use App\Shelf\ModelShelf;
use App\Teaching\ChangeWay;
use App\Teaching\WayChangeData;

/**
 * What another way of teaching a passage would change: its steps, its hard moments, its end, and the minutes.
 *
 * @phpstan-type Passage array{name: string, question: string|null, alike: bool, first: int, last: int,
 *     options: list<array{key: string, title: string, when: string|null, chosen: bool, usual: bool, steps: int,
 *     hard: list<string>, picture: array<string, mixed>}>}
 * @phpstan-type Offered array{name: string, question: string|null, first: int, last: int, chosen: string,
 *     options: list<array{key: string, title: string, when: string|null}>}
 */
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
     * @param  bool  $first  only the first question, which is shown first; the others take their time
     */
    public function ofModel(string $slug, array $ways, ?Group $group, bool $first = false): WaysData
    {
        return $this->of(
            $slug,
            $ways,
            fn (array $taken): ?int => $group === null ? null : $this->minutes->of($group, $slug, $taken),
            from: $first ? 1 : null,
        );
    }

    /**
     * Of a model of a lesson: minutes are those of the whole lesson, and each option says what the steps would become.
     *
     * @param  array<string, string>|null  $asked  ways that are thought of; null: as the lesson is set
     * @param  bool  $first  only the first question that is still open
     */
    public function ofLesson(Lesson $lesson, ProgrammeItem $item, ?array $asked, bool $first = false): WaysData
    {
        Loaded::one($lesson);

        return $this->of(
            slug: $item->slug,
            ways: $asked ?? $item->ways,
            minutes: fn (array $taken): int => $this->plan->minutes(
                $lesson,
                LoadedProgramme::of($lesson, $this->shelf, [$item->slug => $taken]),
            ),
            begins: $asked === null ? $item->first : null,
            from: $first ? max(1, $lesson->step - $item->first + 1) : null,
        );
    }

    /**
     * @param  array<string, string>  $ways
     * @param  callable(array<string, string>): ?int  $minutes  by ways
     * @param  int|null  $begins  number of the model's first step in a lesson; null: a change there is not asked for
     * @param  int|null  $from  only one passage, the first that is not over before this step of the model; null: all
     */
    private function of(
        string $slug,
        array $ways,
        callable $minutes,
        ?int $begins = null,
        ?int $from = null,
    ): WaysData {
        $passages = [];
        foreach ($this->passages($slug, $ways, $from) as $passage) {
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
                        $this->change->between(
                            slug: $slug,
                            ways: $ways,
                            passage: $passage['name'],
                            from: $chosen,
                            option: $key,
                            begins: $begins,
                        ),
                    ),
                ];
            }
            $passages[] = [...$passage, 'options' => $options];
        }

        return new WaysData($minutes($ways), $passages);
    }

    /**
     * What the passages and their options are, whoever is taught, in their order.
     *
     * @param  array<string, string>  $ways
     * @param  int|null  $from  see above
     * @return list<Passage>
     */
    private function passages(string $slug, array $ways, ?int $from): array
    {
        $found = [];
        foreach ($this->shelf->model($slug, $ways)->passages as $passage) {
            if ($from !== null && $passage['last'] < $from) {
                continue;
            }
            $passage = $this->passage($slug, $ways, $passage);
            if ($passage !== []) {
                $found[] = $passage;
                if ($from !== null) {
                    break;
                }
            }
        }

        return $found;
    }

    /**
     * One of them, kept, since every option is a model of its own.
     *
     * @param  array<string, string>  $ways
     * @param  Offered  $passage
     * @return Passage|array{} empty where by the other ways chosen none of its options has a step
     */
    private function passage(string $slug, array $ways, array $passage): array
    {
        $moves = $this->shelf->halves($slug, $ways) === null ? '' : '-moving';

        return $this->shelf->keepOf($slug, $ways, "passage-{$passage['name']}$moves", function () use (
            $slug,
            $ways,
            $passage,
        ): array {
            $taken = static fn (string $key): array => [...$ways, $passage['name'] => $key];
            $keys = array_column($passage['options'], 'key');
            $models = array_combine($keys, array_map(
                fn (string $key): ModelData => $this->shelf->model(
                    $slug,
                    $key === $passage['chosen'] ? $ways : $taken($key),
                ),
                $keys,
            ));
            $parted = array_filter(
                $keys,
                fn (string $key): bool => $this->shelf->parting($slug, $ways, $taken($key)) !== [],
            );
            $played = array_unique(array_map(static fn (ModelData $m): array => $m->play, $models), SORT_REGULAR);
            if ($parted === [] && count($played) === 1) {
                return [];
            }
            $look = PassageLook::of($passage['name'], $models);
            $options = [];
            foreach ($passage['options'] as $i => $way) {
                $options[] = [
                    ...$way,
                    'chosen' => $way['key'] === $passage['chosen'],
                    'usual' => $i === 0,
                    ...$look->options[$way['key']],
                ];
            }

            return [
                'name' => $passage['name'],
                'question' => $passage['question'],
                'alike' => $look->alike,
                'first' => $passage['first'],
                'last' => $passage['last'],
                'options' => $options,
            ];
        });
    }
}
