<?php

declare(strict_types=1);

namespace Tests\Core\Cutting;

use Cathedra\Core\Cutting\CutOrder;
use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Cathedra\Core\Cutting\GuillotinePatterns;
use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Cutting\Tidying;
use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Numeric\Knapsack;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\BruteCuts;
use Tests\Support\Effort;

/** Several sizes at once: sound plans, and the least paper. */
final class CutPlannerTest extends TestCase
{
    public function testOfficeSheetsForABodyAndAHead(): void
    {
        // A4 holds a square of 120 and two of 90 beside it (210 wide), and a row of 120 and 90 more above it: 120 + 120
        // and 3 * 90 along 297. So 2 big and 3 small from each sheet: 10 and 10 need 5 sheets for the big ones, 15
        // small ones.
        $plan = self::plan([['A4', 210, 297, null]], [[120, 10], [90, 10]]);
        self::assertSame([5, true, true], [$plan['sheets_used'], $plan['feasible'], $plan['optimal']]);
        self::assertEqualsWithDelta(5 * 210 * 297, $plan['used_area_mm2'], 1e-3);
    }

    public function testMoreThanTwoStagesAreFound(): void
    {
        // 5 * 5 with a square of 3 in the corner: 2 * 2 beside it, 2 * 2 twice above, and 1 * 1 where they leave room.
        // A cut at 3, then at 3, then at 2 is needed: three stages for 3, 2, 2, 2 and two of 1.
        $plan = self::plan([['p', 50, 50, 1]], [[30, 1], [20, 3], [10, 4]]);
        self::assertTrue($plan['feasible'], 'area 9 + 12 + 4 = 25: nothing is left over');
        self::assertTrue($plan['optimal']);
    }

    public function testTheIndependentSolverAgrees(): void
    {
        $proven = 0;
        for ($seed = 1; $seed <= 150; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $kerf = $seed % 3 === 0 ? 1 : 0;
            $sides = array_slice($chance->shuffleArray([2, 3, 4, 5]), 0, $chance->getInt(2, 3));
            rsort($sides);
            $need = array_map(static fn (): int => $chance->getInt(1, 5), $sides);
            $stock = [];
            foreach (range(1, $chance->getInt(1, 3)) as $ignored) {
                $stock[] = [$chance->getInt(5, 9), $chance->getInt(5, 9), $chance->getInt(1, 4)];
            }
            $least = BruteCuts::least($sides, $need, $stock, $kerf);
            $plan = self::plan(
                array_map(
                    static fn (array $s, int $i): array => ["s$i", 10 * $s[0], 10 * $s[1], $s[2]],
                    $stock,
                    array_keys($stock),
                ),
                array_map(static fn (int $side, int $n): array => [10 * $side, $n], $sides, $need),
                10 * $kerf,
            );
            self::assertSame($least !== null, $plan['feasible'], "seed $seed");
            if ($least !== null) {
                self::assertTrue($plan['optimal'], "seed $seed");
                self::assertEqualsWithDelta(
                    [100 * $least[0], $least[1]],
                    [$plan['used_area_mm2'], $plan['sheets_used']],
                    1e-3,
                    "seed $seed",
                );
                $proven++;
            }
            $this->assertSound(plan: $plan, stock: $stock, need: $need, sides: $sides, kerf: $kerf, what: "seed $seed");
        }
        self::assertGreaterThan(60, $proven);
    }

    public function testScalingTheLengthsScalesThePlan(): void
    {
        for ($seed = 1; $seed <= 10; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            [$a, $b, $n] = [$chance->getInt(60, 140), $chance->getInt(40, 59), $chance->getInt(3, 30)];
            $one = self::plan([['A4', 210, 297, null]], [[$a, $n], [$b, 2 * $n]]);
            $two = self::plan([['A2', 420, 594, null]], [[2 * $a, $n], [2 * $b, 2 * $n]]);
            self::assertSame($one['sheets_used'], $two['sheets_used']);
            self::assertEqualsWithDelta(4 * $one['used_area_mm2'], $two['used_area_mm2'], 1e-3);
        }
    }

    public function testMoreStockNeverMakesItWorse(): void
    {
        for ($seed = 1; $seed <= 15; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $need = [
                [$chance->getInt(90, 150), $chance->getInt(4, 12)],
                [$chance->getInt(50, 89), $chance->getInt(4, 12)],
            ];
            $few = self::plan([['A4', 210, 297, null]], $need);
            $more = self::plan([['A4', 210, 297, null], ['News', 289, 380, $chance->getInt(1, 6)]], $need);
            self::assertLessThanOrEqual($few['used_area_mm2'] + 1e-3, $more['used_area_mm2'], "seed $seed");
            self::assertTrue($few['optimal'] && $more['optimal'], "seed $seed");
        }
    }

