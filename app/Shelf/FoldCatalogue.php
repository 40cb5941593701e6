<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\StepLoad;
use Illuminate\Contracts\Cache\Repository;

/**
 * Which steps of which models are which kind of fold, by every way; kept under a key made of everything it depends on,
 * safe to delete at any time.
 *
 * @phpstan-type Entry array{slug: string, title: string, difficulty: int, ways: array<string, string>,
 *     way: string|null, steps: array<string, list<array{number: int, level: int}>>}
 */
final class FoldCatalogue
{
    private const KEPT_DAYS = 30;

    /** @var list<Entry>|null */
    private ?array $entries = null;

    /** @var array<string, list<string>> by model and ways, of this request */
    private array $kinds = [];

    public function __construct(
        private readonly ModelShelf $shelf,
        private readonly LibraryFiles $files,
        private readonly Repository $cache,
    ) {
    }

    /**
     * Easiest models first; of a model its usual way, then each other way by itself.
     *
     * @return list<Entry>
     */
    public function entries(): array
    {
        /** @var list<Entry> */
        return $this->entries ??= $this->cache->remember(
            'folds:'.$this->files->shelfVersion(),
            86400 * self::KEPT_DAYS,
            $this->read(...),
        );
    }

    /**
     * The kinds of fold in a model by the ways taken; the usual ones where none are named or they are gone.
     *
     * @param  array<string, string>  $ways
     * @return list<string>
     */
    public function kinds(string $slug, array $ways): array
    {
        return $this->kinds[$slug.json_encode($ways)] ??= $this->found($slug, $ways);
    }

    /**
     * @param  array<string, string>  $ways
     * @return list<string>
     */
    private function found(string $slug, array $ways): array
    {
        if (! $this->shelf->has($slug)) {
            return [];
        }
        $loads = $this->shelf->loads($slug, $ways === [] || $this->shelf->offers($slug, $ways) ? $ways : []);

        return array_values(array_unique(array_map(static fn (StepLoad $load): string => $load->fold, $loads)));
    }

    /** @return list<Entry> */
    private function read(): array
    {
        $entries = [];
        foreach ($this->shelf->all() as $summary) {
            $slug = $summary->facts->slug;
            $model = $this->shelf->model($slug);
            $entries[] = self::entry($model, [], null);
            foreach ($model->passages as $passage) {
                foreach ($passage['options'] as $way) {
                    if ($way['key'] !== $passage['chosen']) {
                        $ways = [$passage['name'] => $way['key']];
                        $entries[] = self::entry($this->shelf->model($slug, $ways), $ways, $way['title']);
                    }
                }
            }
        }

        return $entries;
    }

    /**
     * @param  array<string, string>  $ways
     * @return Entry
     */
    private static function entry(ModelData $model, array $ways, ?string $way): array
    {
        $steps = [];
        foreach ($model->steps as $step) {
            $steps[$step->kind][] = ['number' => $step->number, 'level' => $step->level];
        }

        return [
            'slug' => $model->summary->facts->slug,
            'title' => $model->summary->facts->title,
            'difficulty' => $model->summary->facts->difficulty,
            'ways' => $ways,
            'way' => $way,
            'steps' => $steps,
        ];
    }
}
