<?php

declare(strict_types=1);

namespace Tests\Core\Cutting;

use Cathedra\Core\Cutting\CutOrder;
use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Cathedra\Core\Cutting\SquareGrid;
use Cathedra\Core\Paper\BadPaper;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** In what order to cut, and what is left over. */
final class CutOrderTest extends TestCase
{
    public function testRowsFirstThenAllRowsTogether(): void
    {
        // A4 gives 2 x 3 squares of 99: two cuts across at 99 and 198 (297 is the rim), then the three rows of 210 x 99
        // are alike: at 99, and at 198, where a strip of 12 x 99 is left of each.
        $order = CutOrder::of(210, 297, SquareGrid::on(210, 297, 99)->squares());
        self::assertSame(
            ['across', [99.0, 198.0], 1],
            [$order->cuts[0]['axis'], $order->cuts[0]['at'], $order->cuts[0]['copies']],
        );
        self::assertSame(
            ['along', [99.0, 198.0], 3],
            [$order->cuts[1]['axis'], $order->cuts[1]['at'], $order->cuts[1]['copies']],
        );
        self::assertCount(6, $order->cuts[1]['lines'], 'two cuts in each of three rows');
        self::assertSame([['width' => 12.0, 'height' => 99.0, 'count' => 3]], $order->offcuts);
        // 10 sheets in stacks of 4: 3 stacks x 2 cuts, then 30 rows: 8 stacks x 2 cuts.
        self::assertSame(3 * 2 + 8 * 2, $order->strokes(10, 4));
        self::assertSame(10 * 2 + 30 * 2, $order->strokes(10, 1));
    }

    public function testOneSquareLeavesTheStripOfTheDiagonalFold(): void
    {
        $order = CutOrder::of(210, 297, [['x_mm' => 0, 'y_mm' => 0, 'side_mm' => 210.0]]);
        self::assertSame([210.0], $order->cuts[0]['at']);
        self::assertSame([['width' => 210.0, 'height' => 87.0, 'count' => 1]], $order->offcuts);
        self::assertSame(
            [[], []],
            [
                CutOrder::of(150, 150, [['x_mm' => 0, 'y_mm' => 0, 'side_mm' => 150]])->cuts,
                CutOrder::of(150, 150, [['x_mm' => 0, 'y_mm' => 0, 'side_mm' => 150]])->offcuts,
            ],
        );
    }

    public function testMarginsAreCutOffAndTheTornGapIsNoOffcut(): void
    {
        // 100 x 205 with 2.5 lost all round and 2 between: 95 - 2.5 .. 97.5, 99.5 .. 194.5, then 10.5 to the upper rim.
        $order = CutOrder::of(
            100,
            205,
            [['x_mm' => 2.5, 'y_mm' => 2.5, 'side_mm' => 95], ['x_mm' => 2.5, 'y_mm' => 99.5, 'side_mm' => 95]],
            2.0,
        );
        self::assertSame([2.5, 97.5, 194.5], $order->cuts[0]['at'], 'the gap of 2 mm is torn once');
        self::assertSame([2.5, 97.5], $order->cuts[1]['at']);
        self::assertSame(2, $order->cuts[1]['copies'], 'both rows lie on one another');
        self::assertNotContains(2.0, array_column($order->offcuts, 'height'));
    }

    public function testAPinwheelCannotBeCut(): void
    {
        // Four squares round a hole of 10: every line from edge to edge goes through one.
        $this->expectException(BadPaper::class);
        CutOrder::of(
            50,
            50,
            array_map(static fn (array $at): array => ['x_mm' => $at[0], 'y_mm' => $at[1], 'side_mm' => 20], [
                [10, 0],
                [30, 10],
                [20, 30],
                [0, 20],
            ]),
        );
    }

    /** Every plan can be cut; squares and offcuts are the whole sheet; no line goes through a square. */
    public function testEveryPlanCanBeCutAndNothingIsLost(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            [$w, $h] = [$chance->getInt(150, 320), $chance->getInt(150, 420)];
            $plan = CutPlanner::plan(
                CutRequest::fromArray([
                    'stock' => [['name' => 'p', 'width_mm' => $w, 'height_mm' => $h, 'count' => null]],
                    'need' => [
                        ['side_mm' => $chance->getInt(80, 140), 'count' => $chance->getInt(1, 12)],
                        ['side_mm' => $chance->getInt(40, 79), 'count' => $chance->getInt(1, 12)],
                    ],
                ]),
            )->toArray();
            foreach ($plan['sheets'] as $sheet) {
                $order = CutOrder::of($w, $h, $sheet['squares']);
                $area =
                    array_sum(array_map(static fn (array $s): float => $s['side_mm'] ** 2, $sheet['squares'])) +
                    array_sum(
                        array_map(
                            static fn (array $o): float => $o['count'] * $o['width'] * $o['height'],
                            $order->offcuts,
                        ),
                    );
                self::assertEqualsWithDelta($w * $h, $area, 1.0, "seed $seed");
                foreach ($order->cuts as $cut) {
                    self::assertCount($cut['copies'] * count($cut['at']), $cut['lines']);
                    foreach ($cut['lines'] as [[$x1, $y1], [$x2, $y2]]) {
                        foreach ($sheet['squares'] as ['x_mm' => $x, 'y_mm' => $y, 'side_mm' => $side]) {
                            $through =
                                $cut['axis'] === 'across'
                                    ? $y + 0.01 < $y1 &&
                                        $y1 < $y + $side - 0.01 &&
                                        $x1 < $x + $side - 0.01 &&
                                        $x2 > $x + 0.01
                                    : $x + 0.01 < $x1 &&
                                        $x1 < $x + $side - 0.01 &&
                                        $y1 < $y + $side - 0.01 &&
                                        $y2 > $y + 0.01;
                            self::assertFalse($through, "seed $seed");
                        }
                    }
                }
            }
        }
    }
}