    public function testSheetsAreCutAlikeWhereTheyCan(): void
    {
        // 10 of 120 and 10 of 90: two of each from every A4, five times, and not three ways of cutting.
        $plan = self::plan([['A4', 210, 297, null]], [[120, 10], [90, 10]]);
        self::assertSame([5], array_column($plan['sheets'], 'times'));
        self::assertCount(4, $plan['sheets'][0]['squares']);
    }

    public function testScrapFirst(): void
    {
        // 6 squares of 140 and 6 of 60. A strip of 87 x 210 gives three of 60: two strips; and no 140. An A4 gives two
        // of 140 and, beside and above them, eight of 60. Least area: 3 A4 and no strip. Scrap first takes no less A4,
        // so no strip either.
        $stock = [
            ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => null],
            ['name' => 'strips', 'width_mm' => 87, 'height_mm' => 210, 'count' => 20, 'scrap' => true],
        ];
        $uses = static fn (array $plan): array => array_column($plan['sheets'], 'times', 'stock');
        $ask = static fn (array $need, string $prefer): array => CutPlanner::plan(
            CutRequest::fromArray(['stock' => $stock, 'need' => $need, 'prefer' => $prefer]),
        )->toArray();
        $plan = $ask([['side_mm' => 140, 'count' => 6], ['side_mm' => 60, 'count' => 6]], 'scrap');
        self::assertSame([['A4' => 3], true], [$uses($plan), $plan['optimal']]);
        // 30 of 60 alone: an A4 gives 3 * 4 = 12, a strip 3. Least: 2 A4 (24) and 2 strips, 2 * 62370 + 2 * 18270 =
        // 161280, against 10 strips with 182700; scrap first takes the ten strips.
        self::assertSame(['A4' => 2, 'strips' => 2], $uses($ask([['side_mm' => 60, 'count' => 30]], 'least')));
        $plan = $ask([['side_mm' => 60, 'count' => 30]], 'scrap');
        self::assertSame([['strips' => 10], true, 10], [$uses($plan), $plan['optimal'], $plan['sheets_used']]);
        // 70 of 60: all twenty strips give 60, one A4 the other ten.
        $plan = $ask([['side_mm' => 60, 'count' => 70]], 'scrap');
        self::assertEquals(['A4' => 1, 'strips' => 20], $uses($plan));
    }

    /** Scrap first never takes more fresh paper than any other plan, and is sound. */
    public function testScrapFirstSavesFreshPaper(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $stock = [
                [
                    'name' => 'fresh',
                    'width_mm' => $chance->getInt(180, 320),
                    'height_mm' => $chance->getInt(180, 320),
                    'count' => null,
                ],
                [
                    'name' => 'scrap',
                    'width_mm' => $chance->getInt(80, 200),
                    'height_mm' => $chance->getInt(80, 200),
                    'count' => $chance->getInt(0, 15),
                    'scrap' => true,
                ],
            ];
            $need = [
                ['side_mm' => $chance->getInt(90, 140), 'count' => $chance->getInt(1, 15)],
                ['side_mm' => $chance->getInt(50, 89), 'count' => $chance->getInt(1, 15)],
            ];
            $fresh = static fn (array $plan): int => array_sum(
                array_map(static fn (array $s): int => $s['stock'] === 'fresh' ? $s['times'] : 0, $plan['sheets']),
            );
            $by = [];
            foreach (['least', 'fewest', 'scrap'] as $prefer) {
                $by[$prefer] = CutPlanner::plan(
                    CutRequest::fromArray(['stock' => $stock, 'need' => $need, 'prefer' => $prefer]),
                )->toArray();
                self::assertTrue($by[$prefer]['feasible'] && $by[$prefer]['optimal'], "seed $seed, $prefer");
            }
            self::assertLessThanOrEqual(
                min($fresh($by['least']), $fresh($by['fewest'])),
                $fresh($by['scrap']),
                "seed $seed",
            );
            self::assertLessThanOrEqual(
                $by['scrap']['used_area_mm2'] + 1e-3,
                $by['least']['used_area_mm2'],
                "seed $seed",
            );
            self::assertLessThanOrEqual(count($by['least']['sheets']), count($by['fewest']['sheets']), "seed $seed");
            self::assertLessThanOrEqual(
                $by['least']['used_area_mm2'] * (1 + Tidying::FEWEST_EXTRA) + 1e-3,
                $by['fewest']['used_area_mm2'],
                "seed $seed",
            );
        }
    }

    /**
     * Of all plans with the same sheets none has fewer patterns: every set of fewer patterns is tried here, every
     * number of times.
     */
    public function testNoPlanWithTheSameSheetsHasFewerPatterns(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            [$w, $h] = [$chance->getInt(10, 14), $chance->getInt(10, 14)];
            $sides = [5, 3];
            $need = [$chance->getInt(2, 14), $chance->getInt(2, 20)];
            $plan = self::plan([['p', 10 * $w, 10 * $h, null]], [[50, $need[0]], [30, $need[1]]]);
            $patterns = array_map(
                static fn (array $p): array => $p['counts'],
                GuillotinePatterns::of(
                    width: $w,
                    height: $h,
                    sides: $sides,
                    caps: $need,
                    kerf: 0.0,
                    trim: 0.0,
                    budget: Budget::steps(40_000_000),
                ) ?? [],
            );
            $n = $plan['sheets_used'];
            $fewest = INF;
            foreach ($patterns as $p) {
                $fewest = $n * $p[0] >= $need[0] && $n * $p[1] >= $need[1] ? 1 : $fewest;
                foreach ($patterns as $q) {
                    for ($k = 1; $k < $n; $k++) {
                        $fewest =
                            $k * $p[0] + ($n - $k) * $q[0] >= $need[0] && $k * $p[1] + ($n - $k) * $q[1] >= $need[1]
                                ? min($fewest, 2)
                                : $fewest;
                    }
                }
            }
            self::assertSame((int) min($fewest, 3), min(3, count($plan['sheets'])), "seed $seed");
        }
    }

    /**
     * Five sizes are more than can be listed, so nobody looked at every pattern: the plan may be the best there is, but
     * that is not proven, and the gap says by how much a better one might beat it.
     */
    public function testAPlanWhosePatternsWereNotAllListedIsNotCalledProven(): void
    {
        foreach ([Prefer::Least, Prefer::Fewest, Prefer::Scrap] as $prefer) {
            $plan = CutPlanner::plan(CutRequest::fromArray([
                'stock' => [['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => null]],
                'need' => array_map(
                    static fn (int $side): array => ['side_mm' => $side, 'count' => 7],
                    [52, 61, 73, 88, 104],
                ),
                'prefer' => $prefer->value,
            ]));
            self::assertTrue($plan->isFeasible());
            self::assertFalse($plan->isProven(), $prefer->value);
            self::assertGreaterThan(0.0, $plan->gap(), $prefer->value);
            self::assertFalse($plan->toArray()['optimal']);
        }
    }

    /** Five sizes again, of which each fills its sheets of 100 x 100 mm to the last mm2: less paper there cannot be. */
    public function testWhereNothingIsWastedLessIsProvenWithoutAList(): void
    {
        $plan = CutPlanner::plan(CutRequest::fromArray([
            'stock' => [['name' => 'S', 'width_mm' => 100, 'height_mm' => 100, 'count' => null]],
            'need' => [
                ['side_mm' => 100, 'count' => 2], ['side_mm' => 50, 'count' => 4], ['side_mm' => 25, 'count' => 16],
                ['side_mm' => 20, 'count' => 25], ['side_mm' => 10, 'count' => 100],
            ],
        ]));
        self::assertSame([true, true, 6], [$plan->isFeasible(), $plan->isProven(), $plan->sheetsUsed()]);
        self::assertEqualsWithDelta(0.0, $plan->gap(), 1e-9);
    }

    public function testProgressIsTold(): void
    {
        $told = [];
        CutPlanner::plan(
            CutRequest::fromArray([
                'stock' => [['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => null]],
                'need' => [['side_mm' => 120, 'count' => 30], ['side_mm' => 75, 'count' => 30]],
            ]),
            Budget::steps((int) (4.0 * CutPlanner::STEPS_A_SECOND)),
            static function (float $share, string $what) use (&$told): void {
                $told[$what][] = $share;
            },
        )->toArray();
        self::assertSame(['list', 'tidy'], array_values(array_intersect(['list', 'tidy'], array_keys($told))));
        foreach ($told as $shares) {
            self::assertGreaterThanOrEqual(0.0, min($shares));
            self::assertLessThanOrEqual(1.0, max($shares));
        }
    }

    public function testALargeOrderIsPlannedInTime(): void
    {
        $began = Effort::spent();
        $plan = self::plan(
            [['A4', 210, 297, null], ['A5', 148, 210, 10], ['News', 289, 380, 15]],
            [[120, 80], [75, 80], [50, 80]],
        );
        self::assertTrue($plan['feasible']);
        self::assertLessThanOrEqual($plan['used_area_mm2'], $plan['lower_bound_area_mm2']);
        self::assertLessThan(10, Effort::spent() - $began);
        $tiny = self::plan([['News', 289, 380, null]], [[40, 80], [33, 80], [21, 80]]);
        self::assertTrue($tiny['feasible']);
        self::assertGreaterThan(
            250_000,
            $tiny['lower_bound_area_mm2'],
            'too many ways to list: the bound is the area of the squares',
        );
    }

    /** @return iterable<string, array{list<int>, int, float, float}> sides, of each, kerf, trim */
    public static function hugeOrders(): iterable
    {
        yield 'tiny squares' => [[10, 11, 12, 13, 14, 15], 2000, 0.0, 0.0];
        yield 'torn, with margins' => [[62, 81, 95, 110, 130, 148], 1000, 1.5, 8.0];
        yield 'large squares' => [[200, 310, 415, 520, 633, 750], 500, 0.0, 0.0];
    }

    /** @param  list<int>  $sides */
    #[DataProvider('hugeOrders')]
    public function testHugeOrdersArePlannedSoundlyInTime(array $sides, int $count, float $kerf, float $trim): void
    {
        $stock = ['B' => [1000.0, 1400.0, null], 'C' => [1993.0, 1987.0, 200], 'D' => [289.0, 380.0, 30]];
        $began = Effort::spent();
        $plan = CutPlanner::plan(
            CutRequest::fromArray([
                'stock' => array_map(
                    static fn (string $name, array $s): array => [
                        'name' => $name,
                        'width_mm' => $s[0],
                        'height_mm' => $s[1],
                        'count' => $s[2],
                    ],
                    array_keys($stock),
                    $stock,
                ),
                'need' => array_map(static fn (int $side): array => ['side_mm' => $side, 'count' => $count], $sides),
                'kerf_mm' => $kerf,
                'trim_mm' => $trim,
            ]),
            Budget::steps(2 * CutPlanner::STEPS_A_SECOND),
        )->toArray();
        self::assertLessThan(
            9.0,
            Effort::spent() - $began,
            'two seconds of searching, one of tidying, and a slow machine',
        );
        self::assertTrue($plan['feasible'], 'there is plenty of B');
        self::assertGreaterThanOrEqual(
            0.7 * $plan['used_area_mm2'],
            $plan['lower_bound_area_mm2'],
            'at most three tenths of the paper are not squares',
        );
        $made = array_fill_keys($sides, 0);
        foreach ($plan['sheets'] as $sheet) {
            [$w, $h] = $stock[$sheet['stock']];
            foreach ($sheet['squares'] as ['x_mm' => $x, 'y_mm' => $y, 'side_mm' => $side]) {
                self::assertTrue(
                    $x >= $trim - 1e-3 &&
                        $y >= $trim - 1e-3 &&
                        $x + $side <= $w - $trim + 1e-3 &&
                        $y + $side <= $h - $trim + 1e-3,
                    'inside what is left of the sheet',
                );
                $made[(int) $side] += $sheet['times'];
            }
            self::assertNotSame(
                [],
                CutOrder::of($w, $h, $sheet['squares'], $kerf)->cuts,
                'straight cuts part them all, so none lies over another',
            );
        }
        self::assertGreaterThanOrEqual($count, min([PHP_INT_MAX, ...array_values($made)]));
    }

    public function testAKnapsackIsFilledAsWellAsEveryMixOfItsItems(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $room = $chance->getInt(0, 40);
            $items = array_map(
                static fn (): array => [$chance->getInt(1, 15), (float) $chance->getInt(0, 30), $chance->getInt(0, 4)],
                range(1, 4),
            );
            $knapsack = new Knapsack($room);
            foreach ($items as $name => [$size, $value, $most]) {
                $knapsack->offer($name, $size, $value, $most);
            }
            $best = 0.0;
            for ($mix = 0; $mix < 5 ** 4; $mix++) {
                // 0 to 4 of each
                $counts = [$mix % 5, intdiv($mix, 5) % 5, intdiv($mix, 25) % 5, intdiv($mix, 125)];
                $fits =
                    array_sum(array_map(static fn (array $i, int $n): int => $n * $i[0], $items, $counts)) <= $room &&
                    array_filter(
                        $items,
                        static fn (array $i, int $k): bool => $counts[$k] > $i[2],
                        ARRAY_FILTER_USE_BOTH,
                    ) === [];
                $best = $fits
                    ? max(
                        $best,
                        array_sum(array_map(static fn (array $i, int $n): float => $n * $i[1], $items, $counts)),
                    )
                    : $best;
            }
            $taken = $knapsack->best();
            self::assertSame(
                $best,
                (float) array_sum(
                    array_map(
                        static fn (int $name, int $n): float => $n * $items[$name][1],
                        array_keys($taken),
                        $taken,
                    ),
                ),
                "seed $seed",
            );
            self::assertLessThanOrEqual(
                $room,
                array_sum(
                    array_map(static fn (int $name, int $n): int => $n * $items[$name][0], array_keys($taken), $taken),
                ),
                "seed $seed",
            );
        }
    }

    /**
     * @param  array<string, mixed>  $plan
     * @param  list<array{int, int, int}>  $stock
     * @param  list<int>  $need
     * @param  list<int>  $sides
     */
    private function assertSound(array $plan, array $stock, array $need, array $sides, int $kerf, string $what): void
    {
        $made = array_fill_keys($sides, 0);
        $used = array_fill(0, count($stock), 0);
        foreach ($plan['sheets'] as $sheet) {
            $of = (int) substr($sheet['stock'], 1);
            $used[$of] += $sheet['times'];
            $pieces = array_map(
                static fn (array $s): array => [
                    (int) round($s['x_mm'] / 10),
                    (int) round($s['y_mm'] / 10),
                    (int) round($s['side_mm'] / 10),
                ],
                $sheet['squares'],
            );
            foreach ($pieces as [$x, $y, $side]) {
                self::assertTrue(
                    $x >= 0 && $y >= 0 && $x + $side <= $stock[$of][0] && $y + $side <= $stock[$of][1],
                    $what,
                );
                $made[$side] += $sheet['times'];
            }
            self::assertTrue(self::cuttable($pieces, $kerf), "$what: straight cuts from edge to edge part all squares");
        }
        foreach ($stock as $i => [, , $count]) {
            self::assertLessThanOrEqual($count, $used[$i], $what);
        }
        $unmet = array_column($plan['unmet'], 'count', 'side_mm');
        foreach ($sides as $i => $side) {
            $surplus = $made[$side] + ($unmet[10 * $side] ?? 0) - $need[$i];
            self::assertGreaterThanOrEqual(0, $surplus, $what);
            foreach ($plan['sheets'] as $sheet) {
                $has = in_array(10.0 * $side, array_column($sheet['squares'], 'side_mm'), false);
                self::assertTrue(
                    ! $has || $surplus < $sheet['times'],
                    "$what: a square that every sheet of a pattern can do without is not cut",
                );
            }
        }
    }

    /** @param  array<int, array{int, int, int}>  $pieces */
    private static function cuttable(array $pieces, int $kerf): bool
    {
        if (count($pieces) <= 1) {
            return true;
        }
        foreach ([0, 1] as $axis) {
            foreach ($pieces as $piece) {
                $at = $piece[$axis] + $piece[2];
                $before = array_values(array_filter($pieces, static fn (array $p): bool => $at >= $p[$axis] + $p[2]));
                $after = array_values(array_filter($pieces, static fn (array $p): bool => $p[$axis] >= $at + $kerf));
                if ($before !== [] && $after !== [] && count($before) + count($after) === count($pieces)) {
                    return self::cuttable($before, $kerf) && self::cuttable($after, $kerf);
                }
            }
        }

        return false;
    }

    /**
     * @param  list<array{string, int|float, int|float, int|null}>  $stock
     * @param  list<array{int|float, int}>  $need
     * @return array<string, mixed>
     */
    private static function plan(array $stock, array $need, float $kerf = 0.0): array
    {
        return CutPlanner::plan(
            CutRequest::fromArray([
                'stock' => array_map(
                    static fn (array $s): array => [
                        'name' => $s[0],
                        'width_mm' => $s[1],
                        'height_mm' => $s[2],
                        'count' => $s[3],
                    ],
                    $stock,
                ),
                'need' => array_map(static fn (array $n): array => ['side_mm' => $n[0], 'count' => $n[1]], $need),
                'kerf_mm' => $kerf,
            ]),
            Budget::steps((int) (20.0 * CutPlanner::STEPS_A_SECOND)),
        )->toArray();
    }
}
