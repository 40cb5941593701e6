<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Lesson;
use App\Models\Stock;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Kit\LessonPaper;
use Cathedra\Core\Paper\WillItFold;

/** What a lesson's paper makes of its models: the square each gets, what it ends up as, and whether it will fold. */
final readonly class ModelsOnPaper
{
    public function __construct(
        private LibraryFiles $files,
        private ModelShelf $shelf,
        private Measure $measure,
        private PaperAdvice $advice,
    ) {
    }

    /**
     * @return list<array{slug: string, title: string, side_mm: float, side: string, sets: int, spares: int,
     *     uncut: bool, finished: string, height: string|null, will_fold: WillFoldData}>
     */
    public function of(Lesson $lesson, LessonPaper $paper, LoadedProgramme $programme): array
    {
        $models = [];
        foreach ($programme->items as $m => $item) {
            $of = $paper->models[$m];
            $models[] = [
                'slug' => $item->slug,
                'title' => $item->facts->title,
                'side_mm' => $paper->sides[$m],
                'side' => $this->measure->say($paper->sides[$m]),
                'sets' => $of->sets(),
                'spares' => $of->spares,
                'uncut' => $of->uncut(),
                ...$this->finished(
                    $item,
                    $paper->sides[$m],
                    $of->uncut() ? $lesson->papers()[$paper->stocksOf($m)[0]] ?? null : null,
                ),
                'will_fold' => $this->willFold($lesson, $paper, $m, $item),
            ];
        }

        return $models;
    }

    /**
     * @param  Stock|null  $whole  whose whole sheet it is folded from; null: from a square
     * @return array{finished: string, height: string|null} lying flat, or length, width and height of a form
     */
    private function finished(ProgrammeItem $item, float $side, ?Stock $whole): array
    {
        $model = $item->facts;
        $on = $whole === null ? null : $this->shelf->sizesOn(
            $item->slug,
            $item->ways,
            min($whole->width_mm, $whole->height_mm),
            max($whole->width_mm, $whole->height_mm),
        );
        $of = $on['form'] ?? array_map(static fn (float $per): float => $per * $side, $model->measures);

        return isset($of['width'], $of['depth'], $of['height'])
            ? [
                'finished' => $this->measure->area($of['width'], $of['depth']),
                'height' => $this->measure->say($of['height']),
            ]
            : [
                'finished' => $this->measure->area(
                    $on['width'] ?? $model->width_per_side * $side,
                    $on['height'] ?? $model->height_per_side * $side,
                ),
                'height' => null,
            ];
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
            verdict: $worst->verdict,
            side_mm: $worst->side_mm,
            stack_mm: $worst->stack_mm,
            narrowest_mm: $worst->narrowest_mm,
            reasons: $from(array_map(static fn (WillFoldData $w): array => $w->reasons, $judged)),
            notes: $from(array_filter(array_map(static fn (WillFoldData $w): array => $w->notes, $judged))),
        );
    }

    public function spares(LessonPaper $paper, LoadedProgramme $programme): string
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
}
