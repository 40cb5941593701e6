<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

use Closure;

/**
 * Which sheets to cut into which squares, by what the lead puts first (Prefer). For several sizes all guillotine
 * patterns of
 * every stock are listed (GuillotinePatterns) and the cheapest whole-number mix is found (CoverProgram); `optimal` is
 * true
 * only when it is proven. Where there are too many, good ones are made one after the other, each the best at the prices
 * of the
 * mix before (StripPatterns). Where it takes too long, the best plan so far is given with the bound that shows how far
 * from
 * the best it may be.
 *
 * @phpstan-type Plan array{sheets: list<array{stock: string, times: int, squares: list<array{x_mm: float, y_mm: float,
 *     side_mm: float}>}>, feasible: bool,
 *   unmet: list<array{side_mm: float, count: int}>, sheets_used: int, used_area_mm2: float,
 *   lower_bound_area_mm2: float, optimal: bool}
 * @phpstan-type Solved array{uses: array<int, int>|null, cost: float, bound: float, proven: bool}
 */
final class CutPlanner
{
    /** Seconds of searching before the best plan found is taken. */
    public const SECONDS = 4.0;

    /** mm2: areas closer than this are the same. */
    private const SAME = 1e-3;

    /** How much more area a plan of fewer patterns may take, as a share; chosen: an extra sheet for every ten. */
    public const FEWEST_EXTRA = 0.1;

    /** Seconds given to making patterns fewer, once the plan itself is there. */
    private const TIDYING = 1.0;

    /** Patterns made one after the other where they cannot all be listed, at most. */
    private const MOST_MADE = 60;

    /** Shares of the time by which listing, making patterns, and making those that finish a plan have to end. */
    private const LISTED = 0.4;

    private const MADE = 0.55;

    private const IN_TURN = 0.7;

    /** Steps of looking for mixes of stocks with the same area. */
    private const MIXING = 100_000;

    private const MOST_MIXES = 200;

    /**
     * @var list<array{counts: array<int, int>, group: int, cost: float, squares: Closure(): list<array{x: float,
     *     y: float, size: int}>}>
     */
    private array $columns = [];

    /** @var array<int, int|null> */
    private array $limits;

    private float $began;

    private int $mixing = 0;

    /** Whether all that could make the plan better was looked at. */
    private bool $thorough = true;

    /**
     * @param  list<float>  $sides  largest first
     * @param  array<int, int>  $need
     * @param  Closure(float, string): void|null  $progress
     */
    private function __construct(
        private readonly CutRequest $request,
        private readonly array $sides,
        private readonly array $need,
        private readonly float $seconds,
        private readonly ?Closure $progress,
    ) {
        $this->limits = array_map(static fn (Stock $s): ?int => $s->count, $request->stock);
        $this->began = microtime(true);
    }

    /**
     * @param  float  $seconds  of searching at most
     * @param  Closure(float, string): void|null  $progress  told now and then the share of the work
     *     (or of the time it may take) that is done, and what is being done: list, search, tidy
     * @return Plan
     */
    public static function plan(CutRequest $request, float $seconds = self::SECONDS, ?Closure $progress = null): array
    {
        $counts = [];
        foreach ($request->need as ['side' => $side, 'count' => $count]) {
            $counts[(string) $side] = ($counts[(string) $side] ?? 0) + $count;
        }
        $counts = array_filter($counts);
        krsort($counts, SORT_NUMERIC);
        $plain = OneByOne::plan($request);
        if (count($counts) <= 1 && ($request->prefer === Prefer::Least || $counts === [])) {
            return $plain;
        }

        return (new self(
            $request,
            array_map(floatval(...), array_keys($counts)),
            array_values($counts),
            $seconds,
            $progress,
        ))->better($plain);
    }

