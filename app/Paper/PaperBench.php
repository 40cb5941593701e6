<?php

declare(strict_types=1);

namespace App\Paper;

use App\Lessons\Programme;
use App\Lessons\ProgrammeItem;
use App\Models\Lesson;
use App\Models\Stock as StockRecord;
use App\Shelf\ModelFacts;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Cutting\CutSheet;
use Cathedra\Core\Cutting\LargestSquare;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Paper\Length;
use Cathedra\Core\Paper\LessonPaper;
use Cathedra\Core\Paper\ModelPaper;
use Cathedra\Core\Paper\Spares;
use Cathedra\Core\Paper\Squaring;
use Cathedra\Core\Paper\Stock;
use Cathedra\Core\Paper\WillItFold;
use Cathedra\Core\Rules\Method;

/** Turns the core's paper arithmetic into the answer a lesson shows, in words. */
final readonly class PaperBench
{
    /** Squares this near the largest are made by folding a corner over, not by measuring (mm). */
    private const BY_DIAGONAL = 0.5;

    public function __construct(
        private LibraryFiles $files,
        private ModelShelf $shelf,
        private Measure $measure,
        private PaperAdvice $advice,
        private CutWords $cut,
        private Kits $kits,
        private PaperPlans $plans,
    ) {
    }

    public static function stock(StockRecord $stock): StockData
    {
        $squaring = Squaring::of($stock->width_mm, $stock->height_mm);

        return new StockData(
            $stock->id,
            $stock->name,
            $stock->width_mm,
            $stock->height_mm,
            $stock->grammage,
            $stock->count,
            round($squaring->side, 3),
            round($squaring->strip, 3),
            $stock->kind,
            $stock->sides,
            $stock->trim_mm,
            $stock->version,
            $stock->price,
            $stock->tags ?? [],
            $stock->scrap,
        );
    }

    public static function pile(StockRecord $stock): Stock
    {
        return Stock::of(
            $stock->name,
            $stock->width_mm,
            $stock->height_mm,
            $stock->count,
            '',
            $stock->trim_mm,
            $stock->scrap,
        );
    }

    /** What a lesson takes; null when no paper is chosen. */
    public function reckon(Lesson $lesson): ?LessonPaper
    {
        $records = $lesson->papers();
        if ($records === []) {
            return null;
        }
        $learners = $lesson->learners();
        $rules = $this->files->paperRules();
        $models = [];
        foreach (Programme::of($lesson, $this->shelf)->items as $item) {
            $model = $item->facts;
            $models[] = new ModelPaper(
                $model->title,
                $model->ratio,
                $model->parts,
                $item->side,
                $learners,
                Spares::needed(
                    $learners,
                    $rules->spoilRate($model->difficulty),
                    $rules->spareRisk,
                ),
                $rules->practice,
            );
        }

        return $this->plans->for(
            array_map(self::pile(...), $records),
            $models,
            $this->kerf($lesson),
            Prefer::from($lesson->prefer),
        );
    }

    public function forLesson(Lesson $lesson): ?PaperData
    {
        $paper = $this->reckon($lesson);
        if ($paper === null) {
            return null;
        }
        $records = $lesson->papers();
        $rules = $this->files->paperRules();
        $programme = Programme::of($lesson, $this->shelf);
        $main = $records[0];
        $squaring = Squaring::of($main->width_mm, $main->height_mm);
        $patterns = $paper->fits() ? $this->patterns($paper, $this->kerf($lesson), $lesson->method) : [];
        $byDiagonal = $this->byDiagonal($paper, $lesson->method);
        $problem = $paper->tooBig() === null ? null : $this->tooBig($paper, $paper->tooBig());
        $cost = $this->cost($records, $paper->takes);
        $strokes = $byDiagonal
            ? null
            : array_sum(array_map(static fn (CutPatternData $p): int => $p->strokes, $patterns));
        $cutModel = array_search(
            false,
            array_map(static fn (ModelPaper $m): bool => $m->uncut(), $paper->models),
            true,
        );

        return new PaperData(
            self::stock($main),
            $problem !== null
                ? []
                : array_map(
                    fn (StockRecord $s, int $i): array => [
                        'stock' => $s->id,
                        'name' => $s->name,
                        'sheets' => $paper->takes[$i],
                        'have' => $s->count,
                        'short' => $paper->short[$i],
                    ],
                    $records,
                    array_keys($records),
                ),
            $lesson->method,
            $this->models($lesson, $paper, $programme),
            $paper->sides[$cutModel === false ? 0 : $cutModel],
            floor($paper->pile[0]->largest() * 1000 + 1e-6) / 1000,
            $byDiagonal,
            round($squaring->strip, 3),
            array_map(static fn (float $mm): float => round($mm, 3), $squaring->further),
            $this->reason($paper, $programme),
            $problem === null ? $paper->sheets() : 0,
            $problem === null ? $paper->short() : 0,
            $problem === null ? $cost : null,
            array_map(
                static fn (array $p): array => [
                    'title' => $p['title'],
                    'side_mm' => $p['side'],
                    'count' => $p['count'],
                    'uncut' => $p['uncut'],
                ],
                $paper->pieces,
            ),
            $patterns,
            array_map(
                static fn (array $u): array => [
                    'title' => $paper->models[$u['model']]->title,
                    'stock' => $paper->pile[$u['stock']]->name,
                    'width_mm' => $paper->pile[$u['stock']]->width,
                    'height_mm' => $paper->pile[$u['stock']]->height,
                    'sheets' => $u['sheets'],
                ],
                $paper->uncut,
            ),
            $paper->plan?->isProven() ?? true,
            round($paper->plan?->gap() ?? 0.0, 4),
            $problem === null ? $this->choices($lesson, $paper, $records) : [],
            $this->kits->prepare($lesson, $paper, $strokes),
            $problem === null ? $this->kits->toDo($lesson, $paper, $programme) : [],
            $this->steps($paper, $byDiagonal, $lesson),
            $rules->caution(Method::from($lesson->method)),
            $problem,
            $rules->practice,
            $this->largestForAll($paper, $this->kerf($lesson)),
            $byDiagonal && $squaring->strip > 0 ? SquaringPictures::of($main->width_mm, $main->height_mm) : [],
        );
    }

    /** mm lost between neighbours. */
    public function kerf(Lesson $lesson): float
    {
        return $this->files->paperRules()->kerf(Method::from($lesson->method));
    }

    /** One square of each sheet of a single stock, as large as the sheet gives, by hand. */
    private function byDiagonal(LessonPaper $paper, string $method): bool
    {
        $stock = $paper->pile[0];

        return $method !== 'trimmer' &&
            count($paper->pile) === 1 &&
            count($paper->pieces) === 1 &&
            $paper->plan !== null &&
            $stock->trim <= 0.0 &&
            abs($paper->sides[0] - min($stock->width, $stock->height)) <= self::BY_DIAGONAL &&
            max($stock->width, $stock->height) < 2 * $paper->sides[0] &&
            $stock->width !== $stock->height;
    }

    /** @return list<CutPatternData> most alike first */
    private function patterns(LessonPaper $paper, float $kerf, string $method): array
    {
        $patterns = array_map(
            fn (CutSheet $sheet): CutPatternData => $this->cut->pattern(
                $sheet,
                $paper->pile[$sheet->stock],
                $kerf,
                $method,
            ),
            $paper->plan->sheets ?? [],
        );
        usort($patterns, static fn (CutPatternData $a, CutPatternData $b): int => $b->times <=> $a->times);

        return $patterns;
    }

    /**
     * @return list<array{slug: string, title: string, side_mm: float, wanted_mm: float|null, sets: int, spares: int,
     *     uncut: bool, finished_mm: array{float, float}, height_mm: float|null, will_fold: WillFoldData}>
     */
    private function models(Lesson $lesson, LessonPaper $paper, Programme $programme): array
    {
        $models = [];
        foreach ($programme->items as $m => $item) {
            $of = $paper->models[$m];
            $models[] = [
                'slug' => $item->slug,
                'title' => $item->facts->title,
                'side_mm' => $paper->sides[$m],
                'wanted_mm' => $item->side,
                'sets' => $of->sets(),
                'spares' => $of->spares,
                'uncut' => $of->uncut(),
                ...self::finished($item->facts, $paper->sides[$m]),
                'will_fold' => $this->willFold($lesson, $paper, $m, $item),
            ];
        }

        return $models;
    }

    /**
     * @return array{finished_mm: array{float, float}, height_mm: float|null} lying flat, or length, width and height of
     *     a form
     */
    private static function finished(ModelFacts $model, float $side): array
    {
        $of = $model->measures;
        $mm = static fn (float $per): float => round($per * $side, 1);

        return isset($of['width'], $of['depth'], $of['height'])
            ? ['finished_mm' => [$mm($of['width']), $mm($of['depth'])], 'height_mm' => $mm($of['height'])]
            : ['finished_mm' => [$mm($model->width_per_side), $mm($model->height_per_side)], 'height_mm' => null];
    }

    /** From every paper its squares are cut of: the worst of them counts. */
    private function willFold(Lesson $lesson, LessonPaper $paper, int $m, ProgrammeItem $item): WillFoldData
    {
        $judged = [];
        foreach ($paper->stocksOf($m) as $stock) {
            $record = $lesson->papers()[$stock];
            $judged[$record->name] = $this->advice->willFold(
                $record,
                $item->facts,
                $lesson->group->age_band,
                $paper->sides[$m],
            );
        }
        if (count($judged) === 1) {
            return reset($judged);
        }
        uasort(
            $judged,
            static fn (WillFoldData $a, WillFoldData $b): int => array_search(
                $b->verdict,
                WillItFold::VERDICTS,
                true,
            ) <=> array_search($a->verdict, WillItFold::VERDICTS, true),
        );
        $words = $this->files->words();
        $worst = reset($judged) ?: throw new \LogicException('A model is cut from some paper.');
        $from = static fn (array $lists): array => array_values(
            array_unique(
                array_map(
                    static fn (string $name, array $said): string => $words->say('paper', 'fold-from', [
                        'name' => $name,
                        'text' => implode(' ', $said),
                    ]),
                    array_keys($lists),
                    $lists,
                ),
            ),
        );

        return new WillFoldData(
            $worst->verdict,
            $worst->side_mm,
            $worst->stack_mm,
            $worst->narrowest_mm,
            $from(array_map(static fn (WillFoldData $w): array => $w->reasons, $judged)),
            $from(array_filter(array_map(static fn (WillFoldData $w): array => $w->notes, $judged))),
        );
    }

    private function reason(LessonPaper $paper, Programme $programme): string
    {
        $words = $this->files->words();
        $rules = $this->files->paperRules();
        $said = [];
        foreach ($paper->models as $m => $model) {
            $text = $words->say('paper', 'spares', ['n' => $model->spares,
                'learners' => $model->learners,
                'difficulty' => $programme->items[$m]->facts->difficulty,
                'risk' => (int) (100 * $rules->spareRisk),
            ]);
            $said[] =
                count($paper->models) === 1
                    ? $text
                    : $words->say('paper', 'spares-of', ['title' => $model->title, 'text' => $text]);
        }

        return implode(' ', $said).' '.$words->say('paper', 'practice', ['n' => $rules->practice]);
    }

    private function tooBig(LessonPaper $paper, float $side): string
    {
        $largest = max([0.0, ...array_map(static fn (Stock $s): float => $s->largest(), $paper->pile)]);
        $with = [
            'side' => $this->measure->say($side),
            'largest' => $this->measure->say($largest),
            'name' => $paper->pile[0]->name,
        ];

        return $this->files->words()->say('paper', count($paper->pile) === 1 ? 'too-big' : 'too-big-any', $with);
    }

    /**
     * @param  list<StockRecord>  $records
     * @param  array<int, int>  $takes
     */
    private function cost(array $records, array $takes): ?float
    {
        $cost = 0.0;
        foreach ($records as $i => $record) {
            if ($takes[$i] > 0 && $record->price === null) {
                return null;
            }
            $cost += $takes[$i] * ($record->price ?? 0.0);
        }

        return round($cost, 2);
    }

    /**
     * What would close a shortage, each with its number.
     *
     * @param  list<StockRecord>  $records
     * @return list<string>
     */
    private function choices(Lesson $lesson, LessonPaper $paper, array $records): array
    {
        if ($paper->short() === 0) {
            return [];
        }
        $words = $this->files->words();
        $choices = [];
        foreach (array_filter($paper->short) as $i => $n) {
            $choices[] =
                $words->say('paper', 'choice-sheets', ['n' => $n, 'name' => $records[$i]->name]).
                ($records[$i]->price === null
                    ? ''
                    : ' '.
                        $words->say('paper', 'choice-cost', ['cost' => number_format($n * $records[$i]->price, 2)]));
        }
        if ($paper->smaller !== null) {
            $with = [
                'side' => $this->measure->say($this->measure->down($paper->smaller * $paper->sides[0])),
                'now' => $this->measure->say($paper->sides[0]),
            ];
            $choices[] =
                count($paper->pieces) === 1
                    ? $words->say('paper', 'choice-smaller', $with)
                    : $words->say(
                        'paper',
                        'choice-smaller-all',
                        ['percent' => (int) ceil(100 * (1 - $paper->smaller))] + $with,
                    );
        }
        $bare = array_map(
            static fn (ModelPaper $m): ModelPaper => new ModelPaper(
                $m->title,
                $m->ratio,
                $m->parts,
                $m->side,
                $m->learners,
                0,
                0,
            ),
            $paper->models,
        );
        if ($this->plans->for($paper->pile, $bare, $this->kerf($lesson))->short() === 0) {
            $choices[] = $words->say('paper', 'choice-spares', ['n' => 0,
                'spares' => array_sum(array_map(static fn (ModelPaper $m): int => $m->spares, $paper->models)),
            ]);
        }

        return [...$choices, ...$this->also($lesson, $paper)];
    }

    /**
     * Other paper of the cupboard that would do beside what is chosen, the least of it first.
     *
     * @return list<string>
     */
    private function also(Lesson $lesson, LessonPaper $paper): array
    {
        $choices = [];
        /** @var StockRecord $stock */
        foreach (
            StockRecord::query()
                ->where('organisation_id', $lesson->organisation_id)
                ->whereNotIn('id', array_map(static fn (StockRecord $s): int => $s->id, $lesson->papers()))
                ->orderBy('name')
                ->limit(12)
                ->get() as $stock
        ) {
            $with = $this->plans->for(
                [...$paper->pile, self::pile($stock)],
                $paper->models,
                $this->kerf($lesson),
                Prefer::Least, Work::offer());
            $n = $with->takes[count($paper->pile)] ?? 0;
            if ($with->short() === 0 && $with->fits() && $n > 0) {
                $choices[$this->files->words()->say('paper', 'choice-also', ['n' => $n, 'name' => $stock->name])] = $n;
            }
        }
        asort($choices);

        return array_slice(array_keys($choices), 0, 3);
    }

    /** @return list<string> */
    private function steps(LessonPaper $paper, bool $byDiagonal, Lesson $lesson): array
    {
        if (! $paper->fits()) {
            return [];
        }
        $steps = $this->cut->steps($paper, $byDiagonal, $lesson->method, $this->kerf($lesson));
        if ($this->measure->unit === 'in' && $paper->plan !== null) {
            $steps[] = $this->files
                ->words()
                ->say('paper', 'ruler', [
                    'short' => Measure::mm(
                        max([
                            0.0,
                            ...array_map(
                                static fn (array $p): float => Length::underRuler($p['side'])['short_mm'],
                                $paper->pieces,
                            ),
                        ]),
                    ),
                ]);
        }

        return $steps;
    }

    /**
     * mm, floored to a tenth: the biggest square everybody can have from this pile; null for several sizes or uncut
     * sheets.
     */
    private function largestForAll(LessonPaper $paper, float $kerf): ?float
    {
        if (count($paper->pieces) !== 1 || $paper->uncut !== []) {
            return null;
        }
        $largest = LargestSquare::from($paper->pile, $paper->models[0]->sets(), $kerf)['side_mm'] ?? null;

        return $largest === null ? null : floor($largest * 10 + 1e-6) / 10;
    }
}
