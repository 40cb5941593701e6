<?php

declare(strict_types=1);

namespace Cathedra\Core\Kit;

use Cathedra\Core\Paper\Material;

/**
 * What has to be done and laid out before a lesson, in the order of doing it, and what goes to each learner and each
 * table. Each entry is a key and its numbers; words come from the phrasebook. A key is counted through (cut-1, cut-2),
 * so that what is ticked off stays ticked when something is added.
 *
 * @phpstan-type Entry array{key: string, said: string, with: array<string, int|float|string>}
 */
final readonly class KitList
{
    /** Learners who share one pair of scissors. */
    private const SHARE_SCISSORS = 3;

    /**
     * @param  int  $learners  at least 1
     * @param  int  $seats  learners at a table, at least 1
     * @param  bool  $squareInLesson  the learners make their squares themselves
     * @param  bool  $modelCuts  a model itself is cut
     * @param  'scissors'|'trimmer'|'tear'  $method
     * @param  list<Material>  $materials
     * @param  int  $prepared  steps of the first model that are folded before
     * @param  list<'fresh'|'step-cards'|'table-cards'|'card'|'pencil'>  $brings  what the way of teaching asks for
     */
    public function __construct(
        private LessonPaper $paper,
        private int $learners,
        private int $seats,
        private bool $squareInLesson,
        private bool $modelCuts,
        private string $method,
        private array $materials,
        private int $prepared = 0,
        private array $brings = [],
    ) {
    }

    /** @return list<Entry> */
    public function toDo(): array
    {
        $entries = [];
        $add = static function (string $key, array $with = [], ?string $said = null) use (&$entries): void {
            $number =
                1 + count(array_filter($entries, static fn (array $e): bool => str_starts_with($e['key'], "$key-")));
            $entries[] = ['key' => "$key-$number", 'said' => $said ?? $key, 'with' => $with];
        };
        foreach ($this->paper->takes as $stock => $sheets) {
            $sheets === 0 ?: $add('take', ['n' => $sheets, 'name' => $this->paper->pile[$stock]->name]);
        }
        $cut = array_filter($this->paper->pieces, static fn (array $p): bool => ! $p['uncut']);
        if ($cut !== [] && ! $this->squareInLesson) {
            foreach ($cut as $piece) {
                $add('cut', ['n' => $piece['count'], 'side' => $piece['side'], 'title' => $piece['title']]);
            }
            $add('check-square');
        }
        foreach ($this->paper->models as $model) {
            $add('practise', ['title' => $model->title], count($this->paper->models) > 1 ? 'practise-of' : null);
        }
        $first = $this->paper->models[0] ?? null;
        if ($this->prepared > 0 && $first !== null) {
            $add('prefold', [
                'n' => $this->learners + $first->spares,
                'steps' => $this->prepared,
                'title' => $first->title,
            ]);
        }
        $add('sort', [
            'n' => $this->squareInLesson && $cut !== []
                ? $this->handedOut()
                : array_sum(array_column($this->forLearner(), 'times')),
            'kits' => $this->learners,
            'tables' => $this->tables(),
        ]);
        foreach ($this->paper->models as $model) {
            $add(
                'spares',
                ['n' => $model->spares, 'title' => $model->title],
                count($this->paper->models) > 1 ? 'spares-of' : null,
            );
        }
        if ($this->scissors() > 0) {
            $add('scissors', ['n' => $this->scissors(), 'share' => self::SHARE_SCISSORS]);
        }
        foreach ($this->brings as $what) {
            $add("bring-$what", [
                'n' => match ($what) {
                    'fresh' => $this->fresh(),
                    'table-cards' => $this->tables(),
                    default => $this->learners,
                },
            ]);
        }
        foreach ($this->materials as $material) {
            $add('material', [
                'n' => $material->amount($this->learners, $this->tables(), $this->finished()),
                'name' => $material->name,
            ]);
        }

        return $entries;
    }

    /**
     * @return list<array{title: string, side: float, uncut: bool, times: int}> what one learner gets, and how many of
     *     each: more than one where a model is folded twice, or a fresh square is taken
     */
    public function forLearner(): array
    {
        return array_map(
            fn (array $p): array => [
                'title' => $p['title'],
                'side' => $p['side'],
                'uncut' => $p['uncut'],
                'times' => $this->each($p['model']),
            ],
            $this->paper->pieces,
        );
    }

    /** Sets of a model's pieces for one learner. */
    private function each(int $model): int
    {
        return max(1, intdiv($this->paper->models[$model]->learners, $this->learners));
    }

    /**
     * Learners are dealt to as few tables as there must be, as evenly as they can be: 10 at tables of 4 are 4, 3 and 3.
     *
     * @return list<array{learners: int, scissors: int, materials: array<string, int>}> by table; materials by key
     */
    public function forTables(): array
    {
        $tables = $this->tables();
        $list = [];
        for ($table = 0; $table < $tables; $table++) {
            $seated = intdiv($this->learners, $tables) + ($table < $this->learners % $tables ? 1 : 0);
            $amounts = [];
            foreach ($this->materials as $material) {
                $amounts[$material->key] =
                    $material->per === 'room'
                        ? 0
                        : $material->amount($seated, 1, $seated * count($this->paper->models));
            }
            $list[] = [
                'learners' => $seated,
                'scissors' => $this->scissors() === 0 ? 0 : (int) ceil($seated / self::SHARE_SCISSORS),
                'materials' => array_filter($amounts),
            ];
        }

        return $list;
    }

    public function tables(): int
    {
        return (int) ceil($this->learners / max(1, $this->seats));
    }

    /** Squares that are folded while those made in the lesson are put aside: one a learner and square piece. */
    private function fresh(): int
    {
        return $this->learners * count(array_filter($this->paper->pieces, static fn (array $p): bool => ! $p['uncut']));
    }

    /** Pairs of scissors in all, table by table, since no pair is at two tables. */
    private function scissors(): int
    {
        if (! $this->modelCuts && ! ($this->squareInLesson && $this->method === 'scissors')) {
            return 0;
        }
        $pairs = 0;
        for ($table = 0; $table < $this->tables(); $table++) {
            $pairs += (int) ceil(
                (intdiv($this->learners, $this->tables()) + ($table < $this->learners % $this->tables() ? 1 : 0)) /
                    self::SHARE_SCISSORS,
            );
        }

        return $pairs;
    }

    private function finished(): int
    {
        return $this->learners * count($this->paper->models);
    }

    /**
     * Sheets or squares handed to each learner when squares are made in the lesson: the uncut ones and one sheet for
     * each model.
     */
    private function handedOut(): int
    {
        return array_sum(array_map($this->each(...), array_keys($this->paper->models)));
    }
}
