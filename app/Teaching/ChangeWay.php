<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\Lesson;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use Cathedra\Core\Lesson\BadEvent;
use Cathedra\Core\Lesson\WayChange;

/** Shows a passage of a lesson another way from now on. What a device says of the steps is compared with the model. */
final readonly class ChangeWay
{
    public function __construct(private ModelShelf $shelf)
    {
    }

    /**
     * The change that another option of a passage would be, as the lesson stands.
     *
     * @throws BadEvent when the lesson does not have that passage or option
     */
    public function to(Lesson $lesson, string $slug, string $passage, string $option): WayChange
    {
        $item = LoadedProgramme::of($lesson, $this->shelf)->find($slug)
            ?? throw BadEvent::at('way', 'That model is not in this lesson.');
        $from = array_column($item->passages, 'option', 'name')[$passage] ?? null;
        $ways = [...$item->ways, $passage => $option];
        if ($from === null || ! $this->shelf->offers($slug, $ways)) {
            throw BadEvent::at('way', 'This model does not offer that way.');
        }

        return $this->between(
            slug: $slug,
            ways: $item->ways,
            passage: $passage,
            from: $from,
            option: $option,
            begins: $item->first,
        );
    }

    /**
     * @param  array<string, string>  $ways  as they are
     * @param  int  $begins  number of the model's first step in the lesson
     */
    public function between(
        string $slug,
        array $ways,
        string $passage,
        string $from,
        string $option,
        int $begins,
    ): WayChange {
        $spans = array_map(
            static fn (array $span): array => [
                'first' => $span['first'] + $begins - 1,
                'was' => $span['was'],
                'now' => $span['now'],
            ],
            $this->shelf->parting($slug, $ways, [...$ways, $passage => $option]),
        );

        return WayChange::of(
            model: $slug,
            passage: $passage,
            from: $from,
            option: $option,
            begins: $begins,
            spans: $spans,
        );
    }

    /**
     * @throws BadEvent when the change is not the one that the lesson, as it stands, would make
     */
    public function change(Lesson $locked, WayChange $way): void
    {
        if (! $this->to($locked, $way->model, $way->passage, $way->option)->equals($way)) {
            throw BadEvent::at('way', 'The ways of this lesson were changed meanwhile. Look again and choose.');
        }
        foreach ($locked->models as $model) {
            if ($model->model === $way->model) {
                $model->ways = [...$model->ways ?? [], $way->passage => $way->option];
                $model->save();
            }
        }
    }
}
