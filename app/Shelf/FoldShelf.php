<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Accounts\MannerOf;
use App\Support\LibraryFiles;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Rules\FoldGuidance;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\Folder;

/**
 * The kinds of fold, each with its guidance, its pictures and where it is taught.
 *
 * @phpstan-import-type Entry from FoldCatalogue
 */
final readonly class FoldShelf
{
    /** Kinds that are explained as one crease seen from two sides. */
    private const TWO_SIDES = [FoldKind::Valley, FoldKind::Mountain, FoldKind::Crease];

    public function __construct(
        private LibraryFiles $files,
        private ModelShelf $shelf,
        private FoldCatalogue $catalogue,
        private MannerOf $manner,
        private Motions $motions,
    ) {
    }

    /** @return list<FoldData> in the order of library/guidance.yaml */
    public function all(): array
    {
        return array_values(array_map($this->fold(...), $this->files->guidance()->folds));
    }

    /**
     * One picture for each kind that the shelf teaches: the easiest step of its kind with the fold drawn in.
     *
     * @return list<array{kind: string, drawing: array<string, mixed>}>
     */
    public function signs(): array
    {
        $signs = [];
        foreach (array_keys($this->files->guidance()->folds) as $kind) {
            $first = $this->examples($kind)[0] ?? null;
            if ($first !== null) {
                $signs[] = ['kind' => $kind, 'drawing' => $this->step($first)->before];
            }
        }

        return $signs;
    }

    /** The page of one kind; null when there is no such kind. */
    public function page(string $kind): ?FoldPageData
    {
        $guidance = $this->files->guidance();
        $fold = $guidance->folds[$kind] ?? null;

        return $fold === null ? null : new FoldPageData(
            fold: $this->fold($fold),
            pictures: $this->pictures($kind),
            two_sides: in_array(FoldKind::from($kind), self::TWO_SIDES, true) ? $this->twoSides() : [],
            taught_in: array_map(static fn (array $entry): array => [
                'slug' => $entry['slug'],
                'title' => $entry['title'],
                'difficulty' => $entry['difficulty'],
                'ways' => (object) $entry['ways'],
                'way' => $entry['way'],
                'steps' => array_column($entry['steps'][$kind], 'number'),
            ], $this->teaching($kind)),
            source: $guidance->source,
        );
    }

    private function fold(FoldGuidance $of): FoldData
    {
        $words = $this->files->words(($this->manner)());
        $table = $this->files->folds();
        $name = static fn (string $kind): string => $words->foldName($kind);
        $teaching = $this->teaching($of->kind);
        $levels = [0];
        foreach ($teaching as $entry) {
            array_push($levels, ...array_column($entry['steps'][$of->kind], 'level'));
        }

        return new FoldData(
            kind: $of->kind,
            name: $name($of->kind),
            what: $of->what,
            hold: $of->hold,
            press: $of->press,
            stop: $of->stop,
            wrong: $of->wrong,
            safer: $of->safer,
            is_fold: FoldKind::from($of->kind)->isFold(),
            fold_seconds: (int) round($table->seconds[$of->kind]['fold']),
            show_seconds: (int) round($table->seconds[$of->kind]['show']),
            before: array_map(
                static fn (string $kind): array => ['kind' => $kind, 'name' => $name($kind)],
                $table->buildsOn[$of->kind] ?? [],
            ),
            models: count(array_unique(array_column($teaching, 'slug'))),
            hardest: max($levels),
        );
    }

    /**
     * Where it is taught: of each model the usual way, or the first other one that has it.
     *
     * @return list<Entry>
     */
    private function teaching(string $kind): array
    {
        $found = [];
        foreach ($this->catalogue->entries() as $entry) {
            if (isset($entry['steps'][$kind])) {
                $found[$entry['slug']] ??= $entry;
            }
        }

        return array_values($found);
    }

    /**
     * Every step of a kind, the easiest first; of equals those of easier models.
     *
     * @return list<array{slug: string, title: string, ways: array<string, string>, number: int, level: int}>
     */
    private function examples(string $kind): array
    {
        $steps = [];
        foreach ($this->teaching($kind) as $entry) {
            foreach ($entry['steps'][$kind] as ['number' => $number, 'level' => $level]) {
                $steps[] = [
                    'slug' => $entry['slug'],
                    'title' => $entry['title'],
                    'ways' => $entry['ways'],
                    'number' => $number,
                    'level' => $level,
                ];
            }
        }
        usort($steps, static fn (array $a, array $b): int => $a['level'] <=> $b['level']);

        return $steps;
    }

    /**
     * @return list<array{show: string, model: string, slug: string, ways: object, step: int,
     *     drawing: array<string, mixed>}>
     */
    private function pictures(string $kind): array
    {
        $steps = $this->examples($kind);
        $first = $steps[0] ?? null;
        if ($first === null) {
            return [];
        }
        // The last of another model is the one that looks least like the first.
        $others = array_filter($steps, static fn (array $s): bool => $s['slug'] !== $first['slug']);
        $other = $others === [] ? null : $others[array_key_last($others)];
        $of = $this->step($first);
        $half = FoldKind::tryFrom($kind)?->isCompound() === true
            ? $of->halfway ?? $this->motions->half($first['slug'], $first['ways'], $first['number'])
            : null;
        $show = fn (string $what, array $drawing, array $at): array => [
            'show' => $what,
            'model' => $at['title'],
            'slug' => $at['slug'],
            'ways' => (object) $at['ways'],
            'step' => $at['number'],
            'drawing' => $drawing,
        ];

        return [
            $show('before', $of->before, $first),
            ...$half === null ? [] : [$show('halfway', $half, $first)],
            $show('after', $of->after, $first),
            ...$other === null ? [] : [$show('elsewhere', $this->step($other)->before, $other)],
        ];
    }

    /** @param  array{slug: string, number: int, ways: array<string, string>}  $at */
    private function step(array $at): StepData
    {
        return $this->shelf->model($at['slug'], $at['ways'])->steps[$at['number'] - 1];
    }

    /** @return list<array<string, mixed>> the crease as it is made, and the same from the other side */
    private function twoSides(): array
    {
        $model = Folder::fold($this->files->explained('two-sides'), ModelShelf::SIDE);

        return array_map(
            static fn (int $i): array => SceneBuilder::before($model->steps[$i])->drawing()->toArray(),
            [0, count($model->steps) - 1],
        );
    }
}