    /**
     * @param  Plan  $plain
     * @return Plan
     */
    private function better(array $plain): array
    {
        $all = $this->listPatterns();
        $unmet = $plain['feasible'] ? array_fill(0, count($this->need), 0) : $this->unmet();
        $need = array_map(static fn (int $n, int $u): int => $n - $u, $this->need, $unmet);
        $least = $this->request->prefer !== Prefer::Scrap;
        $found = $least ? $this->solve($this->columns, $need, $this->limits) : $this->scrapFirst($need);
        if ($found['uses'] === null) {
            return $plain;
        }
        $bound = $all ? $found['bound'] : min($found['cost'], $this->squaresArea($need));
        $sameUnmet = array_sum(array_column($plain['unmet'], 'count')) === array_sum($unmet);
        if (
            array_sum(array_column($plain['unmet'], 'count')) < array_sum($unmet) ||
            ($least && $sameUnmet && $plain['used_area_mm2'] < $found['cost'] - self::SAME)
        ) {
            return ['lower_bound_area_mm2' => round(min($plain['used_area_mm2'], $bound), 3)] + $plain;
        }
        $this->tell(0.9, 'tidy');
        $uses = $least ? $this->fewestSheets($found['uses'], $need, $found['cost']) : $found['uses'];
        $tidy = $this->fewest($uses, $need);
        $feasible = array_sum($unmet) === 0;
        $missing = [];
        foreach ($unmet as $i => $count) {
            if ($count > 0) {
                $missing[] = ['side_mm' => round($this->sides[$i], 3), 'count' => $count];
            }
        }
        $area = $this->cost($tidy['uses']);

        return [
            'sheets' => $this->sheets($tidy['uses'], $need),
            'feasible' => $feasible,
            'unmet' => $missing,
            'sheets_used' => array_sum($tidy['uses']),
            'used_area_mm2' => round($area, 3),
            'lower_bound_area_mm2' => round(min($area, $bound), 3),
            'optimal' => $feasible &&
                $this->thorough &&
                ($all ? $found['proven'] : $found['cost'] <= $bound + self::SAME) &&
                ($tidy['proven'] || $this->request->prefer !== Prefer::Fewest),
        ];
    }

    /** Lists the patterns of every stock; false when there are too many and only some good ones were made. */
    private function listPatterns(): bool
    {
        $all = count($this->sides) <= GuillotinePatterns::MOST_SIZES;
        $listing = fn () => $this->tell(
            0.3 * min(1.0, (microtime(true) - $this->began) / (self::LISTED * $this->seconds)),
            'list',
        );
        $listing();
        foreach ($this->request->stock as $group => $stock) {
            $patterns =
                ! $all || $this->late(self::LISTED)
                    ? null
                    : ($stock->count === 0
                        ? []
                        : GuillotinePatterns::of(
                            $stock->width,
                            $stock->height,
                            $this->sides,
                            $this->need,
                            $this->request->kerf,
                            $this->request->trimOf($stock),
                            $this->began + self::LISTED * $this->seconds,
                            $listing,
                        ));
            $all = $patterns !== null;
            foreach ($patterns ?? [] as ['counts' => $counts, 'squares' => $squares]) {
                $this->column($group, $counts, static fn (): array => $squares);
            }
        }
        if (! $all) {
            $this->makePatterns();
            $this->makeInTurn();
        }

        return $all;
    }

    /** @phpstan-impure time goes on */
    private function late(float $share): bool
    {
        return microtime(true) - $this->began > $share * $this->seconds;
    }

    /**
     * @param  array<int, int>  $counts
     * @param  Closure(): list<array{x: float, y: float, size: int}>  $squares
     */
    private function column(int $group, array $counts, Closure $squares): void
    {
        $stock = $this->request->stock[$group];
        $this->columns[] = [
            'counts' => $counts,
            'group' => $group,
            'cost' => $stock->width * $stock->height,
            'squares' => $squares,
        ];
    }

