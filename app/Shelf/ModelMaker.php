<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Support\LibraryFiles;
use Cathedra\Core\Diagram\PatternScene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Insight\ModelInsight;
use Cathedra\Core\Insight\StepInsight;
use Cathedra\Core\Latest;
use Cathedra\Core\Pacing\Diagonal;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Sequence\Part;
use Cathedra\Core\Sequence\Run\Action;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Sequence\Ways\Passage;
use Cathedra\Core\Space\Form\FormSizes;
use Cathedra\Core\Space\StepMotion;
use Cathedra\Core\Wording\Look;
use Cathedra\Core\Wording\Manner;
use Cathedra\Core\Wording\Phrasebook;
use Cathedra\Core\Wording\Reasons;
use Cathedra\Core\Wording\SaidStep;
use Cathedra\Core\Wording\Teacher;

/** Puts together what the interface shows of a folded model. */
final readonly class ModelMaker
{
    /** Steps whose pictures are kept: those that the ways of a model share. */
    private const KEPT = 128;

    private Phrasebook $words;

    private Difficulty $scale;

    /** @param  Manner  $manner  how its steps are said */
    public function __construct(LibraryFiles $files, Manner $manner)
    {
        $this->words = $files->words($manner);
        $this->scale = $files->difficulty();
    }

    /** @return array{brief: ModelBrief, summary: ModelSummary, model: ModelData} */
    public function make(FoldedModel $folded): array
    {
        $sequence = $folded->sequence;
        $insight = ModelInsight::of($folded, $this->scale);
        $summary = $this->summary($folded, $insight);
        $steps = array_map(
            fn (FoldedStep $step, StepInsight $of, SaidStep $said): StepData => $this->step(
                step: $step,
                insight: $of,
                said: $said,
                sequence: $sequence,
                hard: $insight->hard,
            ),
            $folded->steps,
            $insight->steps,
            Teacher::of($folded, $insight, $this->scale, $this->words),
        );
        $needs = array_map(
            fn (string $kind): array => ['kind' => $kind, 'name' => $this->words->foldName($kind)],
            $insight->needs,
        );
        $model = new ModelData(
            summary: $summary,
            side_up: $sequence->sideUp->value,
            cautions: $sequence->cautions,
            talk: $sequence->talk,
            decorate: $sequence->decorate,
            display: $sequence->display,
            play: $sequence->play,
            passages: array_values(array_map(self::passage(...), $sequence->passages)),
            needs: $needs,
            steps: $steps,
            end_checks: self::endLook($folded, $this->words),
            pattern: PatternScene::of($folded->end())->drawing()->toArray(),
        );
        $side = min($folded->start->sheet->width, $folded->start->sheet->height);
        $loads = array_map(
            static fn (FoldedStep $step, StepInsight $of): StepLoad => StepLoad::of(
                $step,
                $of,
                $side,
                in_array($step->step->number, $sequence->checkpoints, true),
            ),
            $folded->steps,
            $insight->steps,
        );

        $passages = array_map(
            static fn (Passage $r): array => [
                'name' => $r->name,
                'title' => $r->question ?? ucfirst($r->name),
                'options' => $r->options,
                'option' => $r->chosen,
                'first' => $r->firstStep,
                'last' => $r->lastStep,
            ],
            array_values($sequence->passages),
        );

        $brief = new ModelBrief($summary->facts, $loads, $passages, Diagonal::of($folded));

        return ['brief' => $brief, 'summary' => $summary, 'model' => $model];
    }

    /**
     * What a model is that is opened at the end, in the author's likeness; null for models that stay flat, and where
     * the picture shows it opened.
     */
    private static function opened(FoldedModel $folded): ?string
    {
        $last = array_key_last($folded->steps);

        return $last === null || Look::formAt($folded, $last) === null || StepMotion::form($folded->steps[$last]) !== []
            ? null
            : ($folded->steps[$last]->step->like ?? $folded->sequence->title);
    }

    /** @return list<string> */
    private static function endLook(FoldedModel $folded, Phrasebook $words): array
    {
        $last = array_key_last($folded->steps);

        return $last === null ? Look::ofState($folded->start, $words) : Look::of($folded, $last, $words);
    }

    private function summary(FoldedModel $folded, ModelInsight $insight): ModelSummary
    {
        $sequence = $folded->sequence;
        $scene = SceneBuilder::ofModel($folded);
        $box = $folded->end()->box();
        $side = min($folded->start->sheet->width, $folded->start->sheet->height);
        $measures = [];
        foreach (FormSizes::of($folded) as $name => $value) {
            $measures[$name] = round($value / $side ** ($name === 'volume' ? 3 : 1), 6);
        }

        $narrow = array_filter(
            array_map(
                static fn (StepInsight $s): ?float => $s->narrowest === null ? null : $s->narrowest / $side,
                $insight->steps,
            ),
        );

        $facts = new ModelFacts(
            slug: $sequence->slug,
            title: $sequence->title,
            about: $sequence->about,
            difficulty: $sequence->difficulty,
            age_from: $sequence->ageFrom,
            steps: count($folded->steps),
            folds: array_map(fn (string $kind): string => $this->words->foldName($kind), $insight->teaches),
            kinds: $insight->teaches,
            most_layers: Anatomy::of($folded->end())->mostLayers(),
            width_per_side: round($box->width() / $side, 4),
            height_per_side: round($box->height() / $side, 4),
            measures: $measures,
            solid: $folded->form()?->solid?->value,
            ratio: round($sequence->ratio, 6),
            sheets: 1 + count($sequence->parts),
            parts: array_values(
                array_map(
                    static fn (Part $p): array => ['title' => $p->title, 'scale' => $p->scale, 'ratio' => $p->ratio],
                    $sequence->parts,
                ),
            ),
            narrowest_per_side: $narrow === [] ? null : round(min($narrow), 4),
            scissors: $insight->scissors,
            level: $insight->level,
            hard: $insight->hard,
            does: $sequence->does,
            occasions: $sequence->occasions,
            contrast: round(self::contrast(Anatomy::of($folded->end())), 4),
            side_up: $sequence->sideUp->value,
            opened: self::opened($folded),
        );

        return new ModelSummary($facts, $scene->drawing()->toArray());
    }

    /** The share of the side seen less, from above or from below, whichever shows more of both. */
    private static function contrast(Anatomy $anatomy): float
    {
        return max(
            array_map(static fn (float $front): float => min($front, 1 - $front), [
                $anatomy->frontShare(),
                $anatomy->frontShare(false),
            ]),
        );
    }

    /** @param  list<int>  $hard */
    private function step(
        FoldedStep $step,
        StepInsight $insight,
        SaidStep $said,
        Sequence $sequence,
        array $hard,
    ): StepData {
        $anatomy = Anatomy::of($step->after);
        $number = $step->step->number;
        $side = min($step->after->sheet->width, $step->after->sheet->height);
        $changes = array_filter(array_map(static fn (Action $a) => $a->change, $step->actions));
        $drawn = self::drawn($step, $this->words->manner->letters);

        return new StepData(
            number: $number,
            kind: $step->step->kind->value,
            name: $said->name,
            sentence: $said->sentence(),
            motions: $said->do,
            because: $said->because,
            stop: $said->stop,
            warn_ahead: $said->warnAhead,
            cautions: $said->cautions,
            note: $said->note,
            part: $step->step->part === null ? null : $sequence->parts[$step->step->part]->title,
            look: $said->look,
            before: $drawn['before'],
            halfway: null,
            close_up: $drawn['closeUp'],
            after: $drawn['after'],
            layers: $anatomy->mostLayers(),
            checkpoint: in_array($number, $sequence->checkpoints, true),
            resting: in_array($number, $sequence->resting, true),
            level: $insight->level,
            hard: in_array($number, $hard, true),
            reasons: Reasons::of($insight, $this->scale, $side, $this->words),
            narrowest_per_side: $insight->narrowest === null ? null : round($insight->narrowest / $side, 4),
            front_above: round($anatomy->frontShare(), 4),
            front_below: round($anatomy->frontShare(false), 4),
            moved: round($insight->moved, 3),
            raw: $changes === [] ? [] : array_values($changes)[0]->printed(),
        );
    }

    /** @return array{before: array<string, mixed>, closeUp: array<string, mixed>|null, after: array<string, mixed>} */
    private static function drawn(FoldedStep $step, bool $letters): array
    {
        /** @var array<int, Latest<array{before: array<string, mixed>, closeUp: array<string, mixed>|null,
         *     after: array<string, mixed>}>> $known by whether there are letters */
        static $known = [];
        $known[(int) $letters] ??= new Latest(self::KEPT);

        return $known[(int) $letters]->of([$step], static fn (): array => [
            'before' => SceneBuilder::before($step, $letters)->drawing()->toArray(),
            'closeUp' => SceneBuilder::closeUp($step, $letters)?->drawing()->toArray(),
            'after' => SceneBuilder::after($step)->drawing()->toArray(),
        ]);
    }

    /**
     * @return array{name: string, question: string|null, alike: bool, chosen: string, first: int, last: int,
     *     steps: list<int>, options: list<array{key: string, title: string, when: string|null}>}
     */
    private static function passage(Passage $passage): array
    {
        $ways = [];
        foreach ($passage->options as $key => $title) {
            $ways[] = ['key' => $key, 'title' => $title, 'when' => $passage->when[$key] ?? null];
        }

        return [
            'name' => $passage->name,
            'question' => $passage->question,
            'alike' => $passage->alike,
            'chosen' => $passage->chosen,
            'first' => $passage->firstStep,
            'last' => $passage->lastStep,
            'steps' => $passage->steps(),
            'options' => $ways,
        ];
    }
}
