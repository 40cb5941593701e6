<?php

declare(strict_types=1);

namespace App\Library;

use App\Data\ModelSummary;
use App\Data\PaperData;
use App\Data\StockData;
use App\Models\Stock as StockRecord;
use Cathedra\Core\Paper\GroupPaper;
use Cathedra\Core\Paper\Squaring;
use Cathedra\Core\Paper\Stock;

/** Turns the core's paper arithmetic into the answer a lesson shows, in words. */
final readonly class PaperBench
{
    public function __construct(private LibraryFiles $files)
    {
    }

    public static function stock(StockRecord $stock): StockData
    {
        $squaring = Squaring::of($stock->width_mm, $stock->height_mm);

        return new StockData($stock->id, $stock->name, $stock->width_mm, $stock->height_mm, $stock->grammage, $stock->count, round($squaring->side, 3), round($squaring->strip, 3));
    }

    public function forLesson(StockRecord $record, int $learners, ?float $side, string $method, ModelSummary $model): PaperData
    {
        $rules = $this->files->paperRules();
        $stock = Stock::of($record->name, $record->width_mm, $record->height_mm, $record->count);
        $paper = GroupPaper::for($stock, $learners, $side, $rules['spoil_rate']['values'][$model->difficulty], $rules['spare_risk']['value'], $method === 'tear' ? $rules['torn_kerf_mm']['value'] : 0.0);
        $words = $this->files->words();
        $reason = $words->say('paper', 'spares', ['spares' => $paper->spares, 'learners' => $learners, 'difficulty' => $model->difficulty, 'risk' => (int) (100 * $rules['spare_risk']['value'])]);
        $problem = $paper->fits() ? null : $words->say('paper', 'too-big', ['side' => self::mm($paper->side), 'name' => $stock->name, 'largest' => self::mm($paper->squaring->side)]);

        return new PaperData(self::stock($record), $method, $paper->side, $paper->squaring->side, $paper->byDiagonal, round($paper->squaring->strip, 3), array_map(static fn (float $mm): float => round($mm, 3), $paper->squaring->further),
            $paper->grid->count(), $paper->squares, $paper->spares, $reason, $paper->sheets, $paper->short(), $paper->grid->squares(),
            [round($model->width_per_side * $paper->side, 1), round($model->height_per_side * $paper->side, 1)],
            $problem === null ? $this->steps($paper, $method) : [], $rules['cautions'][$method === 'tear' ? 'tear' : 'scissors'], $problem);
    }

    /** @return int seconds for one learner to make a square by this method */
    public function squaringSeconds(string $method): int
    {
        return $this->files->paperRules()['squaring_seconds'][$method === 'tear' ? 'tear' : 'scissors'];
    }

    /** @return list<string> */
    private function steps(GroupPaper $paper, string $method): array
    {
        $words = $this->files->words();
        if ($paper->byDiagonal && $paper->squaring->strip > 0) {
            $steps = [
                $words->say('paper', 'square-1'),
                $words->say('paper', "square-2-$method", ['strip' => self::mm($paper->squaring->strip)]),
                $words->say('paper', 'square-3', ['diagonal' => self::mm($paper->side * M_SQRT2)]),
            ];

            return isset($paper->squaring->further[0]) ? [...$steps, $words->say('paper', 'keep', ['side' => self::mm($paper->squaring->further[0])])] : $steps;
        }

        return [
            $words->say('paper', 'grid-1', ['side' => self::mm($paper->side), 'columns' => $paper->grid->columns, 'rows' => $paper->grid->rows]),
            $words->say('paper', "grid-2-$method", ['kerf' => self::mm($paper->grid->kerf)]),
            $words->say('paper', 'grid-3'),
        ];
    }

    private static function mm(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 1, '.', ''), '0'), '.');
    }
}