    /**
     * Good patterns: first each size by itself and what fills a sheet best, then always the dearest at the prices of
     * the mix so far.
     */
    private function makePatterns(): void
    {
        $sizes = array_keys($this->sides);
        foreach ($this->late(self::LISTED) ? [] : $sizes as $i) {
            $this->makeDearest(array_map(static fn (int $k): float => $k === $i ? 1.0 : 0.0, $sizes), null);
        }
        $this->makeDearest(array_map(static fn (float $side): float => $side ** 2, $this->sides), null);
        $areas = array_map(static fn (Stock $s): float => $s->width * $s->height, $this->request->stock);
        for ($made = 0; $made < self::MOST_MADE && ! $this->late(self::MADE); $made++) {
            $this->tell(0.3 + (0.1 * $made) / self::MOST_MADE, 'list');
            $columns = $this->columns;
            foreach ($sizes as $i) {
                // a square that is not had costs more than any sheet
                $columns[] = [
                    'counts' => array_map(static fn (int $k): int => $k === $i ? 1 : 0, $sizes),
                    'group' => -1,
                    'cost' => 10 * max([1.0, ...$areas]),
                ];
            }
            $rows = array_map(
                fn (int $i): array => [
                    array_map(static fn (array $c): float => (float) -$c['counts'][$i], $columns),
                    (float) -$this->need[$i],
                ],
                $sizes,
            );
            $limited = array_keys(array_filter($this->limits, static fn (?int $n): bool => $n !== null));
            foreach ($limited as $group) {
                $rows[] = [
                    array_map(static fn (array $c): float => $c['group'] === $group ? 1.0 : 0.0, $columns),
                    (float) $this->limits[$group],
                ];
            }
            $mix = DualSimplex::least(array_column($columns, 'cost'), $rows, array_keys($columns));
            $prices = array_slice($mix['prices'] ?? [], 0, count($sizes));
            $rents = array_combine(
                $limited,
                array_slice($mix['prices'] ?? array_fill(0, count($rows), 0.0), count($sizes)),
            );
            if ($mix === null || ! $this->makeDearest($prices, $rents)) {
                return;
            }
        }
    }

    /**
     * Patterns that finish a plan: sheet after sheet the one that wastes least of what is still wanted, for several
     * ways of
     * valuing large squares over small ones.
     */
    private function makeInTurn(): void
    {
        foreach ([2.0, 2.3, 1.7, 3.0, 2.1, 1.0] as $power) {
            $need = $this->need;
            $limits = $this->limits;
            $prices = array_map(static fn (float $side): float => $side ** $power, $this->sides);
            while (max([0, ...$need]) > 0 && ! $this->late(self::IN_TURN)) {
                $best = $this->fullest($prices, $need, $limits);
                if ($best === null) {
                    break;
                }
                [$group, $pattern] = $best;
                $trim = $this->request->trimOf($this->request->stock[$group]);
                $this->column(
                    $group,
                    $pattern['counts'],
                    fn (): array => StripPatterns::place($pattern, $this->sides, $this->request->kerf, $trim),
                );
                $times = $limits[$group] ?? PHP_INT_MAX;
                foreach ($pattern['counts'] as $i => $n) {
                    $times = $n > 0 ? min($times, max(1, intdiv($need[$i], $n))) : $times;
                }
                foreach ($pattern['counts'] as $i => $n) {
                    $need[$i] = max(0, $need[$i] - $times * $n);
                }
                if ($limits[$group] !== null) {
                    $limits[$group] -= $times;
                }
            }
        }
    }

    /**
     * The sheet of which least is wasted, of the dearest patterns of all stocks.
     *
     * @param  list<float>  $prices
     * @param  array<int, int>  $need
     * @param  array<int, int|null>  $limits
     * @return array{int, array{counts: array<int, int>, along: bool, rows: list<array{size: int, times: int,
     *     counts: array<int, int>}>}}|null the stock and the pattern
     */
    private function fullest(array $prices, array $need, array $limits): ?array
    {
        $best = null;
        $most = 0.0;
        foreach ($this->request->stock as $group => $stock) {
            if (($limits[$group] ?? 1) <= 0 || $this->late(self::IN_TURN)) {
                continue;
            }
            $pattern = StripPatterns::dearest(
                $stock->width,
                $stock->height,
                $this->sides,
                $prices,
                $need,
                $this->request->kerf,
                $this->request->trimOf($stock),
            );
            $share = $this->squaresArea($pattern['counts']) / ($stock->width * $stock->height);
            if ($share > $most) {
                [$best, $most] = [[$group, $pattern], $share];
            }
        }

        return $best;
    }

