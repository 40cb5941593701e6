<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Check\Passing;
use Cathedra\Core\Space\Mesh\Triangles;
use Cathedra\Core\Space\Mesh\Vector;
use Cathedra\Core\Space\MotionBetween;
use Cathedra\Core\Space\Settle\Ridges;
use Cathedra\Core\Space\Turn\RigidTurn;
use Cathedra\Core\Space\Turn\Slide;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The rules by which paper in space is measured, each by a case that one can follow with a pencil. */
final class GuardsTest extends TestCase
{
    /**
     * An upright triangle that stands with its edge from (10, 10, low) to (10, 10, high) in a flat right triangle with
     * legs of 60 mm along the axes.
     *
     * @return iterable<string, array{float, float, float, float}> low, high, where it stands, depth
     */
    public static function depths(): iterable
    {
        yield 'above the table' => [1.0, 9.0, 10.0, 0.0];
        yield 'on the table' => [0.0, 9.0, 10.0, 0.0];
        yield 'a little through' => [-0.5, 9.0, 10.0, 0.5];
        yield 'as far below as above' => [-4.0, 4.0, 10.0, 4.0];
        yield 'more below than above' => [-9.0, 3.0, 10.0, 3.0];
        yield 'deep, but near the rim' => [-9.0, 9.0, 1.5, 1.5];
        yield 'beside it' => [-9.0, 9.0, -2.0, 0.0];
    }

    #[DataProvider('depths')]
    public function testDepth(float $low, float $high, float $at, float $depth): void
    {
        // the upright one leans away from the flat one's corner, so that its own edge alone goes through
        $corners = [[0.0, 0.0, 0.0], [60.0, 0.0, 0.0], [0.0, 60.0, 0.0], [$at, 10.0, $low], [$at, 10.0, $high],
            [$at - 0.001, 9.999, $high]];
        self::assertEqualsWithDelta($depth, Passing::deepest([[0, 1, 2], [3, 4, 5]], $corners)[0], 0.01);
        // whichever comes first
        self::assertEqualsWithDelta($depth, Passing::deepest([[3, 4, 5], [0, 1, 2]], $corners)[0], 0.01);
    }

    /** Two triangles on a common crease, however sharply it is folded, do not stand in one another. */
    public function testWhatHangsTogetherDoesNotPass(): void
    {
        foreach ([1, 30, 90, 179] as $degrees) {
            [$c, $s] = [cos(deg2rad($degrees)), sin(deg2rad($degrees))];
            $at = [[0.0, 0.0, 0.0], [0.0, 60.0, 0.0], [60.0, 30.0, 0.0], [60.0 * $c, 30.0, 60.0 * $s]];
            self::assertSame(0.0, Passing::deepest([[0, 1, 2], [1, 0, 3]], $at)[0], "$degrees degrees");
        }
    }

    /** Sorting by boxes loses no pair: the deepest of all is the deepest of the pairs, one by one. */
    public function testTheDeepestPairIsFoundAmongMany(): void
    {
        $chance = new Randomizer(new Mt19937(31));
        $number = static fn (int $most): float => $chance->getInt(0, 100 * $most) / 100;
        $found = 0;
        for ($round = 0; $round < 60; $round++) {
            [$at, $triangles] = [[], []];
            for ($i = 0; $i < 7; $i++) {
                [$x, $y, $z] = [$number(60), $number(60), $number(20)];
                for ($k = 0; $k < 3; $k++) {
                    $at[] = [$x + $number(25), $y + $number(25), $z + $number(25)];
                }
                $triangles[] = [3 * $i, 3 * $i + 1, 3 * $i + 2];
            }
            [$deepest, $one, $other] = Passing::deepest($triangles, $at);
            $worst = 0.0;
            for ($i = 0; $i < 7; $i++) {
                for ($j = $i + 1; $j < 7; $j++) {
                    $worst = max($worst, Passing::deepest([$triangles[$i], $triangles[$j]], $at)[0]);
                }
            }
            self::assertEqualsWithDelta($worst, $deepest, 1e-12);
            if ($deepest > 0.0) {
                $found++;
                self::assertEqualsWithDelta(
                    $deepest,
                    Passing::deepest([$triangles[$one], $triangles[$other]], $at)[0],
                    1e-12,
                    'and the pair is named',
                );
            }
        }
        self::assertGreaterThan(20, $found);
    }

    /** A place 20 mm on the positive side of an axis, and 5 mm along it. */
    public function testARigidTurnByHand(): void
    {
        $axis = Line::along(new Point(10, 0), new Point(0, 1));
        $place = $axis->distanceTo(new Point(30, 5)) > 0 ? [30.0, 5.0, 0.0] : [-10.0, 5.0, 0.0];
        $out = $place[0] - 10; // 20 or -20
        foreach ([[0, 1.0, 0.0], [90, 0.0, 1.0], [180, -1.0, 0.0], [60, 0.5, sqrt(0.75)]] as [$degrees, $c, $s]) {
            self::assertEqualsWithDelta(
                [10 + $out * $c, 5.0, 20 * $s],
                RigidTurn::about([$place], $axis, deg2rad($degrees))[0],
                1e-9,
                "$degrees degrees",
            );
        }
        // 2 mm over the table it leans over the axis as it is turned upright: 2 mm back, and lifted by its distance
        $upright = RigidTurn::about([[$place[0], 5.0, 2.0]], $axis, M_PI / 2, new Point(0, 3))[0];
        self::assertEqualsWithDelta([10 - 2 * $out / 20, 8.0, 20.0], $upright, 1e-9);
    }

