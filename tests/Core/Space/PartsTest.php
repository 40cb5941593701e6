<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Numeric\Cholesky;
use Cathedra\Core\Numeric\Union;
use Cathedra\Core\Space\Check\Passing;
use Cathedra\Core\Space\Check\Sides;
use Cathedra\Core\Space\Mesh\MeshBuilder;
use Cathedra\Core\Space\Mesh\Triangles;
use Cathedra\Core\Space\MotionBetween;
use Cathedra\Core\Space\Settle\BarsAndHinges;
use Cathedra\Core\Space\Transition;
use Cathedra\Core\Space\Tuck\Curled;
use Cathedra\Core\Space\Turn\HalfTurn;
use Cathedra\Core\Space\Turn\RigidTurn;
use Cathedra\Core\Space\Turn\Slide;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Folds;

/** The parts motion is made of, each by itself. */
final class PartsTest extends TestCase
{
    public function testWhatIsJoinedIsOne(): void
    {
        $union = new Union();
        $union->join(1, 2);
        $union->join(3, 4);
        $union->join(2, 4);
        self::assertSame($union->root(1), $union->root(3));
        self::assertNotSame($union->root(1), $union->root(5));
    }

    /** A square with a corner in the middle of one side: three triangles, none of them flat, the whole area. */
    public function testACellIsCutIntoTrianglesThatHaveAnArea(): void
    {
        $at = [[0.0, 0.0], [5.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]];
        $triangles = Triangles::of([0, 1, 2, 3, 4], $at);
        self::assertCount(3, $triangles);
        $areas = array_map(static fn (array $t): float => (
            ($at[$t[1]][0] - $at[$t[0]][0]) * ($at[$t[2]][1] - $at[$t[0]][1]) -
            ($at[$t[1]][1] - $at[$t[0]][1]) * ($at[$t[2]][0] - $at[$t[0]][0])
        ) / 2, $triangles);
        self::assertEqualsWithDelta(100.0, array_sum($areas), 1e-9);
        self::assertSame([], array_filter($areas, static fn (float $area): bool => $area < 1.0));
    }