    /**
     * @param  list<float>  $prices  of a square by size
     * @param  array<int, float>|null  $rents  of a sheet by stock, beside its area; null: take the pattern whatever it
     *     is worth
     * @return bool whether there was a pattern worth more than its sheet costs
     */
    private function makeDearest(array $prices, ?array $rents): bool
    {
        $any = false;
        foreach ($this->request->stock as $group => $stock) {
            if ($stock->count === 0 || $this->late(self::MADE)) {
                continue;
            }
            $pattern = StripPatterns::dearest(
                $stock->width,
                $stock->height,
                $this->sides,
                $prices,
                $this->need,
                $this->request->kerf,
                $trim = $this->request->trimOf($stock),
            );
            $worth = array_sum(
                array_map(static fn (int $n, float $price): float => $n * $price, $pattern['counts'], $prices),
            );
            if (
                $worth >
                ($rents === null ? 0.0 : ($stock->width * $stock->height + ($rents[$group] ?? 0.0)) * (1 + 1e-6))
            ) {
                $any = true;
                $this->column(
                    $group,
                    $pattern['counts'],
                    fn (): array => StripPatterns::place($pattern, $this->sides, $this->request->kerf, $trim),
                );
            }
        }

        return $any;
    }

    /**
     * @param  list<array{counts: array<int, int>, group: int, cost: float}>  $columns
     * @param  array<int, int>  $need
     * @param  array<int, int|null>  $limits
     * @return Solved
     */
    private function solve(array $columns, array $need, array $limits): array
    {
        return CoverProgram::solve(
            $columns,
            $need,
            $limits,
            $this->began + $this->seconds,
            fn () => $this->tell(0.4 + 0.5 * min(1.0, (microtime(true) - $this->began) / $this->seconds), 'search'),
        );
    }

    private function tell(float $share, string $what): void
    {
        ($this->progress ?? static fn () => null)($share, $what);
    }

    /**
     * The least area of paper that is not scrap; then, for every number of such sheets that adds up to it, the least
     * area of scrap.
     *
     * @param  array<int, int>  $need
     * @return Solved
     */
    private function scrapFirst(array $need): array
    {
        $scrap = array_map(static fn (Stock $s): bool => $s->scrap, $this->request->stock);
        $priced = fn (bool $ofScrap): array => array_map(
            static fn (array $c): array => ['cost' => $scrap[$c['group']] === $ofScrap ? $c['cost'] : 0.0] + $c,
            $this->columns,
        );
        $fresh = $this->solve($priced(false), $need, $this->limits);
        if ($fresh['uses'] === null || ! in_array(true, $scrap, true)) {
            return $fresh;
        }
        $mixes = [];
        $this->mixing = 0;
        $this->mixes(array_keys($scrap, false, true), $fresh['cost'], [], $mixes);
        $best = ['uses' => $fresh['uses'], 'cost' => $this->cost($fresh['uses']), 'bound' => 0.0, 'proven' => false];
        $proven =
            $fresh['proven'] && $mixes !== [] && $this->mixing <= self::MIXING && count($mixes) <= self::MOST_MIXES;
        foreach ($mixes as $mix) {
            if ($this->late(1.0)) {
                $proven = false;
                break;
            }
            $with = $this->solve($priced(true), $need, $mix + $this->limits);
            $proven = $proven && $with['proven'];
            if ($with['uses'] !== null && $this->cost($with['uses']) < $best['cost'] - self::SAME) {
                $best = [
                    'uses' => $with['uses'],
                    'cost' => $this->cost($with['uses']),
                    'bound' => 0.0,
                    'proven' => false,
                ];
            }
        }

        return ['bound' => $proven ? $best['cost'] : $this->squaresArea($need), 'proven' => $proven] + $best;
    }

