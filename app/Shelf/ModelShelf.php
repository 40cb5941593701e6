<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Accounts\MannerOf;
use App\Support\LibraryFiles;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Sequence\Ways\Beginnings;
use Cathedra\Core\Sequence\Ways\Combinations;
use Cathedra\Core\Sequence\Ways\Parting;
use Cathedra\Core\Space\Form\FormSizes;
use Closure;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Validation\ValidationException;

/**
 * The models, folded once and kept under a key made of everything the result depends on; safe to delete at any time.
 */
final class ModelShelf
{
    /** Side of the square that step texts with a measure speak of, mm. Sizes scale with the sheet. */
    public const SIDE = 150.0;

    /** Seconds; whatever is kept can be made again. */
    private const KEPT = 60 * 60 * 24 * 30;

    /** @var array<string, ModelBrief|ModelData|ModelSummary> of this request */
    private array $kept = [];

    /** @var array<string, list<array{first: int, was: int, now: int}>> of this request */
    private array $partings = [];

    public function __construct(
        private readonly LibraryFiles $files,
        private readonly Repository $cache,
        private readonly MannerOf $manner,
        private readonly Beginnings $beginnings = new Beginnings(),
    ) {
    }

    /** @return list<ModelSummary> easiest first */
    public function all(): array
    {
        $models = array_map($this->summary(...), $this->files->slugs());
        usort(
            $models,
            static fn (ModelSummary $a, ModelSummary $b): int => [$a->facts->difficulty, $a->facts->title] <=> [
                $b->facts->difficulty,
                $b->facts->title,
            ],
        );

        return $models;
    }

    /** The same as it is sent: every screen asks for it, and it is made of as many parts as there are models. */
    public function allAsJson(): string
    {
        return $this->keep('all', fn (): string => json_encode($this->all(), JSON_THROW_ON_ERROR));
    }

    /** Reads what lists need of all models at once, where the next questions go to every one of them. */
    public function prime(): void
    {
        /** @var array<string, ModelBrief> $briefs */
        $briefs = $this->keep('briefs', function (): array {
            $all = [];
            foreach ($this->files->slugs() as $slug) {
                $all[$this->key($slug, [], 'brief')] = $this->brief($slug, []);
            }

            return $all;
        });
        $this->kept += $briefs;
    }

    /**
     * Something made of all models, kept until one of them, the words or the code changes.
     *
     * @template T
     *
     * @param  Closure(): T  $make
     * @return T
     */
    private function keep(string $name, Closure $make): mixed
    {
        $key = implode(':', ['shelf', $name, $this->files->shelfVersion(), ($this->manner)()->key()]);

        return $this->cache->remember($key, self::KEPT, $make);
    }

    /**
     * Something made of one model by its ways, kept until that model, the words or the code changes.
     *
     * @template T
     *
     * @param  array<string, string>  $ways
     * @param  Closure(): T  $make
     * @return T
     */
    public function keepOf(string $slug, array $ways, string $name, Closure $make): mixed
    {
        return $this->cache->remember($this->key($slug, $ways, $name), self::KEPT, $make);
    }

    /** @return list<string> */
    public function slugs(): array
    {
        return $this->files->slugs();
    }

    public function has(string $slug): bool
    {
        return $this->files->has($slug);
    }

    public function summary(string $slug): ModelSummary
    {
        $summary = $this->part($slug, [], 'summary');

        return $summary instanceof ModelSummary
            ? $summary
            : throw new \LogicException('The shelf keeps parts by name.');
    }

    /** What people call it; its library name when it is no longer on the shelf (records outlive models). */
    public function title(string $slug): string
    {
        return $this->has($slug) ? $this->facts($slug)->title : $slug;
    }

    /** @param  array<string, string>  $ways  by route; others take the usual way */
    public function model(string $slug, array $ways = []): ModelData
    {
        $model = $this->part($slug, $ways, 'model');

        return $model instanceof ModelData
            ? $model->withHalves($this->halves($slug, $ways) ?? [])
            : throw new \LogicException('The shelf keeps parts by name.');
    }

    /**
     * The moments half-way of its steps, by number; null while the motions have not been worked out.
     *
     * @param  array<string, string>  $ways
     * @return array<int, array<string, mixed>>|null
     */
    public function halves(string $slug, array $ways): ?array
    {
        /** @var array<int, array<string, mixed>>|null */
        return $this->cache->get($this->key($slug, $ways, 'halves'));
    }

    /**
     * @param  array<string, string>  $ways
     * @param  Closure(): array<int, array<string, mixed>>  $make
     */
    public function keepHalves(string $slug, array $ways, Closure $make): void
    {
        $this->cache->remember($this->key($slug, $ways, 'halves'), self::KEPT, $make);
    }

    /** Without the picture, which lists do not show. */
    public function facts(string $slug): ModelFacts
    {
        return $this->brief($slug, [])->facts;
    }

    /**
     * @param  array<string, string>  $ways
     * @return list<StepLoad>
     */
    public function loads(string $slug, array $ways = []): array
    {
        return $this->brief($slug, $ways)->loads;
    }

    /**
     * @param  array<string, string>  $ways
     * @return list<int>
     */
    public function diagonals(string $slug, array $ways = []): array
    {
        return $this->brief($slug, $ways)->diagonals;
    }

    /**
     * The passages that can be shown another way, with the way taken and the last of its steps.
     *
     * @param  array<string, string>  $ways
     * @return list<array{name: string, title: string, options: array<string, string>,
     *     option: string, first: int, last: int}>
     */
    public function passages(string $slug, array $ways = []): array
    {
        return $this->brief($slug, $ways)->passages;
    }

