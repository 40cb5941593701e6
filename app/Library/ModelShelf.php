<?php

declare(strict_types=1);

namespace App\Library;

use App\Data\ModelData;
use App\Data\ModelSummary;
use App\Data\StepData;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Folding\Anatomy;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Sequence\FoldedModel;
use Cathedra\Core\Sequence\FoldedStep;
use Cathedra\Core\Sequence\Folder;
use Cathedra\Core\Wording\Checks;
use Cathedra\Core\Wording\Phrasebook;
use Cathedra\Core\Wording\StepText;
use Illuminate\Contracts\Cache\Repository;

/** The models, folded once and kept under a key made of everything the result depends on; safe to delete at any time. */
final class ModelShelf
{
    /** Side of the square that step texts with a measure speak of, mm. Sizes scale with the sheet. */
    public const SIDE = 150.0;

    /** @var array<string, ModelData|ModelSummary|list<StepLoad>> of this request */
    private array $kept = [];

    public function __construct(private readonly LibraryFiles $files, private readonly Repository $cache)
    {
    }

    /** @return list<ModelSummary> easiest first */
    public function all(): array
    {
        $models = array_map($this->summary(...), $this->files->slugs());
        usort($models, static fn (ModelSummary $a, ModelSummary $b): int => [$a->difficulty, $a->title] <=> [$b->difficulty, $b->title]);

        return $models;
    }

    public function has(string $slug): bool
    {
        return $this->files->has($slug);
    }

    public function summary(string $slug): ModelSummary
    {
        $summary = $this->part($slug, 'summary');

        return $summary instanceof ModelSummary ? $summary : throw new \LogicException('The shelf keeps parts by name.');
    }

    public function model(string $slug): ModelData
    {
        $model = $this->part($slug, 'model');

        return $model instanceof ModelData ? $model : throw new \LogicException('The shelf keeps parts by name.');
    }

    /** @return list<StepLoad> */
    public function loads(string $slug): array
    {
        $loads = $this->part($slug, 'loads');

        return is_array($loads) ? $loads : throw new \LogicException('The shelf keeps parts by name.');
    }

    public function folded(string $slug): FoldedModel
    {
        return Folder::fold($this->files->sequence($slug), self::SIDE);
    }

    /** @return ModelData|ModelSummary|list<StepLoad> */
    private function part(string $slug, string $name): mixed
    {
        $key = "shelf:$name:$slug:".$this->files->version($slug);
        if (! isset($this->kept[$key])) {
            /** @var ModelData|ModelSummary|list<StepLoad>|null $part */
            $part = $this->cache->get($key);
            $this->kept[$key] = $part ?? $this->fill($slug)[$name];
        }

        return $this->kept[$key];
    }

    /**
     * Folds the model and keeps its parts: the small ones apart, since lists need only them.
     *
     * @return array<string, ModelData|ModelSummary|list<StepLoad>>
     */
    private function fill(string $slug): array
    {
        ['model' => $model, 'loads' => $loads] = $this->make($slug);
        $parts = ['summary' => $model->summary, 'model' => $model, 'loads' => $loads];
        foreach ($parts as $name => $part) {
            $this->cache->put("shelf:$name:$slug:".$this->files->version($slug), $part, 60 * 60 * 24 * 30);
        }

        return $parts;
    }

    /** @return array{model: ModelData, loads: list<StepLoad>} */
    private function make(string $slug): array
    {
        $folded = $this->folded($slug);
        $sequence = $folded->sequence;
        $words = $this->files->words();
        $end = Anatomy::of($folded->end());
        $box = $folded->end()->box();
        $steps = array_map(fn (FoldedStep $step): StepData => $this->step($step, $folded, $words), $folded->steps);
        $creasing = array_filter($steps, static fn (StepData $s): bool => $folded->steps[$s->number - 1]->step->kind->creases());
        $names = array_values(array_unique(array_map(static fn (StepData $s): string => $s->name, $creasing)));
        $summary = new ModelSummary($slug, $sequence->title, $sequence->about, $sequence->difficulty, $sequence->ageFrom, count($steps), $names,
            $end->mostLayers(), round($box->width() / self::SIDE, 4), round($box->height() / self::SIDE, 4), SceneBuilder::ofState($folded->end())->toArray());
        $model = new ModelData($summary, $sequence->sideUp->value, $sequence->ratio, $sequence->cautions, $steps, Checks::of($folded->end(), $words));
        $loads = array_map(static fn (FoldedStep $step): StepLoad => StepLoad::of($step, in_array($step->step->number, $sequence->checkpoints, true)), $folded->steps);

        return ['model' => $model, 'loads' => $loads];
    }

    private function step(FoldedStep $step, FoldedModel $folded, Phrasebook $words): StepData
    {
        $text = StepText::of($step, $words);
        $number = $step->step->number;

        return new StepData($number, $text->name, $text->sentence, $step->step->note, Checks::of($step->after, $words),
            SceneBuilder::before($step)->toArray(), SceneBuilder::ofState($step->after)->toArray(), Anatomy::of($step->after)->mostLayers(),
            in_array($number, $folded->sequence->checkpoints, true), in_array($number, $folded->sequence->resting, true));
    }
}