    public function testHowFarASlideGoes(): void
    {
        $places = [[10.0, 0.0, 0.0], [3.0, 0.0, 0.0]];
        self::assertEqualsWithDelta(5.0, Slide::of(Isometry::shift(new Point(3, 4)))->reach($places), 1e-9);
        // a quarter of a circle of 10 mm
        $turn = Slide::of(Isometry::rotation(M_PI / 2, new Point(0, 0)));
        self::assertEqualsWithDelta(5 * M_PI, $turn->reach($places), 1e-9);
        // half a circle of 10 mm about the axis x = 0
        $axis = Line::along(new Point(0, 0), new Point(0, 1));
        self::assertEqualsWithDelta(10 * M_PI, Slide::of(Isometry::reflection($axis))->reach($places), 1e-9);
        self::assertTrue(Slide::of(Isometry::identity())->isNothing());
        self::assertFalse(Slide::of(Isometry::shift(new Point(0.1, 0)))->isNothing());
        self::assertFalse(Slide::of(Isometry::reflection($axis))->isNothing());
    }

    /** Who is mirrored and shifted along the mirror besides has no axis to be turned over. */
    public function testAnAxisOnlyWhereItIsTurnedOver(): void
    {
        $axis = Line::along(new Point(7, 0), new Point(0, 1));
        $mirror = Isometry::reflection($axis);
        $found = Slide::axisOf($mirror);
        self::assertNotNull($found);
        self::assertEqualsWithDelta(0.0, $found->distanceTo(new Point(7, 12)), 1e-9);
        self::assertNull(Slide::axisOf($mirror->then(Isometry::shift(new Point(0, 4)))));
        $across = $mirror->then(Isometry::shift(new Point(4, 0)));
        self::assertNotNull(Slide::axisOf($across), 'shifted across it is a mirror again');
        self::assertNull(Slide::axisOf(Isometry::rotation(1.0, new Point(0, 0))));
    }

    /** Convex loops of three to nine corners: n - 2 triangles, all counterclockwise, the area as a whole. */
    public function testTrianglesOfAnyConvexCell(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        for ($round = 0; $round < 100; $round++) {
            $n = $chance->getInt(3, 9);
            $angles = array_map(static fn (): int => $chance->getInt(0, 3599), range(1, $n));
            $angles = array_values(array_unique($angles));
            sort($angles);
            if (count($angles) < 3) {
                continue;
            }
            $at = array_map(static fn (int $a): array => [
                50 * cos(deg2rad($a / 10)), 50 * sin(deg2rad($a / 10)),
            ], $angles);
            $loop = array_keys($at);
            $triangles = Triangles::of($loop, $at);
            self::assertCount(count($at) - 2, $triangles);
            $whole = self::area($loop, $at);
            $sum = 0.0;
            foreach ($triangles as $triangle) {
                $area = self::area($triangle, $at);
                self::assertGreaterThan(0.0, $area, 'counterclockwise as the cell');
                $sum += $area;
            }
            self::assertEqualsWithDelta($whole, $sum, 1e-6);
        }
    }

    /** @return iterable<string, array{float, float, bool}> angles of a crease before and after, whether it turns */
    public static function creases(): iterable
    {
        yield 'valley to mountain' => [M_PI, -M_PI, true];
        yield 'mountain to valley' => [-M_PI, M_PI, true];
        yield 'stays a valley' => [M_PI, M_PI, false];
        yield 'is opened' => [M_PI, 0.0, false];
        yield 'is folded' => [0.0, -M_PI, false];
        yield 'stays flat' => [0.0, 0.0, false];
    }

    #[DataProvider('creases')]
    public function testACreaseTurnsWhereItChangesItsSide(float $start, float $end, bool $turns): void
    {
        $hinge = ['a' => 0, 'b' => 1, 'left' => 0, 'right' => 1, 'start' => $start, 'end' => $end];
        self::assertSame($turns, Ridges::turns($hinge));
    }

    public function testVectorsByHand(): void
    {
        [$x, $y] = [[1.0, 0.0, 0.0], [0.0, 1.0, 0.0]];
        self::assertSame([0.0, 0.0, 1.0], Vector::cross($x, $y));
        self::assertSame([0.0, 0.0, -1.0], Vector::cross($y, $x));
        self::assertSame(32.0, Vector::dot([1.0, 2.0, 3.0], [4.0, 5.0, 6.0]));
        self::assertSame(7.0, Vector::length([2.0, 3.0, 6.0]));
        self::assertSame(5.0, Vector::far([1.0, 1.0, 0.0], [4.0, 5.0, 0.0]));
        self::assertSame([3.0, 4.0, 1.0], Vector::plus(p: [1.0, 1.0, 1.0], a: 2.0, u: $x, b: 3.0, v: $y));
        self::assertEqualsWithDelta([0.6, 0.0, 0.8], Vector::unit([3.0, 0.0, 4.0]), 1e-12);
        self::assertSame([0.0, 0.0, 0.0], Vector::unit([0.0, 0.0, 0.0]), 'nothing has no direction');
    }

    /** A motion asks of itself no less than the judge asks of it (EveryMotion), whose figures are its own. */
    public function testAMotionAsksOfItselfWhatTheJudgeAsks(): void
    {
        self::assertLessThanOrEqual(0.02, MotionBetween::STRAIN);
        self::assertLessThanOrEqual(0.15, MotionBetween::JUMP);
        self::assertLessThan(0.005, MotionBetween::DEPTH);
    }

    /**
     * @param  array<int>  $loop
     * @param  array<int, array{float, float}>  $at
     */
    private static function area(array $loop, array $at): float
    {
        $sum = 0.0;
        $loop = array_values($loop);
        foreach ($loop as $i => $v) {
            $next = $loop[($i + 1) % count($loop)];
            $sum += $at[$v][0] * $at[$next][1] - $at[$next][0] * $at[$v][1];
        }

        return $sum / 2;
    }
}