    /** Of a quarter the halves of both states are cells, and whatever the step, the sheet is covered once. */
    public function testAMeshCoversTheSheetOnceAndFitsBothStates(): void
    {
        foreach (['house', 'dolphin', 'windmill', 'fan'] as $slug) {
            foreach (Folds::library($slug)->steps as $step) {
                $transition = Transition::between($step->before, $step->after);
                $mesh = $transition->mesh;
                $area = 0.0;
                foreach ($mesh->triangles as [$a, $b, $c]) {
                    [$p, $q, $r] = [$mesh->sheet[$a], $mesh->sheet[$b], $mesh->sheet[$c]];
                    $area += (($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0])) / 2;
                }
                self::assertEqualsWithDelta(
                    $step->after->sheet->area() - $step->after->removedArea,
                    $area,
                    1e-3,
                    "$slug {$step->step->number}",
                );
                foreach ($mesh->cells as $cell => $loop) {
                    foreach ($loop as $vertex) {
                        $lies = $transition->placesBefore[$cell]->of(new Point(...$mesh->sheet[$vertex]));
                        [$x, $y] = $transition->start[$vertex];
                        self::assertLessThan(1e-3, hypot($lies->x - $x, $lies->y - $y));
                    }
                }
            }
        }
    }

    /** Both lips of a slit are vertices of their own. */
    public function testASlitStaysOpen(): void
    {
        $state = Folds::steps(
            "  - {fold: cut, along: line (middle of edge bottom) to centre, layers: all}\n",
        )->end();
        $mesh = MeshBuilder::between($state, $state);
        $below = array_filter($mesh->sheet, static fn (array $p): bool => abs($p[0] - 50) < 1e-6 && $p[1] < 1e-6);
        self::assertCount(2, $below);
    }

    /** @return iterable<string, array{Isometry, Point, Point}> */
    public static function slides(): iterable
    {
        $p = new Point(30.0, 10.0);
        yield 'a shift, half of it' => [Isometry::shift(new Point(8, -4)), $p, new Point(34.0, 8.0)];
        // a quarter turn about (10, 10) takes (30, 10) to (10, 30); half of it lies at 45 degrees
        yield 'a quarter turn' => [
            Isometry::rotation(M_PI / 2, new Point(10, 10)), $p, new Point(10 + 20 * M_SQRT1_2, 10 + 20 * M_SQRT1_2),
        ];
        // turned over about x = 20, half-way it stands upright over the axis
        yield 'over an axis' => [
            Isometry::reflection(Line::along(new Point(20, 0), new Point(0, 1))), $p, new Point(20.0, 10.0),
        ];
    }

    #[DataProvider('slides')]
    public function testASlideGoesEvenlyAndEndsWhereItShould(Isometry $whole, Point $from, Point $half): void
    {
        $slide = Slide::of($whole);
        $to = $whole->of($from);
        [$end] = $slide->at([[$from->x, $from->y, 0.0]], 1.0);
        self::assertEqualsWithDelta([$to->x, $to->y, 0.0], $end, 1e-9);
        [$middle] = $slide->at([[$from->x, $from->y, 0.0]], 0.5);
        self::assertEqualsWithDelta([$half->x, $half->y], [$middle[0], $middle[1]], 1e-9);
        self::assertSame($whole->keepsOrientation(), $slide->keepsSide);
    }

    /** Whatever the turn, no distance changes, and what lies on the positive side of the axis is lifted. */
    public function testATurnKeepsEveryDistance(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        for ($i = 0; $i < 200; $i++) {
            $number = static fn (): float => $chance->getInt(-10000, 10000) / 100;
            $axis = Line::along(new Point($number(), $number()), new Point($number(), $number()));
            $angle = $chance->getInt(1, 313) / 100;
            $points = [[$number(), $number(), 0.0], [$number(), $number(), 0.0]];
            $turned = RigidTurn::about($points, $axis, $angle);
            self::assertEqualsWithDelta(self::far(...$points), self::far(...$turned), 1e-9);
            $side = $axis->distanceTo(new Point($points[0][0], $points[0][1]));
            self::assertEqualsWithDelta($side * sin($angle), $turned[0][2], 1e-9);
        }
    }

    /** Left half over the right one: a valley lifts it, a mountain goes under the table, and back the same way. */
    public function testAFlapIsLiftedOnTheSideItIsFoldedTo(): void
    {
        $valley = Folds::steps("  - {fold: valley, bring: edge left, to: edge right}\n")->steps[0];
        $mountain = Folds::steps("  - {fold: mountain, bring: edge left, to: edge right}\n")->steps[0];
        $back = Folds::steps(
            "  - {fold: valley, bring: edge left, to: edge right}\n  - {fold: unfold}\n",
        )->steps[1];
        foreach ([[$valley, 50.0], [$mountain, -50.0], [$back, 50.0]] as [$step, $height]) {
            $turn = HalfTurn::of(Transition::between($step->before, $step->after));
            self::assertNotNull($turn);
            $z = array_column($turn->at(0.5), 2);
            self::assertEqualsWithDelta($height, $height > 0 ? max([0.0, ...$z]) : min([0.0, ...$z]), 1e-9);
            self::assertSame([], $turn->blockedBy());
        }
    }

    /** Two doors of which the second comes to lie over the first: one after the other. */
    public function testWhatComesToLieOnOtherPaperLandsLast(): void
    {
        $step = Folds::steps(
            '  - {fold: valley, bring: edge left, to: line (3/5 from (corner top-left) to (corner top-right)) to (3/5 '
                ."from (corner bottom-left) to (corner bottom-right)), also: other side}\n",
        )->steps[0];
        $turn = HalfTurn::of(Transition::between($step->before, $step->after));
        self::assertNotNull($turn);
        self::assertSame(2, $turn->rounds());
        // at the half of the way the first door, the left one, lies folded, and the second has not begun
        self::assertEqualsWithDelta(0.0, max([0.0, ...array_map(abs(...), array_column($turn->at(0.5), 2))]), 1e-9);
        self::assertEqualsWithDelta(30.0, min([99.0, ...array_column($turn->at(0.5), 0)]), 1e-9);
    }

    /** Under several layers nothing curls: the ball's points go in another way, by a bend. */
    public function testATipCurlsUnderOneLayerOnly(): void
    {
        $stage = Folds::library('waterbomb')->steps[10]->stages[0];
        $transition = Transition::between($stage->from, $stage->to);
        $turn = HalfTurn::of($transition);
        self::assertNotNull($turn);
        self::assertCount(6, $turn->blockedBy());
        self::assertNull(Curled::of($transition, $turn));
        self::assertNotNull(MotionBetween::of($stage->from, $stage->to));
    }

    /**
     * A tip that goes under a layer cannot turn as it is: it is rolled over and pushed in, and the pocket's front gives
     * way by 2 % of the sheet at most, 3 mm.
     */
    public function testATuckIsBlockedByTheLayerItGoesUnder(): void
    {
        $step = Folds::library('drinking-cup')->steps[5];
        $turn = HalfTurn::of(Transition::between($step->before, $step->after));
        self::assertNotNull($turn);
        self::assertNotSame([], $turn->blockedBy());
        $piece = MotionBetween::of($step->before, $step->after);
        self::assertNotNull($piece);
        $high = array_map(static fn (array $at): float => max([0.0, ...array_column($at, 2)]), $piece->at);
        self::assertSame([0.0, 0.0], [$high[0], $high[count($high) - 1]]);
        self::assertGreaterThan(10.0, max([0.0, ...$high]), 'the tip goes over');
        self::assertGreaterThan(-1e-9, min([0.0, ...array_merge(...array_map(
            static fn (array $at): array => array_column($at, 2),
            $piece->at,
        ))]) + 0.6, 'and nothing goes through the table');
        $transition = Transition::between($step->before, $step->after);
        $curled = Curled::of($transition, $turn);
        self::assertNotNull($curled);
        $front = array_flip(array_merge(...array_map(
            static fn (int $cell): array => $curled->transition->mesh->cells[$cell],
            array_keys(array_filter(
                $curled->transition->mesh->from,
                static fn (int $face): bool => $face === $transition->mesh->from[$turn->blockedBy()[0]],
            )),
        )));
        foreach ($curled->ways() as $frames) {
            foreach ($frames as $at) {
                self::assertLessThanOrEqual(3.0, max([0.0, ...array_column(array_intersect_key($at, $front), 2)]));
            }
        }
    }

    /**
     * Two triangles over the edge from (0, 0, 0) to (1, 0, 0), one flat, the other bent by 60 degrees towards the
     * front: a valley of 60 degrees.
     */
    public function testAValleyIsPositive(): void
    {
        $c = cos(M_PI / 3);
        $s = sin(M_PI / 3);
        self::assertEqualsWithDelta(
            M_PI / 3,
            BarsAndHinges::angleOf([0, 0, 0], [1, 0, 0], [0.5, 1, 0], [0.5, -$c, $s]),
            1e-12,
        );
        self::assertEqualsWithDelta(
            -M_PI / 3,
            BarsAndHinges::angleOf([0, 0, 0], [1, 0, 0], [0.5, 1, 0], [0.5, -$c, -$s]),
            1e-12,
        );
    }

    /** One flap beside paper that stays, drawn to a right angle: it gets there, and its bars keep their length. */
    public function testPaperSettlesWhereItsHingesAreDrawn(): void
    {
        $x = [0.0, 0.0, 0.0, 10.0, 0.0, 0.0, 5.0, 10.0, 0.0, 5.0, -10.0, 0.0];
        $bars = [[0, 3, hypot(5, 10)], [1, 3, hypot(5, 10)]];
        $paper = new BarsAndHinges(
            x: $x,
            fixed: [true, true, true, false],
            bars: $bars,
            hinges: [[0, 1, 2, 3, 1.0]],
            angles: [0.0],
            side: 20.0,
            kb: 1e4,
        );
        for ($i = 1; $i <= 10; $i++) {
            $paper->targets = [M_PI / 20 * $i];
            $energy = $paper->settle();
        }
        self::assertLessThan(1e-6, $energy);
        self::assertEqualsWithDelta([5.0, 0.0, 10.0], array_slice($paper->x, 9), 1e-2);
        self::assertSame(3, $paper->unknowns());
    }

    /** Paper that lies on other paper does not go under it, however it is drawn. */
    public function testARowKeepsANodeOverTheTable(): void
    {
        $x = [0.0, 0.0, 0.0, 10.0, 0.0, 0.0, 5.0, 10.0, 0.0, 5.0, -10.0, 0.0];
        $bars = [[0, 3, hypot(5, 10)], [1, 3, hypot(5, 10)]];
        $hinge = [[0, 1, 2, 3, 1.0]];
        $paper = new BarsAndHinges(
            x: $x,
            fixed: [true, true, true, false],
            bars: $bars,
            hinges: $hinge,
            angles: [0.0],
            side: 20.0,
            kb: 1e4,
            ties: [],
            kt: 1e4,
            rows: [[3 => 1.0]],
            ko: 1e6,
        );
        $paper->targets = [-0.5];
        $paper->settle();
        self::assertGreaterThan(-0.05, $paper->x[11]);
    }

    /** (B B' + I) x = b for random B: the answer put in gives b again. */
    public function testCholeskySolves(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        foreach ([1, 2, 5, 20] as $n) {
            $b = [];
            for ($i = 0; $i < $n; $i++) {
                $b[] = array_map(static fn (): float => $chance->getInt(-1000, 1000) / 1000, array_fill(0, $n, 0));
            }
            $matrix = [];
            for ($i = 0; $i < $n; $i++) {
                for ($j = 0; $j <= $i; $j++) {
                    $matrix[$i][$j] = ($i === $j ? 1.0 : 0.0) +
                        array_sum(array_map(static fn (float $u, float $v): float => $u * $v, $b[$i], $b[$j]));
                }
            }
            $right = array_map(static fn (): float => $chance->getInt(-1000, 1000) / 1000, array_fill(0, $n, 0));
            $x = Cholesky::solve($matrix, $right, 0.0);
            self::assertNotNull($x);
            for ($i = 0; $i < $n; $i++) {
                $sum = 0.0;
                for ($j = 0; $j < $n; $j++) {
                    $sum += ($matrix[max($i, $j)][min($i, $j)]) * $x[$j];
                }
                self::assertEqualsWithDelta($right[$i], $sum, 1e-9);
            }
        }
        self::assertNull(Cholesky::solve([[-1.0]], [1.0], 0.0), 'not positive');
    }

    /** A triangle upright through a flat one, 3 mm below it and 5 above, far from every rim: 3 mm deep. */
    public function testDepthIsHowFarPaperStandsInPaper(): void
    {
        $flat = [[0.0, 0.0, 0.0], [60.0, 0.0, 0.0], [0.0, 60.0, 0.0]];
        $at = [...$flat, [15.0, 15.0, -3.0], [15.0, 15.0, 5.0], [19.0, 19.0, 5.0]];
        self::assertEqualsWithDelta(3.0, Passing::deepest([[0, 1, 2], [3, 4, 5]], $at)[0], 0.01);
        $at[3][2] = 0.0; // touches
        self::assertSame(0.0, Passing::deepest([[0, 1, 2], [3, 4, 5]], $at)[0]);
    }

    /**
     * Two triangles like crossed scissors, each reaching 2 mm beyond the other's plane on both sides, cut along the
     * line from x = 25 to 75. An edge of the upright one goes through the flat one at x = 25, where the flat one's rim
     * is at x = 20 and 5 * 4 / sqrt(60^2 + 4^2) = 0.33 mm away, which alone would pass; the cut is 2 mm deep and 50
     * long.
     */
    public function testALongShallowCutCounts(): void
    {
        $at = [[-10.0, -2.0, 0.0], [110.0, -2.0, 0.0], [50.0, 2.0, 0.0],
            [0.0, 0.0, -2.0], [100.0, 0.0, -2.0], [50.0, 0.0, 2.0]];
        self::assertEqualsWithDelta(0.83 * 2, Passing::deepest([[0, 1, 2], [3, 4, 5]], $at)[0], 1e-9);
    }

    /**
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $q
     */
    private static function far(array $p, array $q): float
    {
        return sqrt(($p[0] - $q[0]) ** 2 + ($p[1] - $q[1]) ** 2 + ($p[2] - $q[2]) ** 2);
    }

    /** A flap lifted over its crease lands on top; the same flap gone round below has changed sides when it lies. */
    public function testPaperThatChangesSidesIsFound(): void
    {
        $step = Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n")->steps[0];
        $transition = Transition::between($step->before, $step->after);
        $turn = HalfTurn::of($transition);
        self::assertNotNull($turn);
        $frames = array_map(static fn (int $i): array => $turn->at($i / 20), range(0, 20));
        self::assertTrue(Sides::areKept($transition, $frames));
        $below = array_map(static fn (array $at): array => array_map(
            static fn (array $p): array => [$p[0], $p[1], -$p[2]],
            $at,
        ), $frames);
        self::assertFalse(Sides::areKept($transition, $below));
        // up, and in one moment through the paper
        $through = [...array_slice($frames, 0, 19), ...array_slice($below, 19)];
        self::assertFalse(Sides::areKept($transition, $through));
    }
}
