<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * Each size by itself, largest first: the best grid on every stock, and among all ways to mix the stocks the one with the
 * least area, then the fewest sheets. Exact for one size; for several a plan that is quick, always there, and often not the best.
 */
final class OneByOne
{
    /** @var array<int, int|null> sheets left by stock */
    private array $left;

    /** @var list<array{stock: string, times: int, squares: list<array{x_mm: float, y_mm: float, side_mm: float}>}> */
    private array $sheets = [];

    /** @var list<array{side_mm: float, count: int}> */
    private array $unmet = [];

    private float $area = 0.0;

    private function __construct(private readonly CutRequest $request)
    {
        $this->left = array_map(static fn (Stock $s): ?int => $s->count, $request->stock);
    }

    /**
     * @return array{sheets: list<array{stock: string, times: int, squares: list<array{x_mm: float, y_mm: float, side_mm: float}>}>, feasible: bool,
     *   unmet: list<array{side_mm: float, count: int}>, sheets_used: int, used_area_mm2: float, lower_bound_area_mm2: float, optimal: bool}
     */
    public static function plan(CutRequest $request): array
    {
        return (new self($request))->run();
    }

    /** @return array{sheets: list<array{stock: string, times: int, squares: list<array{x_mm: float, y_mm: float, side_mm: float}>}>, feasible: bool, unmet: list<array{side_mm: float, count: int}>, sheets_used: int, used_area_mm2: float, lower_bound_area_mm2: float, optimal: bool} */
    private function run(): array
    {
        $needs = $this->merged();
        $bound = 0.0;
        foreach ($needs as ['side' => $side, 'count' => $count]) {
            $this->one($side, $count);
            $bound += $side * $side * $count;
        }
        foreach ($this->unmet as $unmet) {
            $bound -= $unmet['side_mm'] ** 2 * $unmet['count'];
        }
        $exact = count($needs) <= 1;

        return [
            'sheets' => $this->sheets,
            'feasible' => $this->unmet === [],
            'unmet' => $this->unmet,
            'sheets_used' => array_sum(array_column($this->sheets, 'times')),
            'used_area_mm2' => round($this->area, 3),
            'lower_bound_area_mm2' => round($exact ? $this->area : $bound, 3),
            'optimal' => $exact || abs($this->area - $bound) < 1e-6,
        ];
    }

    /** @return list<array{side: float, count: int}> one entry per side, largest first, none of count 0 */
    private function merged(): array
    {
        $counts = [];
        foreach ($this->request->need as ['side' => $side, 'count' => $count]) {
            $counts[(string) $side] = ($counts[(string) $side] ?? 0) + $count;
        }
        krsort($counts, SORT_NUMERIC);
        $needs = [];
        foreach (array_filter($counts) as $side => $count) {
            $needs[] = ['side' => (float) $side, 'count' => $count];
        }

        return $needs;
    }

    private function one(float $side, int $count): void
    {
        $grids = array_map(fn (Stock $s): SquareGrid => SquareGrid::on($s->width, $s->height, $side, $this->request->kerf, $this->request->trimOf($s)), $this->request->stock);
        $most = 0;
        foreach ($grids as $i => $grid) {
            $most += $grid->count() === 0 ? 0 : min($count, ($this->left[$i] ?? $count) * $grid->count());
        }
        $met = min($count, $most);
        if ($met < $count) {
            $this->unmet[] = ['side_mm' => round($side, 3), 'count' => $count - $met];
        }
        foreach ($this->cheapest($grids, $met) as $i => $times) {
            $this->take($i, $times, $grids[$i], $met);
        }
    }

    /** Books $times sheets of a stock, all cut alike: squares too many are left out only where every sheet can do without one. */
    private function take(int $i, int $times, SquareGrid $grid, int &$wanted): void
    {
        $stock = $this->request->stock[$i];
        $per = min($grid->count(), (int) ceil($wanted / $times));
        $this->sheets[] = ['stock' => $stock->name, 'times' => $times, 'squares' => array_slice($grid->squares(), 0, $per)];
        $wanted = max(0, $wanted - $times * $per);
        if ($this->left[$i] !== null) {
            $this->left[$i] -= $times;
        }
        $this->area += $times * $stock->width * $stock->height;
    }

    /**
     * Covering knapsack by dynamic programming over the number of squares still needed: for each stock in turn, the least
     * (area, sheets) that leaves at most r squares to the stocks after it.
     *
     * @param  array<int, SquareGrid>  $grids
     * @return array<int, int> sheets by stock
     */
    private function cheapest(array $grids, int $need): array
    {
        $best = [0 => ['cost' => [0.0, 0], 'use' => []]];
        foreach ($grids as $i => $grid) {
            $per = $grid->count();
            if ($per === 0) {
                continue;
            }
            $area = $this->request->stock[$i]->width * $this->request->stock[$i]->height;
            $next = $best;
            foreach ($best as $done => ['cost' => [$cost, $sheets], 'use' => $use]) {
                $most = min($this->left[$i] ?? PHP_INT_MAX, (int) ceil(($need - $done) / $per));
                for ($times = 1; $times <= $most; $times++) {
                    $reached = min($need, $done + $times * $per);
                    $candidate = [round($cost + $times * $area, 6), $sheets + $times];
                    if (! isset($next[$reached]) || $candidate < $next[$reached]['cost']) {
                        $next[$reached] = ['cost' => $candidate, 'use' => $use + [$i => $times]];
                    }
                }
            }
            $best = $next;
        }

        return $best[$need]['use'] ?? [];
    }
}
