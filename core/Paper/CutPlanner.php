<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * Which sheets to cut into which squares: least area, then fewest sheets, then fewest different patterns. For several
 * sizes all guillotine patterns of every stock are listed (GuillotinePatterns) and the cheapest whole-number mix is found
 * (CoverProgram); `optimal` is true only when it is proven. Where that takes too long, the best plan so far is given with
 * the bound that shows how far from the best it may be.
 *
 * @phpstan-type Plan array{sheets: list<array{stock: string, times: int, squares: list<array{x_mm: float, y_mm: float, side_mm: float}>}>, feasible: bool,
 *   unmet: list<array{side_mm: float, count: int}>, sheets_used: int, used_area_mm2: float, lower_bound_area_mm2: float, optimal: bool}
 */
final class CutPlanner
{
    /** Seconds of searching before the best plan found is taken. */
    public const SECONDS = 4.0;

    /** With more sizes than this the patterns are too many to list. */
    private const MANY_SIZES = 4;

    /** mm2: areas closer than this are the same. */
    private const SAME = 1e-3;

    /** @var list<array{counts: array<int, int>, group: int, cost: float, squares: list<array{x: float, y: float, size: int}>}> */
    private array $columns = [];

    /** @var array<int, int|null> */
    private array $limits;

    /**
     * @param  list<float>  $sides  largest first
     * @param  array<int, int>  $need
     */
    private function __construct(private readonly CutRequest $request, private readonly array $sides, private readonly array $need, private readonly float $deadline)
    {
        $this->limits = array_map(static fn (Stock $s): ?int => $s->count, $request->stock);
    }

    /** @return Plan */
    public static function plan(CutRequest $request, float $seconds = self::SECONDS): array
    {
        $counts = [];
        foreach ($request->need as ['side' => $side, 'count' => $count]) {
            $counts[(string) $side] = ($counts[(string) $side] ?? 0) + $count;
        }
        $counts = array_filter($counts);
        krsort($counts, SORT_NUMERIC);
        $plain = OneByOne::plan($request);
        if (count($counts) <= 1) {
            return $plain;
        }
        $self = new self($request, array_map(floatval(...), array_keys($counts)), array_values($counts), microtime(true) + $seconds);

        return $self->better($plain);
    }

    /**
     * @param  Plan  $plain
     * @return Plan
     */
    private function better(array $plain): array
    {
        $all = $this->listPatterns();
        $unmet = $this->unmet();
        $need = array_map(static fn (int $n, int $u): int => $n - $u, $this->need, $unmet);
        $found = CoverProgram::solve($this->columns, $need, $this->limits, $this->deadline);
        if ($found['uses'] === null) {
            return $plain;
        }
        $bound = $all ? $found['bound'] : $this->squaresArea($need);
        $sameUnmet = array_sum(array_column($plain['unmet'], 'count')) === array_sum($unmet);
        if ($sameUnmet && $plain['used_area_mm2'] < $found['cost'] - self::SAME) {
            return ['lower_bound_area_mm2' => round(min($plain['used_area_mm2'], $bound), 3)] + $plain;
        }
        $uses = FewestPatterns::of($this->columns, $need, $this->fewestSheets($found['uses'], $need, $found['cost']));
        $feasible = array_sum($unmet) === 0;
        $missing = [];
        foreach ($unmet as $i => $count) {
            if ($count > 0) {
                $missing[] = ['side_mm' => round($this->sides[$i], 3), 'count' => $count];
            }
        }

        return [
            'sheets' => $this->sheets($uses, $need),
            'feasible' => $feasible,
            'unmet' => $missing,
            'sheets_used' => array_sum($uses),
            'used_area_mm2' => round($found['cost'], 3),
            'lower_bound_area_mm2' => round($bound, 3),
            'optimal' => $feasible && ($all ? $found['proven'] : $found['cost'] <= $bound + self::SAME),
        ];
    }

