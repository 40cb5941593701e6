<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Stock as StockRecord;
use App\Support\LibraryFiles;
use Cathedra\Core\Cutting\CutPlan;
use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Cathedra\Core\Cutting\CutSheet;
use Cathedra\Core\Cutting\LargestSquare;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Paper\Stock;
use Cathedra\Core\Rules\Method;
use Closure;

/** The cutting bench: any squares from any paper of the cupboard. */
final readonly class CutBench
{
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
        $kerf = $rules->kerf(Method::from($method));
        $pile = array_map(
            static fn (array $p): Stock => Stock::of(
                name: $p[0]->name,
                width: $p[0]->width_mm,
                height: $p[0]->height_mm,
                count: $p[1],
                pointer: '',
                trim: $p[0]->trim_mm,
                scrap: $p[0]->scrap,
            ),
            $papers,
        );
        $sides = [];
        foreach ($need as ['side' => $side, 'count' => $count]) {
            $side ??= max(Stock::MIN_MM, $this->measure->down($this->largest($pile, $count, $kerf)));
            $sides[] = ['side' => $side, 'count' => $count];
        }
        $plan = CutPlanner::plan(
            new CutRequest(stock: $pile, need: $sides, kerf: $kerf, trim: 0.0, prefer: $prefer),
            Work::bench()->budget(),
            fn (float $share, string $what) => $progress($share, $words->say('bench', $what)),
        );
        $patterns = array_map(
            fn (CutSheet $sheet): CutPatternData => $this->cut->pattern($sheet, $pile[$sheet->stock], $kerf, $method),
            $plan->sheets,
        );
        $cost = 0.0;
        $made = 0.0;
        foreach ($plan->sheets as $sheet) {
            $price = $papers[$sheet->stock][0]->price;
            $cost = $cost === null || $price === null ? null : $cost + $sheet->times * $price;
            $made += $sheet->times * $sheet->squaresArea();
        }
        $strokes = array_sum(array_map(static fn (CutPatternData $p): int => $p->strokes, $patterns));
        ['unmet' => $unmet] = $plan->toArray();

        return new BenchPlanData(
            title: $this->title($plan, $patterns, $plan->sheets === [] ? $sides : self::met($plan)),
            patterns: $patterns,
            feasible: $plan->isFeasible(),
            unmet: array_map(
                fn (array $u): string => $words->say('bench', 'unmet', ['n' => $u['count'],
                    'side' => $this->measure->say($u['side_mm']),
                ]),
                $unmet,
            ),
            sheets: $plan->sheetsUsed(),
            cost: $cost === null || $cost <= 0.0 ? null : round($cost, 2),
            optimal: $plan->isFeasible() && $plan->isProven(),
            gap: round($plan->gap(), 4),
            minutes: (int) ceil(($strokes * $rules->cutSeconds(Method::from($method))) / 60),
            steps: $patterns === [] ? [] : $this->cut->how($method, $kerf),
            caution: $rules->caution(Method::from($method)),
            waste: $plan->area > 0 ? round(1 - $made / $plan->area, 4) : 0.0,
        );
    }

    /**
     * The largest side of which there are so many; where there are not so many of any, the largest that one sheet
     * gives, so that what is missing is counted in squares that somebody could fold.
     *
     * @param  list<Stock>  $pile
     */
    private function largest(array $pile, int $count, float $kerf): float
    {
        return LargestSquare::from($pile, $count, $kerf)['side_mm']
            ?? max(0.0, ...array_map(static fn (Stock $s): float => $s->largest(), $pile));
    }

    /** @return list<array{side: float, count: int}> what is wanted without what cannot be had */
    private static function met(CutPlan $plan): array
    {
        $met = [];
        foreach ($plan->request->sizes() as $size => ['side' => $side, 'count' => $count]) {
            $left = $count - ($plan->unmet[$size] ?? 0);
            $left > 0 && $met[] = ['side' => $side, 'count' => $left];
        }

        return $met;
    }

    /**
     * @param  list<CutPatternData>  $patterns
     * @param  list<array{side: float, count: int}>  $sides
     */
    private function title(CutPlan $plan, array $patterns, array $sides): string
    {
        $words = $this->files->words();
        $by = [];
        foreach ($patterns as $pattern) {
            $by[$pattern->stock] = ($by[$pattern->stock] ?? 0) + $pattern->times;
        }
        $from = implode(
            ', ',
            array_map(
                fn (string $name, int $n): string => $words->say('bench', 'of', ['n' => $n, 'name' => $name]),
                array_keys($by),
                $by,
            ),
        );
        $list = implode(
            ', ',
            array_map(
                fn (array $s): string => $words->say('bench', 'squares', ['n' => $s['count'],
                    'side' => $this->measure->say($s['side']),
                ]),
                $sides,
            ),
        );

        return $plan->sheets === []
            ? $words->say('bench', 'nothing', ['list' => $list])
            : $words->say('bench', 'title', ['from' => $from, 'list' => $list]);
    }
}
