<?php

declare(strict_types=1);

namespace Tests\Core\Paper;

use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Cathedra\Core\Cutting\SquareGrid;
use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\Spares;
use Cathedra\Core\Paper\Squaring;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class PaperTest extends TestCase
{
    public function testSquaringOfficeSheets(): void
    {
        $a4 = Squaring::of(210, 297, 20);
        self::assertSame([210.0, 87.0], [$a4->side, $a4->strip]);
        self::assertSame([87.0, 87.0, 36.0, 36.0], array_slice($a4->further, 0, 4), '87, 87, then a strip of 36 x 87');
        $letter = Squaring::of(279.4, 215.9);
        self::assertEqualsWithDelta(63.5, $letter->strip, 1e-9);
        self::assertSame([], Squaring::of(150, 150)->further);
    }

    public function testEqualSquaresFromA4(): void
    {
        // 2 of 148.5, 4 of 105, 6 of 99
        self::assertSame(
            [148.5, 105.0, 99.0],
            [
                SquareGrid::largestSide(210, 297, 2),
                SquareGrid::largestSide(210, 297, 4),
                SquareGrid::largestSide(210, 297, 6),
            ],
        );
        foreach ([2 => 148.5, 4 => 105.0, 6 => 99.0] as $count => $side) {
            self::assertSame($count, SquareGrid::on(210, 297, $side)->count());
            self::assertLessThan($count, SquareGrid::on(210, 297, $side + 0.01)->count());
        }
    }

    public function testKerfIsLostBetweenNeighboursOnly(): void
    {
        self::assertSame(3, SquareGrid::on(303, 100, 100, 1.5)->columns, '3 x 100 + 2 x 1.5 = 303');
        self::assertSame(2, SquareGrid::on(302.9, 100, 100, 1.5)->columns);
        self::assertSame(2, SquareGrid::on(
            width: 303,
            height: 110,
            side: 100,
            kerf: 1.5,
            trim: 5,
        )->columns, 'trim of 5 all round leaves 293');
        self::assertSame(5.0, SquareGrid::on(
            width: 303,
            height: 110,
            side: 100,
            kerf: 1.5,
            trim: 5,
        )->squares()[0]['x_mm']);
    }

    public function testSparesByTheBinomialQuantile(): void
    {
        // n = 10, p = 0.1: P(0) = .349, P(<=1) = .736, P(<=2) = .930, P(<=3) = .987, so 3 keep the risk under 5 %.
        self::assertSame(3, Spares::needed(10, 0.1, 0.05));
        self::assertSame(2, Spares::needed(10, 0.1, 0.1));
        self::assertSame(1, Spares::needed(1, 0.001, 0.5), 'at least one');
        self::assertLessThanOrEqual(60, Spares::needed(60, 0.9, 1e-9));
    }

    public function testOneSizeFromTwoStocksTakesTheLeastArea(): void
    {
        // A4 gives 4 of 105 (62370 mm2), A3 gives 2 x 4 = 8 (124740 mm2): for 9 squares 1 A3 + 1 A4 or 3 A4, 187110
        // either way; two sheets are fewer than three.
        $plan = $this->plan(
            [
                ['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => null],
                ['name' => 'A3', 'width_mm' => 297, 'height_mm' => 420, 'count' => 5],
            ],
            [['side_mm' => 105, 'count' => 9]],
        );
        self::assertSame(
            [187110.0, 2, true, true],
            [$plan['used_area_mm2'], $plan['sheets_used'], $plan['optimal'], $plan['feasible']],
        );
    }

    public function testWhatCannotBeMetIsSaid(): void
    {
        $plan = $this->plan(
            [['name' => 'A4', 'width_mm' => 210, 'height_mm' => 297, 'count' => 2]],
            [['side_mm' => 150, 'count' => 3], ['side_mm' => 300, 'count' => 1]],
        );
        self::assertFalse($plan['feasible']);
        self::assertEquals([['side_mm' => 300.0, 'count' => 1], ['side_mm' => 150.0, 'count' => 1]], $plan['unmet']);
        self::assertFalse($plan['optimal'], 'several sizes are planned one after another, so nothing is proven');
    }

    /** Random demands: squares inside their sheets without overlap, counts kept, and no mix of stocks is cheaper. */
    public function testPlansAreSoundAndLeast(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        for ($run = 0; $run < 60; $run++) {
            $stock = [];
            foreach (['a', 'b'] as $name) {
                $stock[] = [
                    'name' => $name,
                    'width_mm' => $chance->getInt(100, 400),
                    'height_mm' => $chance->getInt(100, 400),
                    'count' => $chance->getInt(0, 6),
                ];
            }
            $need = ['side_mm' => $chance->getInt(40, 200), 'count' => $chance->getInt(1, 30)];
            $plan = $this->plan($stock, [$need]);
            $made = 0;
            foreach ($plan['sheets'] as $sheet) {
                $made += $sheet['times'] * count($sheet['squares']);
                $of = $stock[$sheet['stock'] === 'a' ? 0 : 1];
                foreach ($sheet['squares'] as $i => $s) {
                    self::assertLessThanOrEqual($of['width_mm'] + 1e-3, $s['x_mm'] + $s['side_mm']);
                    self::assertLessThanOrEqual($of['height_mm'] + 1e-3, $s['y_mm'] + $s['side_mm']);
                    foreach (array_slice($sheet['squares'], $i + 1) as $t) {
                        self::assertTrue(
                            abs($s['x_mm'] - $t['x_mm']) >= $s['side_mm'] - 1e-3 ||
                                abs($s['y_mm'] - $t['y_mm']) >= $s['side_mm'] - 1e-3,
                        );
                    }
                }
            }
            $met = $need['count'] - array_sum(array_column($plan['unmet'], 'count'));
            self::assertGreaterThanOrEqual($met, $made);
            self::assertLessThan(
                $met + max([1, ...array_column($plan['sheets'], 'times')]),
                $made,
                'a square that every sheet can do without is not cut',
            );
            self::assertEqualsWithDelta($this->least($stock, $need, $met), $plan['used_area_mm2'], 1e-3);
        }
    }

    /** @return iterable<string, array{string, string}> JSON, pointer */
    public static function badInput(): iterable
    {
        $stock = '{"name":"A4","width_mm":210,"height_mm":297,"count":4}';
        yield 'no object' => ['5', ''];
        yield 'no stock' => ['{"stock":[],"need":[]}', '/stock'];
        yield 'zero width' => [
            '{"stock":[{"name":"A4","width_mm":0,"height_mm":297,"count":4}],"need":[{"side_mm":50,"count":1}]}',
            '/stock/0/width_mm',
        ];
        yield 'three metres' => [
            '{"stock":[{"name":"A4","width_mm":3000,"height_mm":297,"count":4}],"need":[{"side_mm":50,"count":1}]}',
            '/stock/0/width_mm',
        ];
        yield 'half a sheet' => [
            '{"stock":[{"name":"A4","width_mm":210,"height_mm":297,"count":1.5}],"need":[{"side_mm":50,"count":1}]}',
            '/stock/0/count',
        ];
        yield 'text for a number' => [
            "{\"stock\":[$stock],\"need\":[{\"side_mm\":\"50\",\"count\":1}]}",
            '/need/0/side_mm',
        ];
        yield 'negative need' => ["{\"stock\":[$stock],\"need\":[{\"side_mm\":50,\"count\":-1}]}", '/need/0/count'];
        yield 'kerf' => ["{\"stock\":[$stock],\"need\":[{\"side_mm\":50,\"count\":1}],\"kerf_mm\":-1}", '/kerf_mm'];
        yield 'no name' => [
            '{"stock":[{"width_mm":210,"height_mm":297,"count":4}],"need":[{"side_mm":50,"count":1}]}',
            '/stock/0/name',
        ];
        yield 'what to put first' => [
            "{\"stock\":[$stock],\"need\":[{\"side_mm\":50,\"count\":1}],\"prefer\":\"cheap\"}",
            '/prefer',
        ];
        yield 'trim of a stock' => [
            '{"stock":[{"name":"A4","width_mm":210,"height_mm":297,"count":4,"trim_mm":"wide"}],'.
            '"need":[{"side_mm":50,"count":1}]}',
            '/stock/0/trim_mm',
        ];
        yield 'no entry' => ["{\"stock\":[$stock],\"need\":[7]}", '/need/0'];
    }

    #[DataProvider('badInput')]
    public function testBadInputHasAPointer(string $json, string $pointer): void
    {
        try {
            CutRequest::fromArray(json_decode($json, true));
            self::fail('accepted');
        } catch (BadPaper $e) {
            self::assertSame($pointer, $e->pointer);
        }
    }

    /**
     * @param  list<array<string, mixed>>  $stock
     * @param  list<array<string, mixed>>  $need
     * @return array<string, mixed>
     */
    private function plan(array $stock, array $need, float $kerf = 0.0): array
    {
        return CutPlanner::plan(
            CutRequest::fromArray(['stock' => $stock, 'need' => $need, 'kerf_mm' => $kerf]),
        )->toArray();
    }

    /**
     * The least area by trying every number of sheets of both stocks.
     *
     * @param  list<array<string, mixed>>  $stock
     * @param  array<string, mixed>  $need
     */
    private function least(array $stock, array $need, int $made): float
    {
        $per = array_map(
            static fn (array $s): int => SquareGrid::on($s['width_mm'], $s['height_mm'], $need['side_mm'], 0)->count(),
            $stock,
        );
        $best = INF;
        for ($a = 0; $a <= $stock[0]['count']; $a++) {
            for ($b = 0; $b <= $stock[1]['count']; $b++) {
                if ($a * $per[0] + $b * $per[1] >= $made) {
                    $best = min(
                        $best,
                        $a * $stock[0]['width_mm'] * $stock[0]['height_mm'] +
                            $b * $stock[1]['width_mm'] * $stock[1]['height_mm'],
                    );
                }
            }
        }

        return $best;
    }
}
