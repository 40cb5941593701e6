<?php

declare(strict_types=1);

namespace App\Library;

use App\Data\ModelSummary;
use App\Data\PaperData;
use App\Data\PrepareData;
use App\Data\StockData;
use App\Data\WillFoldData;
use App\Models\Lesson;
use App\Models\Stock as StockRecord;
use App\Models\User;
use Cathedra\Core\Paper\GroupPaper;
use Cathedra\Core\Paper\KitList;
use Cathedra\Core\Paper\LargestSquare;
use Cathedra\Core\Paper\Length;
use Cathedra\Core\Paper\LessonPaper;
use Cathedra\Core\Paper\Preparation;
use Cathedra\Core\Paper\Spares;
use Cathedra\Core\Paper\Squaring;
use Cathedra\Core\Paper\Stock;
use Cathedra\Core\Paper\WillItFold;
use Illuminate\Contracts\Auth\Guard;

/** Turns the core's paper arithmetic into the answer a lesson shows, in words. */
final readonly class PaperBench
{
    /** @var 'mm'|'cm'|'in' of whoever is signed in */
    private string $unit;

    public function __construct(private LibraryFiles $files, Guard $guard)
    {
        $user = $guard->user();
        $this->unit = $user instanceof User ? $user->unit : 'mm';
    }

    public static function stock(StockRecord $stock): StockData
    {
        $squaring = Squaring::of($stock->width_mm, $stock->height_mm);

        return new StockData($stock->id, $stock->name, $stock->width_mm, $stock->height_mm, $stock->grammage, $stock->count, round($squaring->side, 3), round($squaring->strip, 3), $stock->kind, $stock->sides, $stock->trim_mm, $stock->version);
    }

    public function forLesson(Lesson $lesson, StockRecord $record, int $learners, ModelSummary $model): PaperData
    {
        $rules = $this->files->paperRules();
        $words = $this->files->words();
        $method = $lesson->method;
        $kerf = $method === 'tear' ? $rules['torn_kerf_mm']['value'] : 0.0;
        $stock = Stock::of($record->name, $record->width_mm, $record->height_mm, $record->count);
        $one = GroupPaper::for($stock, $learners, $lesson->side_mm, $rules['spoil_rate']['values'][$model->difficulty], $rules['spare_risk']['value'], $kerf);
        $practice = $rules['practice']['value'];
        $paper = $this->reckoned($lesson, $record, $learners, $model);
        $byDiagonal = ! $paper->uncut && $model->parts === [] && $record->trim_mm <= 0.0 && $one->byDiagonal;
        $problem = $paper->fits() ? null : $words->say('paper', 'too-big', ['side' => $this->say($paper->side), 'name' => $stock->name, 'largest' => $this->say($paper->stock->width < $paper->stock->height ? $paper->stock->width - 2 * $record->trim_mm : $paper->stock->height - 2 * $record->trim_mm)]);
        $reason = $words->say('paper', 'spares', ['spares' => $paper->spares, 'learners' => $learners, 'difficulty' => $model->difficulty, 'risk' => (int) (100 * $rules['spare_risk']['value'])]).' '.$words->say('paper', 'practice', ['practice' => $practice]);
        $patterns = array_map(static fn (array $s): array => ['times' => $s['times'], 'squares' => $s['squares']], $paper->plan['sheets'] ?? []);
        usort($patterns, static fn (array $a, array $b): int => $b['times'] <=> $a['times']);

        return new PaperData(self::stock($record), $method, $paper->side, $one->squaring->side, $byDiagonal, round($one->squaring->strip, 3), array_map(static fn (float $mm): float => round($mm, 3), $one->squaring->further),
            count($patterns[0]['squares'] ?? []), $paper->sets, $paper->spares, $reason, $problem === null ? $paper->sheets : 0, $problem === null ? $paper->short() : 0, $patterns[0]['squares'] ?? [],
            [round($model->width_per_side * $paper->side, 1), round($model->height_per_side * $paper->side, 1)],
            $problem === null ? [...$this->steps($paper, $one, $byDiagonal, $method, $patterns, $model), ...($this->unit === 'in' && ! $paper->uncut ? [$words->say('paper', 'ruler', ['short' => self::mm(Length::underRuler($paper->side)['short_mm'])])] : [])] : [], $rules['cautions'][$method === 'tear' ? 'tear' : 'scissors'], $problem,
            $paper->uncut, $practice, array_map(static fn (array $p): array => ['title' => $p['title'], 'side_mm' => $p['side'], 'count' => $p['count']], $paper->pieces), $patterns, $paper->plan['optimal'] ?? true,
            $problem === null ? $this->choices($paper, $practice) : [], $this->willFold($record, $model, $lesson->group->age_band, $paper->side), $this->prepare($lesson, $paper, $method),
            $problem === null ? $this->list($lesson, $paper, $learners, $model) : [], $paper->uncut ? null : self::floored(LargestSquare::from([$stock], $paper->sets, $kerf, $record->trim_mm)['side_mm'] ?? null),
            $byDiagonal && $one->squaring->strip > 0 ? SquaringPictures::of($stock->width, $stock->height) : []);
    }

    /**
     * Only the numbers, for lists: sheets to take and sheets missing.
     *
     * @return array{int, int}
     */
    public function sheets(Lesson $lesson, StockRecord $record, int $learners, ModelSummary $model): array
    {
        $paper = $this->reckoned($lesson, $record, $learners, $model);

        return $paper->fits() ? [$paper->sheets, $paper->short()] : [0, 0];
    }

    private function reckoned(Lesson $lesson, StockRecord $record, int $learners, ModelSummary $model): LessonPaper
    {
        $rules = $this->files->paperRules();
        $stock = Stock::of($record->name, $record->width_mm, $record->height_mm, $record->count);
        $spares = Spares::needed($learners, $rules['spoil_rate']['values'][$model->difficulty], $rules['spare_risk']['value']);

        return LessonPaper::for($stock, $learners, $spares, $rules['practice']['value'], $model->title, $model->ratio, $model->parts, $lesson->side_mm, $lesson->method === 'tear' ? $rules['torn_kerf_mm']['value'] : 0.0, $record->trim_mm);
    }

    /** Whether a model can be folded from a stock. */
    public function willFold(StockRecord $record, ModelSummary $model, string $ageBand, ?float $side = null): WillFoldData
    {
        $rules = $this->files->paperRules();
        $words = $this->files->words();
        $largest = min($record->width_mm, $record->height_mm) - 2 * $record->trim_mm;
        $caliper = WillItFold::caliper($record->grammage ?? 80, $rules['density']['values'][$record->kind] ?? $rules['density']['values']['other']);
        $limits = ['stack_mm' => $rules['stack_mm']['good'], 'stack_most_mm' => $rules['stack_mm']['most'], 'dexterity_mm' => $rules['dexterity_mm']['good'][$ageBand] ?? 4.0,
            'dexterity_least_mm' => $rules['dexterity_mm']['least'][$ageBand] ?? 2.5, 'table_mm' => (float) $rules['table_mm']['value']];
        $judged = WillItFold::judge($model->most_layers, $model->narrowest_per_side, $caliper, $side ?? $largest, $largest, $limits);
        $with = ['layers' => $model->most_layers, 'caliper' => (string) round($caliper, 2), 'stack' => self::mm($judged->stack), 'narrowest' => self::mm($judged->narrowest ?? 0.0), 'side' => $this->say($judged->side)];
        $reasons = array_map(static fn (string $key): string => $words->say('paper', "fold-$key", ['limit' => self::mm($key === 'narrow' ? $limits['dexterity_mm'] : $limits['table_mm'])] + $with), $judged->reasons);
        if ($judged->verdict !== 'fits' && $judged->reasons !== ['large']) {
            $reasons[] = $judged->better === null ? $words->say('paper', 'fold-never') : $words->say('paper', 'fold-better', ['side' => $this->say($judged->better)]);
        }

        return new WillFoldData($judged->verdict, round($judged->side, 1), round($judged->stack, 2), $judged->narrowest === null ? null : round($judged->narrowest, 1), $reasons === [] ? [$words->say('paper', 'fold-fits', $with)] : $reasons);
    }

    /** mm to a tenth, never more than it is. */
    private static function floored(?float $mm): ?float
    {
        return $mm === null ? null : floor($mm * 10 + 1e-6) / 10;
    }

    /** @return list<array{key: string, text: string, done: bool}> */
    private function list(Lesson $lesson, LessonPaper $paper, int $learners, ModelSummary $model): array
    {
        $words = $this->files->words();
        $list = [];
        foreach (KitList::of($paper, $learners, $lesson->square_in_lesson, $model->scissors, $lesson->method === 'tear' ? 'tear' : 'scissors') as $i => ['key' => $key, 'with' => $with]) {
            $said = $key === 'sort' && count($paper->pieces) > 1 ? 'sort-several' : $key;
            $list[] = ['key' => "$key-$i", 'text' => $words->say('paper', "kit-$said", array_map(fn (int|float|string $v): string => is_float($v) ? $this->say($v) : (string) $v, $with)), 'done' => in_array("$key-$i", $lesson->ticks ?? [], true)];
        }

        return $list;
    }

    /** @return list<string> */
    private function choices(LessonPaper $paper, int $practice): array
    {
        if ($paper->short() === 0) {
            return [];
        }
        $words = $this->files->words();
        $have = $paper->stock->count ?? 0;
        $choices = [$words->say('paper', 'choice-sheets', ['short' => $paper->short(), 'name' => $paper->stock->name])];
        if ($paper->smallerSide !== null) {
            $choices[] = $words->say('paper', 'choice-smaller', ['side' => $this->say(floor($paper->smallerSide * 10 + 1e-6) / 10), 'now' => $this->say($paper->side), 'have' => $have]);
        }
        $perSheet = max(1, (int) floor($paper->sets / max(1, $paper->sheets)));
        $without = (int) ceil(($paper->sets - $paper->spares - $practice) / $perSheet);
        if ($without <= $have) {
            $choices[] = $words->say('paper', 'choice-spares', ['spares' => $paper->spares, 'sheets' => $without]);
        }

        return $choices;
    }

    private function prepare(Lesson $lesson, LessonPaper $paper, string $method): PrepareData
    {
        $people = 1 + $lesson->helpers;
        $perSquare = $paper->uncut ? 0 : $this->squaringSeconds($method);
        $work = Preparation::of($lesson->square_in_lesson ? 0 : array_sum(array_column($paper->pieces, 'count')), $perSquare, $paper->sets, $this->files->paperRules()['sorting_seconds']['value'], $people);
        $open = ! $lesson->paper_ready && $lesson->ended_at === null;

        return new PrepareData((int) ceil($work->seconds() / 60), $people, $open ? $lesson->starts_at->setTimestamp($work->startBy($lesson->starts_at->getTimestamp()))->format('Y-m-d\TH:i') : null);
    }

    /** @return int seconds for one learner to make a square by this method */
    public function squaringSeconds(string $method): int
    {
        return $this->files->paperRules()['squaring_seconds'][$method === 'tear' ? 'tear' : 'scissors'];
    }

    /**
     * @param  list<array{times: int, squares: list<array{x_mm: float, y_mm: float, side_mm: float}>}>  $patterns
     * @return list<string>
     */
    private function steps(LessonPaper $paper, GroupPaper $one, bool $byDiagonal, string $method, array $patterns, ModelSummary $model): array
    {
        $words = $this->files->words();
        if ($paper->uncut) {
            $ratio = max($paper->stock->width, $paper->stock->height) / min($paper->stock->width, $paper->stock->height);
            $wanted = max($model->ratio, 1 / $model->ratio);

            return abs($ratio - $wanted) < 0.01 ? [$words->say('paper', 'uncut')] : [$words->say('paper', 'uncut'), $words->say('paper', 'uncut-ratio', ['way' => $words->say('paper', $ratio < $wanted ? 'wider' : 'narrower')])];
        }
        if ($byDiagonal && $one->squaring->strip > 0) {
            $steps = [
                $words->say('paper', 'square-1'),
                $words->say('paper', "square-2-$method", ['strip' => $this->say($one->squaring->strip)]),
                $words->say('paper', 'square-3', ['diagonal' => $this->say($paper->side * M_SQRT2)]),
            ];

            return isset($one->squaring->further[0]) ? [...$steps, $words->say('paper', 'keep', ['side' => $this->say($one->squaring->further[0])])] : $steps;
        }
        if (count($paper->pieces) === 1) {
            return [
                $words->say('paper', 'grid-1', ['side' => $this->say($paper->side), 'columns' => $one->grid->columns, 'rows' => $one->grid->rows]),
                $words->say('paper', "grid-2-$method", ['kerf' => Length::say($one->grid->kerf, 'mm')]),
                $words->say('paper', 'grid-3'),
            ];
        }
        $steps = [];
        foreach ($patterns as $pattern) {
            $of = [];
            foreach (array_count_values(array_map(fn (array $s): string => $this->say($s['side_mm']), $pattern['squares'])) as $side => $count) {
                $of[] = $words->say('paper', 'squares-of', ['count' => $count, 'side' => (string) $side]);
            }
            $steps[] = $words->say('paper', $pattern['times'] === 1 ? 'pattern-one' : 'pattern', ['times' => $pattern['times'], 'squares' => implode(', ', $of)]);
        }

        return [...$steps, $words->say('paper', "grid-2-$method", ['kerf' => Length::say($one->grid->kerf, 'mm')]), $words->say('paper', 'grid-3')];
    }

    private function say(float $mm): string
    {
        return Length::say($mm, $this->unit);
    }

    private static function mm(float $mm): string
    {
        return rtrim(rtrim(number_format($mm, 1, '.', ''), '0'), '.');
    }
}