    /**
     * Where two ways of teaching a model part, by its own steps.
     *
     * @param  array<string, string>  $from
     * @param  array<string, string>  $to
     * @return list<array{first: int, was: int, now: int}>
     */
    public function parting(string $slug, array $from, array $to): array
    {
        $name = 'parting-'.hash('xxh64', serialize($this->unusual($slug, $to)));

        return $this->partings["$slug ".serialize($from)." $name"] ??= $this->keepOf($slug, $from, $name,
            fn (): array => Parting::between($this->files->sequence($slug, $from), $this->files->sequence($slug, $to)));
    }

    /** @param  array<string, string>  $ways */
    private function brief(string $slug, array $ways): ModelBrief
    {
        $brief = $this->part($slug, $ways, 'brief');

        return $brief instanceof ModelBrief ? $brief : throw new \LogicException('The shelf keeps parts by name.');
    }

    /** @param  array<string, string>  $ways */
    public function folded(string $slug, array $ways = []): FoldedModel
    {
        return Folder::fold($this->files->sequence($slug, $ways), self::SIDE, $this->beginnings);
    }

    /**
     * Sizes of a model that is folded from a whole sheet, by the proportions of that sheet: a box from letter paper is
     * no box from A4 made smaller.
     *
     * @param  array<string, string>  $ways
     * @param  float  $short  mm, as $long
     * @return array{width: float, height: float, form: array<string, float>}|null mm, lying flat, and of the form that
     *     is not flat; null when it cannot be folded from such a sheet
     */
    public function sizesOn(string $slug, array $ways, float $short, float $long): ?array
    {
        $proportion = round($long / $short, 7);
        $of = $this->keepOf($slug, $ways, "sizes-$proportion", function () use ($slug, $ways, $proportion): array {
            try {
                $model = Folder::fold($this->files->sequence($slug, $ways)->onSheet(1.0, $proportion), self::SIDE);
            } catch (CannotFold) {
                return [];
            }
            $box = $model->end()->box();

            return ['width' => $box->width(), 'height' => $box->height(), 'form' => FormSizes::of($model)];
        });
        $mm = static fn (float $size): float => round($size * $short / self::SIDE, 3);

        return $of === [] ? null : [
            'width' => $mm($of['width']),
            'height' => $mm($of['height']),
            'form' => array_map($mm, array_diff_key($of['form'], ['volume' => 0])),
        ];
    }

    /** @return list<array<string, string>> the ways in which the model is folded and checked, the usual one first */
    public function combinations(string $slug): array
    {
        return Combinations::of($this->files->sequence($slug)->passages);
    }

    /** @return list<array<string, string>> the ways that are looked at when one thing is changed already */
    public function looked(string $slug): array
    {
        return Combinations::looked($this->files->sequence($slug)->passages);
    }

    /**
     * Ways as a request names them.
     *
     * @return array<string, string>
     *
     * @throws ModelNotFoundException when there is no such model
     * @throws ValidationException when the model does not offer these ways
     */
    public function asked(string $slug, mixed $ways): array
    {
        $this->has($slug) || throw new ModelNotFoundException();
        if (! is_array($ways) || ($ways !== [] && ! $this->offers($slug, $ways))) {
            throw ValidationException::withMessages(['ways' => 'This model does not offer that way.']);
        }

        /** @var array<string, string> $ways */
        return $ways;
    }

    /** Whether the model offers these ways. */
    public function offers(string $slug, mixed $ways): bool
    {
        $offered = [];
        foreach ($this->has($slug) ? $this->model($slug)->passages : [] as $passage) {
            $offered[$passage['name']] = array_column($passage['options'], 'key');
        }
        foreach (is_array($ways) ? $ways : ['' => ''] as $name => $way) {
            if (! in_array($way, $offered[$name] ?? [], true)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array<string, string>  $ways
     * @return ModelBrief|ModelData|ModelSummary
     */
    private function part(string $slug, array $ways, string $name): mixed
    {
        $key = $this->key($slug, $ways, $name);
        if (! isset($this->kept[$key])) {
            /** @var ModelBrief|ModelData|ModelSummary|null $part */
            $part = $this->cache->get($key);
            $this->kept[$key] = $part ?? $this->fill($slug, $ways)[$name];
        }

        return $this->kept[$key];
    }

    /**
     * Folds the model and keeps its parts: the small ones apart, since lists need only them.
     *
     * @param  array<string, string>  $ways
     * @return array<string, ModelBrief|ModelData|ModelSummary>
     */
    private function fill(string $slug, array $ways): array
    {
        $parts = (new ModelMaker($this->files, ($this->manner)()))->make($this->folded($slug, $ways));
        foreach ($parts as $name => $part) {
            $this->cache->put($this->key($slug, $ways, $name), $part, self::KEPT);
        }

        return $parts;
    }

    /**
     * The ways that are not the usual ones, in the order of the model: one name for one way of folding it.
     *
     * @param  array<string, string>  $ways
     * @return array<string, string>
     */
    private function unusual(string $slug, array $ways): array
    {
        $unusual = [];
        foreach ($ways === [] ? [] : $this->brief($slug, [])->passages as ['name' => $name, 'options' => $options]) {
            if (isset($ways[$name]) && $ways[$name] !== array_key_first($options)) {
                $unusual[$name] = $ways[$name];
            }
        }

        return $unusual;
    }

    /** @param  array<string, string>  $ways */
    private function key(string $slug, array $ways, string $part): string
    {
        return implode(':', [
            'shelf',
            $part,
            $slug,
            $this->files->version($slug),
            ($this->manner)()->key(),
            (string) json_encode($this->unusual($slug, $ways)),
        ]);
    }
}
