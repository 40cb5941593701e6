<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Stock as StockRecord;
use App\Support\LibraryFiles;
use Cathedra\Core\Paper\CutPlanner;
use Cathedra\Core\Paper\CutRequest;
use Cathedra\Core\Paper\LargestSquare;
use Cathedra\Core\Paper\Prefer;
use Cathedra\Core\Paper\Stock;
use Closure;

/** The cutting bench: any squares from any paper of the cupboard. */
final readonly class CutBench
{
    /** Seconds of searching at most; what is not proven by then is said to be not proven. */
    private const SECONDS = 8.0;

    public function __construct(private LibraryFiles $files, private Measure $measure, private CutWords $cut)
    {
    }

    /**
     * @param  list<array{StockRecord, int|null}>  $papers  with the count to plan with; null: plenty
     * @param  list<array{side: float|null, count: int}>  $need  a single one may be without a side: the largest
     * @param  'scissors'|'trimmer'|'tear'  $method
     * @param  Closure(float, string): void  $progress  share, and what is being done in words
     */
    public function plan(array $papers, array $need, string $method, Prefer $prefer, Closure $progress): BenchPlanData
    {
        $rules = $this->files->paperRules();
        $words = $this->files->words();
        $kerf = $method === 'tear' ? $rules['torn_kerf_mm']['value'] : 0.0;
        $pile = array_map(
            static fn (array $p): Stock => Stock::of(
                $p[0]->name,
                $p[0]->width_mm,
                $p[0]->height_mm,
                $p[1],
                '',
                $p[0]->trim_mm,
                $p[0]->scrap,
            ),
            $papers,
        );
        $sides = [];
        foreach ($need as ['side' => $side, 'count' => $count]) {
            $side ??= max(
                Stock::MIN_MM,
                $this->measure->down(LargestSquare::from($pile, $count, $kerf)['side_mm'] ?? Stock::MIN_MM),
            );
            $sides[] = ['side' => $side, 'count' => $count];
        }
        $plan = CutPlanner::plan(
            new CutRequest($pile, $sides, $kerf, 0.0, $prefer),
            self::SECONDS,
            fn (float $share, string $what) => $progress($share, $words->say('bench', $what)),
        );
        $of = array_combine(array_map(static fn (Stock $s): string => $s->name, $pile), $papers);
        $patterns = array_map(
            fn (array $s): CutPatternData => $this->cut->pattern(
                $s,
                $of[$s['stock']][0]->width_mm,
                $of[$s['stock']][0]->height_mm,
                $kerf,
                $method,
            ),
            $plan['sheets'],
        );
        $cost = 0.0;
        $made = 0.0;
        foreach ($patterns as $pattern) {
            $price = $of[$pattern->stock][0]->price;
            $cost = $cost === null || $price === null ? null : $cost + $pattern->times * $price;
            $made +=
                $pattern->times *
                array_sum(array_map(static fn (array $s): float => $s['side_mm'] ** 2, $pattern->squares));
        }
        $strokes = array_sum(array_map(static fn (CutPatternData $p): int => $p->strokes, $patterns));
        $area = $plan['used_area_mm2'];

        return new BenchPlanData(
            $this->title(
                $plan['sheets_used'],
                $patterns,
                $plan['sheets_used'] === 0 ? $sides : self::met($sides, $plan['unmet']),
            ),
            $patterns,
            $plan['feasible'],
            array_map(
                fn (array $u): string => $words->count('bench', 'unmet', $u['count'], [
                    'side' => $this->measure->say($u['side_mm']),
                ]),
                $plan['unmet'],
            ),
            $plan['sheets_used'],
            $cost === null || $patterns === [] ? null : round($cost, 2),
            $plan['optimal'],
            $area > 0 ? round(1 - $plan['lower_bound_area_mm2'] / $area, 4) : 0.0,
            (int) ceil(($strokes * $rules['cut_seconds'][$method]) / 60),
            $patterns === [] ? [] : $this->cut->how($method, $kerf),
            $rules['cautions'][$method],
            $area > 0 ? round(1 - $made / $area, 4) : 0.0,
        );
    }

    /**
     * What is wanted without what cannot be had.
     *
     * @param  list<array{side: float, count: int}>  $sides
     * @param  list<array{side_mm: float, count: int}>  $unmet
     * @return list<array{side: float, count: int}>
     */
    private static function met(array $sides, array $unmet): array
    {
        foreach ($unmet as ['side_mm' => $side, 'count' => $missing]) {
            foreach ($sides as $i => $wanted) {
                $less = abs($wanted['side'] - $side) < 1e-3 ? min($missing, $wanted['count']) : 0;
                $sides[$i]['count'] -= $less;
                $missing -= $less;
            }
        }

        return array_values(array_filter($sides, static fn (array $s): bool => $s['count'] > 0));
    }

    /**
     * @param  list<CutPatternData>  $patterns
     * @param  list<array{side: float, count: int}>  $sides
     */
    private function title(int $sheets, array $patterns, array $sides): string
    {
        $words = $this->files->words();
        $by = [];
        foreach ($patterns as $pattern) {
            $by[$pattern->stock] = ($by[$pattern->stock] ?? 0) + $pattern->times;
        }
        $from = implode(
            ', ',
            array_map(
                fn (string $name, int $n): string => $words->count('bench', 'of', $n, ['name' => $name]),
                array_keys($by),
                $by,
            ),
        );
        $list = implode(
            ', ',
            array_map(
                fn (array $s): string => $words->count('bench', 'squares', $s['count'], [
                    'side' => $this->measure->say($s['side']),
                ]),
                $sides,
            ),
        );

        return $sheets === 0
            ? $words->say('bench', 'nothing', ['list' => $list])
            : $words->say('bench', 'title', ['from' => $from, 'list' => $list]);
    }
}
