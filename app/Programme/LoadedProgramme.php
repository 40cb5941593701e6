<?php

declare(strict_types=1);

namespace App\Programme;

use App\Models\Lesson;
use App\Models\LessonModel;
use App\Shelf\GoneFromShelf;
use App\Shelf\ModelFacts;
use App\Shelf\ModelShelf;
use Cathedra\Core\Lesson\Programme as CoreProgramme;
use Cathedra\Core\Pacing\ModelLoad;

/** What a lesson teaches, model by model; its steps are numbered through. */
final readonly class LoadedProgramme
{
    /** @param  non-empty-list<ProgrammeItem>  $items */
    private function __construct(public array $items)
    {
    }

    /** @param  array<string, array<string, string>>  $instead  ways by model, in place of those the lesson is set to */
    public static function of(Lesson $lesson, ModelShelf $shelf, array $instead = []): self
    {
        $items = [];
        $next = 1;
        foreach ($lesson->models as $model) {
            if (! $shelf->has($model->model)) {
                continue; // gone from the library since it was planned
            }
            $own = self::offered($shelf, $model->model, $instead[$model->model] ?? $model->ways ?? []);
            $items[] = $item = self::item($shelf, $model, $own, $next);
            $next += count($item->loads);
        }
        if ($items === []) {
            throw GoneFromShelf::of($lesson);
        }

        return new self($items);
    }

    /** Whether something of the lesson is still on the shelf. */
    public static function isThere(Lesson $lesson, ModelShelf $shelf): bool
    {
        return $lesson->models->contains(static fn (LessonModel $model): bool => $shelf->has($model->model));
    }

    /**
     * The ways that are still offered; for the others the usual one is taken.
     *
     * @param  array<string, string>  $ways
     * @return array<string, string>
     */
    private static function offered(ModelShelf $shelf, string $slug, array $ways): array
    {
        return $ways === [] || $shelf->offers($slug, $ways) ? $ways : array_filter(
            $ways,
            static fn (string $option, string $name): bool => $shelf->offers($slug, [$name => $option]),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    public function steps(): int
    {
        return array_sum(array_map(static fn (ProgrammeItem $i): int => count($i->loads), $this->items));
    }

    /** The same as the core reads logs with. */
    public function core(): CoreProgramme
    {
        return CoreProgramme::of(array_map(
            static fn (ProgrammeItem $i): array => [
                'slug' => $i->slug,
                'steps' => count($i->loads),
                'passages' => $i->passages,
            ],
            $this->items,
        ));
    }

    public function find(string $slug): ?ProgrammeItem
    {
        foreach ($this->items as $item) {
            if ($item->slug === $slug) {
                return $item;
            }
        }

        return null;
    }

    /** @return list<ModelLoad> */
    public function loads(): array
    {
        return array_map(
            static fn (ProgrammeItem $i): ModelLoad => new ModelLoad(
                steps: $i->loads,
                diagonals: $i->diagonals,
                times: $i->times,
                side: $i->side ?? ModelLoad::SIDE,
                own: $i->own,
            ),
            $this->items,
        );
    }

    public function title(): string
    {
        return implode(', ', array_map(static fn (ProgrammeItem $i): string => $i->facts->title, $this->items));
    }

    /** @return list<ModelFacts> */
    public function models(): array
    {
        return array_map(static fn (ProgrammeItem $i): ModelFacts => $i->facts, $this->items);
    }

    /** @param  array<string, string>  $ways */
    private static function item(ModelShelf $shelf, LessonModel $model, array $ways, int $first): ProgrammeItem
    {
        $slug = $model->model;
        $loads = $shelf->loads($slug, $ways);
        // what was said of steps that this way does not have is left alone, until it has them again
        $there = static fn (int $step): bool => isset($loads[$step - 1]);
        $checkpoints = array_filter($model->checkpoints ?? [], $there, ARRAY_FILTER_USE_KEY);
        foreach ($checkpoints as $step => $isOne) {
            $loads[$step - 1] = $loads[$step - 1]->checked($isOne);
        }

        return new ProgrammeItem(
            slug: $slug,
            ways: $ways,
            side: $model->side_mm,
            first: $first,
            loads: array_values($loads),
            facts: $shelf->facts($slug),
            passages: $shelf->passages($slug, $ways),
            diagonals: $shelf->diagonals($slug, $ways),
            times: $model->times,
            own: array_filter($model->own_times ?? [], $there, ARRAY_FILTER_USE_KEY),
            checkpoints: $checkpoints,
        );
    }
}
