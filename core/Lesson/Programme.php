<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

use Cathedra\Core\Rules\Bounds;

/** What a lesson teaches: models in a row, steps numbered through from 1. */
final readonly class Programme
{
    /** Models in one lesson at most; one slot of 90 minutes holds no more. */
    public const MAX_MODELS = Bounds::MAX_MODELS;

    /** How often one model is folded in a lesson: slowly, and once more, faster. Its steps are counted once. */
    public const MOST_TIMES = 2;

    /** @param  non-empty-list<ProgrammeModel>  $models */
    private function __construct(public array $models)
    {
    }

    /**
     * @param  list<array{slug: string, steps: int, passages?: list<array{name: string, option: string,
     *     last: int}>}>  $models  in the order they are taught
     *
     * @throws BadEvent when there are none, too many, one twice, or one without steps
     */
    public static function of(array $models): self
    {
        if ($models === [] || count($models) > self::MAX_MODELS) {
            throw BadEvent::at('models', 'A lesson has 1 to '.self::MAX_MODELS.' models.');
        }
        $row = [];
        $next = 1;
        foreach ($models as $model) {
            ['slug' => $slug, 'steps' => $steps] = $model;
            if ($steps < 1 || array_filter($row, static fn (ProgrammeModel $m): bool => $m->slug === $slug) !== []) {
                throw BadEvent::at('models', 'Each model comes once in a lesson and has steps.');
            }
            $row[] = new ProgrammeModel($slug, $next, $steps, $model['passages'] ?? []);
            $next += $steps;
        }

        return new self($row);
    }

    public function steps(): int
    {
        return $this->models[count($this->models) - 1]->last();
    }

    /** The model this step belongs to; null before the first and after the last. */
    public function at(int $step): ?ProgrammeModel
    {
        foreach ($this->models as $model) {
            if ($model->holds($step)) {
                return $model;
            }
        }

        return null;
    }

    public function find(string $slug): ?ProgrammeModel
    {
        foreach ($this->models as $model) {
            if ($model->slug === $slug) {
                return $model;
            }
        }

        return null;
    }
}
