<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\LibraryFiles;
use Cathedra\Core\Diagram\PatternScene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\FoldFormat\BadFold;
use Cathedra\Core\FoldFormat\FoldImport;
use Cathedra\Core\Folding\FoldDocument;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Wording\Look;
use Cathedra\Core\Wording\StepText;
use Illuminate\Validation\ValidationException;

/** FOLD documents, written and read. */
final readonly class FoldFiles
{
    public function __construct(private ModelShelf $shelf, private LibraryFiles $files)
    {
    }

    /**
     * @param  array<string, string>  $ways
     * @param  int|null  $step  only the state after this step; null: all steps
     * @return string|null JSON; null when there is no such step
     */
    public function written(string $model, array $ways, ?int $step): ?string
    {
        if ($step !== null && ($step < 1 || $step > count($this->shelf->loads($model, $ways)))) {
            return null;
        }

        return $this->shelf->keepOf($model, $ways, 'fold-'.($step ?? 'all'), function () use (
            $model,
            $ways,
            $step,
        ): string {
            $folded = $this->shelf->folded($model, $ways);
            $steps = $this->steps($folded);

            return self::json(FoldDocument::of(
                $folded->sequence->title,
                $folded->start,
                $step === null ? $steps : [$steps[$step - 1]],
            ));
        });
    }

    /**
     * @return list<array{state: \Cathedra\Core\Folding\FoldedState, fold: string, text: string, form3d: bool,
     *     part: string|null}>
     */
    public function steps(FoldedModel $folded): array
    {
        $words = $this->files->words();

        return array_map(
            static fn (FoldedStep $s): array => [
                'state' => $s->after,
                'fold' => $s->step->kind->value,
                'text' => StepText::of($s, $words)->sentence,
                'form3d' => $s->step->kind->isForm() || $s->step->kind === FoldKind::Attach,
                'part' => $s->step->part,
            ],
            $folded->steps,
        );
    }

    /** @throws ValidationException with the vertex, edge or face that fails */
    public function read(string $document): PatternData
    {
        try {
            $import = FoldImport::fold($document);
        } catch (BadFold $e) {
            throw ValidationException::withMessages(['document' => $e->getMessage()]);
        }
        $state = $import->folded;
        $box = $state->box();

        return new PatternData(
            title: $import->title,
            faces: $state->faceCount(),
            most_layers: Anatomy::of($state)->mostLayers(),
            sheet: [round($import->flat->sheet->width, 2), round($import->flat->sheet->height, 2)],
            size: [round($box->width(), 2), round($box->height(), 2)],
            pattern: PatternScene::of($state)->drawing()->toArray(),
            front: SceneBuilder::ofState($state)->drawing()->toArray(),
            behind: SceneBuilder::ofState($state->turnedOver())->drawing()->toArray(),
            checks: Look::ofState($state, $this->files->words()),
            document: self::json(
                FoldDocument::of($import->title, $import->flat, [
                    ['state' => $state, 'fold' => 'import', 'text' => 'The crease pattern, folded.'],
                ]),
            ),
        );
    }

    /** @param  array<string, mixed>  $document */
    public static function json(array $document): string
    {
        return json_encode(
            $document,
            JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
        );
    }
}
