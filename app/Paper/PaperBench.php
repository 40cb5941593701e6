<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Models\Stock as StockRecord;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Cutting\CutSheet;
use Cathedra\Core\Cutting\LargestSquare;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Kit\LessonPaper;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Paper\Length;
use Cathedra\Core\Paper\ModelPaper;
use Cathedra\Core\Paper\Spares;
use Cathedra\Core\Paper\Squaring;
use Cathedra\Core\Paper\Stock;
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
        private ModelsOnPaper $models,
        private Shortage $choices,
        private CutWords $cut,
        private Kits $kits,
        private PaperPlans $plans,
    ) {
    }

    public static function pile(StockRecord $stock): Stock
    {
        return Stock::of(
            name: $stock->name,
            width: $stock->width_mm,
            height: $stock->height_mm,
            count: $stock->count,
            pointer: '',
            trim: $stock->trim_mm,
            scrap: $stock->scrap,
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
        $policies = Policies::of($this->files->policies(), $lesson->policies ?? []);
        $aside = $lesson->square_in_lesson && $policies->takesFreshSquares() ? 1 : 0;
        foreach (LoadedProgramme::of($lesson, $this->shelf)->items as $item) {
            $model = $item->facts;
            $each = $learners * ($item->times + ($model->ratio === 1.0 ? $aside : 0));
            $models[] = new ModelPaper(
                title: $model->title,
                ratio: $model->ratio,
                parts: $model->parts,
                side: $item->side,
                learners: $each,
                spares: Spares::needed(
                    $each,
                    $rules->spoilRate($model->difficulty),
                    $rules->spareRisk,
                ),
                practice: $rules->practice,
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
        $programme = LoadedProgramme::of($lesson, $this->shelf);
        $main = $records[0];
        $squaring = Squaring::of($main->width_mm, $main->height_mm);
        $patterns = $paper->fits() ? $this->patterns($paper, $this->kerf($lesson), $lesson->method) : [];
        $byDiagonal = $this->byDiagonal($paper, $lesson->method);
        $policies = Policies::of($this->files->policies(), $lesson->policies ?? []);
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

        $side = $paper->sides[$cutModel === false ? 0 : $cutModel];

        return new PaperData(
            stock: StockData::of($main, $this->measure),
            takes: $problem === null ? self::takes($paper, $records) : [],
            method: $lesson->method,
            models: $this->models->of($lesson, $paper, $programme),
            side_mm: $side,
            side: $this->measure->say($side),
            diagonal: $this->measure->say($side * M_SQRT2),
            largest: $this->measure->say($paper->pile[0]->largest()),
            by_diagonal: $byDiagonal,
            strip_mm: round($squaring->strip, 3),
            strip: $this->measure->area($squaring->strip, $side),
            further: $this->measure->list($squaring->further),
            spare_reason: $this->models->spares($paper, $programme),
            sheets: $problem === null ? $paper->sheets() : 0,
            short: $problem === null ? $paper->short() : 0,
            cost: $problem === null ? $cost : null,
            pieces: $this->pieces($paper),
            patterns: $patterns,
            uncut: $this->uncut($paper),
            optimal: $paper->plan?->isProven() ?? true,
            gap: round($paper->plan?->gap() ?? 0.0, 4),
            choices: $problem === null ? $this->choices->of($lesson, $paper, $records, $this->kerf($lesson)) : [],
            prepare: $this->kits->prepare($lesson, $paper, $strokes, $programme),
            list: $problem === null ? $this->kits->toDo($lesson, $paper, $programme) : [],
            steps: $this->steps($paper, $byDiagonal ? $policies : null, $lesson),
            caution: $rules->caution(Method::from($lesson->method)),
            problem: $problem,
            practice: $rules->practice,
            largest_for_all: $this->largestForAll($paper, $this->kerf($lesson)),
            squaring: $byDiagonal && $squaring->strip > 0
                ? SquaringPictures::of($main->width_mm, $main->height_mm, $policies)
                : [],
        );
    }

    /**
     * @param  list<StockRecord>  $records
     * @return list<array{stock: int, name: string, sheets: int, have: int|null, short: int}> by paper
     */
    private static function takes(LessonPaper $paper, array $records): array
    {
        return array_map(
            static fn (StockRecord $s, int $i): array => [
                'stock' => $s->id,
                'name' => $s->name,
                'sheets' => $paper->takes[$i],
                'have' => $s->count,
                'short' => $paper->short[$i],
            ],
            $records,
            array_keys($records),
        );
    }

    /** @return list<array{title: string, side_mm: float, side: string, count: int, uncut: bool}> */
    private function pieces(LessonPaper $paper): array
    {
        return array_map(
            fn (array $p): array => [
                'title' => $p['title'],
                'side_mm' => $p['side'],
                'side' => $this->measure->say($p['side']),
                'count' => $p['count'],
                'uncut' => $p['uncut'],
            ],
            $paper->pieces,
        );
    }

    /**
     * @return list<array{title: string, stock: string, width_mm: float, height_mm: float, size: string, sheets: int}>
     */
    private function uncut(LessonPaper $paper): array
    {
        return array_map(
            fn (array $u): array => [
                'title' => $paper->models[$u['model']]->title,
                'stock' => $paper->pile[$u['stock']]->name,
                'width_mm' => $paper->pile[$u['stock']]->width,
                'height_mm' => $paper->pile[$u['stock']]->height,
                'size' => $this->measure->area(
                    $paper->pile[$u['stock']]->width,
                    $paper->pile[$u['stock']]->height,
                ),
                'sheets' => $u['sheets'],
            ],
            $paper->uncut,
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

    /** @return list<string> */
    private function steps(LessonPaper $paper, ?Policies $byDiagonal, Lesson $lesson): array
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

    /** The biggest square everybody can have from this pile; null for several sizes or uncut sheets. */
    private function largestForAll(LessonPaper $paper, float $kerf): ?string
    {
        if (count($paper->pieces) !== 1 || $paper->uncut !== []) {
            return null;
        }
        $largest = LargestSquare::from($paper->pile, $paper->models[0]->sets(), $kerf)['side_mm'] ?? null;

        return $largest === null ? null : $this->measure->say($largest);
    }
}