    /** @return array<int, int> squares of each size that this paper cannot give, as few as possible */
    private function unmet(): array
    {
        $columns = array_map(static fn (array $c): array => ['cost' => 0.0] + $c, $this->columns);
        $sizes = array_keys($this->sides);
        foreach ($sizes as $i) {
            $columns[] = [
                'counts' => array_map(static fn (int $k): int => $k === $i ? 1 : 0, $sizes),
                'group' => -1,
                'cost' => 1.0,
            ];
        }
        $solved = $this->solve($columns, $this->need, $this->limits + [-1 => null]);

        return array_values(
            array_slice(
                $solved['uses'] ?? [...array_fill(0, count($this->columns), 0), ...$this->need],
                count($this->columns),
            ),
        );
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
     * mm2 of the sheets
     *
     * @param  array<int, int>  $uses
     */
    private function cost(array $uses): float
    {
        return array_sum(
            array_map(fn (int $c, int $times): float => $times * $this->columns[$c]['cost'], array_keys($uses), $uses),
        );
    }

    /**
     * The same with fewer patterns: with the same sheets, or, where that is what the lead prefers, with a little more
     * area.
     *
     * @param  array<int, int>  $uses
     * @param  array<int, int>  $need
     * @return array{uses: array<int, int>, proven: bool}
     */
    private function fewest(array $uses, array $need): array
    {
        $deadline = microtime(true) + min(self::TIDYING, $this->seconds);
        if ($this->request->prefer === Prefer::Fewest) {
            return FewestPatterns::of(
                $this->columns,
                $need,
                $this->limits,
                $this->cost($uses) * (1 + self::FEWEST_EXTRA),
                $uses,
                $deadline,
            );
        }
        $same = array_fill_keys(array_keys($this->limits), 0);
        foreach ($uses as $c => $times) {
            $same[$this->columns[$c]['group']] += $times;
        }

        return FewestPatterns::of($this->columns, $need, $same, $this->cost($uses), $uses, $deadline);
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
        $this->mixing = 0;
        $this->mixes(array_keys($this->request->stock), $area, [], $mixes);
        $this->thorough = $this->mixing <= self::MIXING && count($mixes) <= self::MOST_MIXES;
        usort($mixes, static fn (array $a, array $b): int => array_sum($a) <=> array_sum($b));
        foreach ($mixes as $mix) {
            if (array_sum($mix) >= array_sum($uses) || $this->late(1.0)) {
                $this->thorough = $this->thorough && array_sum($mix) >= array_sum($uses);
                break;
            }
            $fewer = $this->solve($this->columns, $need, $mix);
            if ($fewer['uses'] !== null) {
                return $fewer['uses'];
            }
            $this->thorough = $this->thorough && $fewer['proven'];
        }

        return $uses;
    }

    /**
     * All numbers of sheets of some stocks that add up to an area.
     *
     * @param  list<int>  $groups
     * @param  array<int, int>  $mix  by stock
     * @param  list<array<int, int>>  $mixes
     */
    private function mixes(array $groups, float $area, array $mix, array &$mixes): void
    {
        $group = array_shift($groups);
        if (++$this->mixing > self::MIXING || $group === null || count($mixes) > self::MOST_MIXES) {
            if ($group === null && abs($area) < self::SAME) {
                $mixes[] = $mix;
            }

            return;
        }
        $stock = $this->request->stock[$group];
        $one = $stock->width * $stock->height;
        for (
            $n = 0;
            $n <= min($stock->count ?? PHP_INT_MAX, floor(($area + self::SAME) / $one)) &&
            $this->mixing <= self::MIXING;
            $n++
        ) {
            $this->mixes($groups, $area - $n * $one, [$group => $n] + $mix, $mixes);
        }
    }

    /**
     * The plan, one entry for each pattern. Sheets of one pattern are all cut alike, since they lie in stacks: squares
     * beyond
     * what is wanted are left out where all sheets of a pattern can do without them, and are cut as spares where not.
     *
     * @param  array<int, int>  $uses
     * @param  array<int, int>  $need
     * @return list<array{stock: string, times: int, squares: list<array{x_mm: float, y_mm: float, side_mm: float}>}>
     */
    private function sheets(array $uses, array $need): array
    {
        $uses = array_filter($uses);
        $surplus = array_map(static fn (int $n): int => -$n, $need);
        foreach ($uses as $c => $times) {
            foreach ($this->columns[$c]['squares']() as ['size' => $size]) {
                // its counts stop at what is wanted
                $surplus[$size] += $times;
            }
        }
        asort($uses);
        $sheets = [];
        foreach ($uses as $c => $times) {
            $squares = [];
            foreach (array_reverse($this->columns[$c]['squares']()) as ['x' => $x, 'y' => $y, 'size' => $size]) {
                if ($surplus[$size] >= $times) {
                    $surplus[$size] -= $times;

                    continue;
                }
                $squares[] = ['x_mm' => $x, 'y_mm' => $y, 'side_mm' => round($this->sides[$size], 3)];
            }
            $sheets[] = [
                'stock' => $this->request->stock[$this->columns[$c]['group']]->name,
                'times' => $times,
                'squares' => array_reverse($squares),
            ];
        }

        return array_reverse($sheets);
    }
}
