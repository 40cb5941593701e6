<?php

declare(strict_types=1);

namespace Tests\Core\Numeric;

use Cathedra\Core\Cutting\Column;
use Cathedra\Core\Cutting\CoverProgram;
use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Cathedra\Core\Cutting\Verdict;
use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Numeric\DualSimplex;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Work is counted, not timed; what is not known is called unknown, and nothing that rests on it is called proven. */
final class BudgetTest extends TestCase
{
    public function testPartsSpendTheWhole(): void
    {
        $whole = Budget::steps(100);
        $part = $whole->part(30);
        self::assertTrue($part->spend(30));
        self::assertFalse($part->spend(1));
        self::assertSame([69, 31, false], [$whole->left(), $whole->spent(), $whole->isOver()]);
        self::assertSame(69, $whole->part(1000)->left(), 'no part is larger than what is left');
        self::assertFalse($whole->spend(70));
        self::assertSame([0, true, false], [$whole->left(), $whole->isOver(), $whole->isCutByClock()]);
    }

    public function testTheClockIsOnlyTheLastFence(): void
    {
        $over = false;
        $whole = Budget::steps(1_000_000, static function () use (&$over): bool {
            return $over;
        });
        self::assertTrue($whole->part(500_000)->spend(10_000));
        $over = true;
        self::assertFalse($whole->part(500_000)->spend(10_000));
        self::assertSame([true, true], [$whole->isCutByClock(), $whole->isOver()]);
    }

    /**
     * Costs 2 and 3, at least 4 of the first or second together: two of the dearer do it for 6, four of the cheaper for
     * 8.
     */
    public function testALinearProgramThatRunsOutOfStepsInventsNothing(): void
    {
        $rows = [[[-1.0, -2.0], -4.0], [[-3.0, -1.0], -3.0]];
        $solved = DualSimplex::least([2.0, 3.0], $rows, [0, 1]);
        self::assertTrue($solved->solved);
        // x = 2/5, y = 9/5: both rows hold as equations, 0.8 + 5.4 = 6.2.
        self::assertEqualsWithDelta(6.2, $solved->cost, 1e-9);
        $stopped = DualSimplex::least(costs: [2.0, 3.0], rows: $rows, names: [0, 1], budget: null, steps: 1);
        self::assertSame(
            [null, false, 0.0, []],
            [$stopped->solved, $stopped->isKnown(), $stopped->cost, $stopped->uses],
        );
        self::assertFalse(DualSimplex::least([1.0], [[[1.0], -1.0]], [0])->solved, 'x at most -1 cannot be');
    }

    public function testAMixWithoutWorkIsNotCalledProven(): void
    {
        $column = static fn (array $counts, float $cost): Column => new Column(
            $counts,
            0,
            $cost,
            static fn (): array => [],
        );
        $columns = [$column([3, 0], 10.0), $column([1, 2], 11.0), $column([0, 3], 10.0)];
        $all = CoverProgram::solve($columns, [7, 8], [0 => null], Budget::steps(1_000_000));
        self::assertTrue($all['proven']);
        $none = CoverProgram::solve($columns, [7, 8], [0 => null], Budget::steps(0));
        self::assertNotNull($none['uses'], 'a plan there is');
        self::assertLessThanOrEqual($all['cost'], $none['bound']);
        self::assertTrue(! $none['proven'] || abs($none['cost'] - $all['cost']) < 1e-6);
    }

    public function testTheSameQuestionGetsTheSamePlanHoweverBusyTheMachineIs(): void
    {
        $request = self::request(3);
        $calm = CutPlanner::plan($request, Budget::steps(300_000))->toArray();
        for ($load = 0; $load < 3; $load++) {
            $slow = Budget::steps(300_000, static function (): bool {
                usleep(200); // a busy machine: every look at the clock takes long

                return false;
            });
            self::assertSame($calm, CutPlanner::plan($request, $slow)->toArray());
        }
    }

    public function testAPlanCutShortByTheClockSaysSo(): void
    {
        $plan = CutPlanner::plan(self::request(1), Budget::steps(30_000_000, static fn (): bool => true));
        self::assertSame(Verdict::CutShort, $plan->verdict);
        self::assertTrue($plan->isFeasible(), 'but a plan it is');
        self::assertFalse($plan->toArray()['optimal']);
    }

    /** More work never makes a plan worse, and what is proven with little work stays the best with much. */
    public function testMoreWorkIsNeverWorse(): void
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            $request = self::request($seed);
            $few = CutPlanner::plan($request, Budget::steps(2_000));
            $many = CutPlanner::plan($request, Budget::steps(20_000_000));
            self::assertLessThanOrEqual($few->area + 1e-3, $many->area, "seed $seed");
            self::assertTrue(! $few->isProven() || abs($few->area - $many->area) < 1e-3, "seed $seed");
            self::assertLessThanOrEqual($many->area + 1e-3, $few->bound, "seed $seed: a bound is a bound");
        }
    }

    private static function request(int $seed): CutRequest
    {
        $chance = new Randomizer(new Mt19937($seed));
        $need = array_map(
            static fn (): array => [
                'side_mm' => $chance->getInt(40, 140),
                'count' => $chance->getInt(5, 40),
            ],
            range(1, 3),
        );

        return CutRequest::fromArray([
            'stock' => [
                ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => null],
                ['name' => 'A5', 'width_mm' => 148, 'height_mm' => 210, 'count' => 6],
            ],
            'need' => $need,
        ]);
    }
}
