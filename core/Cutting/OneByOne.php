<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Paper\Stock;

/**
 * Each size by itself, largest first: the best grid on every stock, and among all ways to mix the stocks the one with
 * the least area, then the fewest sheets. Exact for one size; for several a plan that is quick, always there, and often
 * not the best.
 */
final class OneByOne
{
    /**
     * Squares times stocks; above it several sizes, for which this is only the quick plan, are not weighed up in full.
     */
    private const MUCH = 40_000;

    /** @var array<int, int|null> sheets left by stock */
    private array $left;

    /** @var list<CutSheet> */
    private array $sheets = [];

    /** @var array<int, int> by size */
    private array $unmet = [];

    private float $area = 0.0;

    private function __construct(private readonly CutRequest $request)
    {
        $this->left = array_map(static fn (Stock $s): ?int => $s->count, $request->stock);
    }

    public static function plan(CutRequest $request): CutPlan
    {
        return (new self($request))->run();
    }

    private function run(): CutPlan
    {
        $needs = $this->request->sizes();
        $bound = 0.0;
        foreach ($needs as $size => ['side' => $side, 'count' => $count]) {
            $this->one($size, $side, $count);
            $bound += $side * $side * ($count - ($this->unmet[$size] ?? 0));
        }
        $exact = count($needs) <= 1;
        $proven = $exact || abs($this->area - $bound) < 1e-6;

        return CutPlan::of(
            request: $this->request,
            sheets: $this->sheets,
            unmet: $this->unmet,
            bound: $exact ? $this->area : $bound,
            verdict: $proven ? Verdict::Proven : Verdict::Open,
        );
    }

    private function one(int $size, float $side, int $count): void
    {
        $grids = array_map(
            fn (Stock $s): SquareGrid => SquareGrid::on(
                width: $s->width,
                height: $s->height,
                side: $side,
                kerf: $this->request->kerf,
                trim: $this->request->trimOf($s),
            ),
            $this->request->stock,
        );
        $most = 0;
        foreach ($grids as $i => $grid) {
            $most += $grid->count() === 0 ? 0 : min($count, ($this->left[$i] ?? $count) * $grid->count());
        }
        $met = min($count, $most);
        if ($met < $count) {
            $this->unmet[$size] = $count - $met;
        }
        foreach ($this->cheapest($grids, $met) as $i => $times) {
            $this->take(i: $i, times: $times, grid: $grids[$i], wanted: $met, size: $size);
        }
    }

    /**
     * Books $times sheets of a stock, all cut alike: squares too many are left out only where every sheet can do
     * without one.
     */
    private function take(int $i, int $times, SquareGrid $grid, int &$wanted, int $size): void
    {
        $stock = $this->request->stock[$i];
        $per = min($grid->count(), (int) ceil($wanted / $times));
        $squares = array_map(
            static fn (array $q): Square => new Square($q['x_mm'], $q['y_mm'], $q['side_mm'], $size),
            array_slice($grid->squares(), 0, $per),
        );
        $this->sheets[] = new CutSheet($i, $times, $squares);
        $wanted = max(0, $wanted - $times * $per);
        if ($this->left[$i] !== null) {
            $this->left[$i] -= $times;
        }
        $this->area += $times * $stock->width * $stock->height;
    }

    /**
     * The stock with the least area for a square first, then the next; the last squares from whatever gives them with
     * the least area.
     *
     * @param  array<int, SquareGrid>  $grids
     * @return array<int, int> sheets by stock
     */
    private function quick(array $grids, int $need): array
    {
        $grids = array_filter($grids, static fn (SquareGrid $g): bool => $g->count() > 0);
        $area = array_map(static fn (Stock $s): float => $s->width * $s->height, $this->request->stock);
        uksort(
            $grids,
            static fn (int $a, int $b): int => $area[$a] / $grids[$a]->count() <=> $area[$b] / $grids[$b]->count(),
        );
        $use = [];
        foreach ($grids as $i => $grid) {
            $use[$i] = min($this->left[$i] ?? PHP_INT_MAX, intdiv($need, $grid->count()));
            $need -= $use[$i] * $grid->count();
        }
        while ($need > 0) {
            $best = null;
            foreach ($grids as $i => $grid) {
                $free = $this->left[$i] === null || $use[$i] < $this->left[$i];
                if (
                    $free &&
                    ($best === null ||
                        [min($need, $grid->count()) < $need, $area[$i]] < [
                            min($need, $grids[$best]->count()) < $need,
                            $area[$best],
                        ])
                ) {
                    $best = $i;
                }
            }
            if ($best === null) {
                break;
            }
            $use[$best]++;
            $need -= $grids[$best]->count();
        }
        ksort($use);

        return array_filter($use);
    }

    /**
     * Covering knapsack by dynamic programming over the number of squares still needed: the least (area, sheets) that
     * gives at least r squares. Sheets of a stock are taken one, two, four ... at once, so that any number up to what
     * there is adds up.
     *
     * @param  array<int, SquareGrid>  $grids
     * @return array<int, int> sheets by stock
     */
    private function cheapest(array $grids, int $need): array
    {
        if (count($this->request->need) > 1 && $need * count($grids) > self::MUCH) {
            return $this->quick($grids, $need);
        }
        $area = array_fill(0, $need + 1, INF);
        $sheets = array_fill(0, $need + 1, 0);
        $area[0] = 0.0;
        $parts = [];
        foreach ($grids as $i => $grid) {
            $per = $grid->count();
            $left = $per === 0 ? 0 : min($this->left[$i] ?? PHP_INT_MAX, (int) ceil($need / $per));
            $one = $this->request->stock[$i]->width * $this->request->stock[$i]->height;
            for ($times = 1; $left > 0; $times *= 2) {
                $times = min($times, $left);
                $left -= $times;
                $bits = str_repeat('0', $need + 1);
                for ($r = $need; $r > 0; $r--) {
                    $from = max(0, $r - $times * $per);
                    $with = round($area[$from] + $times * $one, 6);
                    if ($with < $area[$r] || ($with === $area[$r] && $sheets[$r] > $sheets[$from] + $times)) {
                        [$area[$r], $sheets[$r], $bits[$r]] = [$with, $sheets[$from] + $times, '1'];
                    }
                }
                $parts[] = [$i, $times, $times * $per, $bits];
            }
        }
        $use = [];
        $r = $need;
        foreach (array_reverse($parts) as [$i, $times, $gives, $bits]) {
            if ($r > 0 && $bits[$r] === '1') {
                $use[$i] = ($use[$i] ?? 0) + $times;
                $r = max(0, $r - $gives);
            }
        }
        ksort($use);

        return $use;
    }
}