    /** Lists the patterns of every stock; false when there are too many and only some good ones were listed. */
    private function listPatterns(): bool
    {
        $all = count($this->sides) <= self::MANY_SIZES;
        $listed = [];
        foreach ($this->request->stock as $group => $stock) {
            $patterns = ! $all ? null : ($stock->count === 0 ? [] : GuillotinePatterns::of($stock->width, $stock->height, $this->sides, $this->need, $this->request->kerf, $this->request->trim));
            $all = $patterns !== null;
            $listed[$group] = $patterns;
        }
        foreach ($this->request->stock as $group => $stock) {
            $patterns = $listed[$group] ?? ($stock->count === 0 ? [] : StripPatterns::of($stock->width, $stock->height, $this->sides, $this->need, $this->request->kerf, $this->request->trim));
            foreach ($patterns as $pattern) {
                $this->columns[] = ['counts' => $pattern['counts'], 'group' => $group, 'cost' => $stock->width * $stock->height, 'squares' => $pattern['squares']];
            }
        }

        return $all;
    }

    /** @return array<int, int> squares of each size that this paper cannot give, as few as possible */
    private function unmet(): array
    {
        $columns = array_map(static fn (array $c): array => ['cost' => 0.0] + $c, $this->columns);
        $sizes = array_keys($this->sides);
        foreach ($sizes as $i) {
            $columns[] = ['counts' => array_map(static fn (int $k): int => $k === $i ? 1 : 0, $sizes), 'group' => -1, 'cost' => 1.0];
        }
        $solved = CoverProgram::solve($columns, $this->need, $this->limits + [-1 => null], $this->deadline);

        return array_values(array_slice($solved['uses'] ?? [...array_fill(0, count($this->columns), 0), ...$this->need], count($this->columns)));
    }

    /**
     * No plan uses less than the squares themselves have.
     *
     * @param  array<int, int>  $need
     */
    private function squaresArea(array $need): float
    {
        return array_sum(array_map(static fn (int $n, float $side): float => $n * $side ** 2, $need, $this->sides));
    }

    /**
     * Among plans of the same area one with fewer sheets, where stocks add up to that area in several ways.
     *
     * @param  array<int, int>  $uses
     * @param  array<int, int>  $need
     * @return array<int, int>
     */
    private function fewestSheets(array $uses, array $need, float $area): array
    {
        $mixes = [];
        $this->mixes(0, $area, [], $mixes);
        usort($mixes, static fn (array $a, array $b): int => array_sum($a) <=> array_sum($b));
        foreach ($mixes as $mix) {
            if (array_sum($mix) >= array_sum($uses)) {
                break;
            }
            $fewer = CoverProgram::solve($this->columns, $need, $mix, $this->deadline);
            if ($fewer['uses'] !== null) {
                return $fewer['uses'];
            }
        }

        return $uses;
    }

    /**
     * All numbers of sheets of each stock that add up to an area.
     *
     * @param  list<int>  $mix
     * @param  list<list<int>>  $mixes
     */
    private function mixes(int $group, float $area, array $mix, array &$mixes): void
    {
        $stock = $this->request->stock[$group] ?? null;
        if ($stock === null || count($mixes) > 200) {
            if ($stock === null && abs($area) < self::SAME) {
                $mixes[] = $mix;
            }

            return;
        }
        $one = $stock->width * $stock->height;
        for ($n = 0; $n <= min($stock->count ?? PHP_INT_MAX, floor(($area + self::SAME) / $one)); $n++) {
            $this->mixes($group + 1, $area - $n * $one, [...$mix, $n], $mixes);
        }
    }

    /**
     * The plan sheet by sheet. Squares beyond what is wanted are left out, from the last sheets on.
     *
     * @param  array<int, int>  $uses
     * @param  array<int, int>  $need
     * @return list<array{stock: string, times: int, squares: list<array{x_mm: float, y_mm: float, side_mm: float}>}>
     */
    private function sheets(array $uses, array $need): array
    {
        $sheets = [];
        foreach ($uses as $c => $times) {
            $full = $times;
            foreach ($this->columns[$c]['counts'] as $i => $count) {
                $full = $count > 0 ? min($full, intdiv($need[$i], $count)) : $full;
            }
            foreach ([$full, ...array_fill(0, $times - $full, 1)] as $run) {
                if ($run === 0) {
                    continue;
                }
                $squares = [];
                foreach ($this->columns[$c]['squares'] as ['x' => $x, 'y' => $y, 'size' => $size]) {
                    if ($need[$size] >= $run) {
                        $need[$size] -= $run;
                        $squares[] = ['x_mm' => $x, 'y_mm' => $y, 'side_mm' => round($this->sides[$size], 3)];
                    }
                }
                $sheets[] = ['stock' => $this->request->stock[$this->columns[$c]['group']]->name, 'times' => $run, 'squares' => $squares];
            }
        }

        return $sheets;
    }
}
