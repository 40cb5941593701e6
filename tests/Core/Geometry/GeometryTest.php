<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;

final class GeometryTest extends TestCase
{
    use TestTrait;

    public function testALineHasItsPositiveSideOnTheLeft(): void
    {
        $line = Line::through(new Point(0, 0), new Point(10, 0));
        self::assertNotNull($line);
        self::assertSame(3.0, $line->distanceTo(new Point(4, 3)));
        self::assertSame(-3.0, $line->reversed()->distanceTo(new Point(4, 3)));
        self::assertNull(Line::through(new Point(1, 1), new Point(1, 1)), 'one point gives no line');
    }

    public function testTheCreaseThatBringsAPointIsThePerpendicularBisector(): void
    {
        // (0,0) onto (8,6): middle (4,3), distance 10, so both are 5 away.
        $line = Line::bringing(new Point(0, 0), new Point(8, 6));
        self::assertNotNull($line);
        self::assertEqualsWithDelta(5.0, $line->distanceTo(new Point(0, 0)), 1e-12);
        self::assertEqualsWithDelta(8.0, $line->reflected(new Point(0, 0))->x, 1e-12);
    }

    public function testBisectorsOfCrossingAndOfParallelLines(): void
    {
        $x = Line::along(new Point(0, 0), new Point(1, 0));
        $y = Line::along(new Point(0, 0), new Point(0, 1));
        self::assertCount(2, $x->bisectors($y));
        self::assertEqualsWithDelta(0.0, $x->bisectors($y)[0]->distanceTo(new Point(7, 7)), 1e-12);
        $above = Line::along(new Point(3, 10), new Point(-1, 0));
        self::assertCount(1, $x->bisectors($above));
        self::assertEqualsWithDelta(0.0, $x->bisectors($above)[0]->distanceTo(new Point(99, 5)), 1e-12);
    }

    public function testQuarterTurnsAreExact(): void
    {
        $p = Isometry::rotation(M_PI / 2, new Point(75, 75))->of(new Point(150, 0));
        self::assertSame([150.0, 150.0], [$p->x, $p->y]);
    }

    public function testClippingASquareByItsDiagonalHalvesIt(): void
    {
        $half = Polygon::rectangle(10, 10)->clippedBy(Line::along(new Point(0, 0), new Point(1, 1)));
        self::assertEqualsWithDelta(50.0, $half->area(), 1e-9);
        self::assertEqualsWithDelta(10 / 3, $half->centroid()->x, 1e-9);
        self::assertTrue(
            Polygon::rectangle(10, 10)->clippedBy(Line::along(new Point(0, 20), new Point(1, 0)))->isEmpty(),
        );
    }

    public function testAnEmptyBoxIsNeutral(): void
    {
        self::assertSame(0.0, Box::around([])->width());
        self::assertFalse(Box::around([])->overlaps(Polygon::rectangle(1, 1)->box(), 0.0));
    }

    public function testReflectionsKeepDistancesAndUndoThemselves(): void
    {
        $this->forAll(
            $this->coordinate(),
            $this->coordinate(),
            $this->coordinate(),
            $this->coordinate(),
            $this->coordinate(),
            $this->coordinate(),
        )
            ->when(static fn ($a, $b, $c, $d): bool => hypot($a - $c, $b - $d) > 1)
            ->then(static function (float $a, float $b, float $c, float $d, float $e, float $f): void {
                $line = Line::through(new Point($a, $b), new Point($c, $d));
                self::assertNotNull($line);
                $mirror = Isometry::reflection($line);
                $p = new Point($e, $f);
                self::assertEqualsWithDelta(0.0, $mirror->then($mirror)->of($p)->distanceTo($p), 1e-9);
                self::assertEqualsWithDelta(
                    $p->distanceTo(new Point($a, $b)),
                    $mirror->of($p)->distanceTo(new Point($a, $b)),
                    1e-9,
                );
                self::assertEqualsWithDelta(0.0, $mirror->inverse()->of($mirror->of($p))->distanceTo($p), 1e-9);
                self::assertFalse($mirror->keepsOrientation());
            });
    }

    public function testALineAndItsImageSeeTheSameSides(): void
    {
        $this->forAll($this->coordinate(), $this->coordinate(), $this->coordinate(), $this->coordinate())
            ->when(static fn ($a, $b): bool => hypot($a, $b) > 1)
            ->then(static function (float $a, float $b, float $c, float $d): void {
                $line = Line::along(new Point(3, 4), new Point($a, $b));
                $p = new Point($c, $d);
                foreach (
                    [
                        Isometry::rotation(0.7, new Point(1, 2)),
                        Isometry::reflection(Line::along(new Point(5, 0), new Point(1, 3))),
                    ] as $move
                ) {
                    self::assertEqualsWithDelta(
                        $line->distanceTo($p),
                        $move->ofLine($line)->distanceTo($move->of($p)),
                        1e-8,
                    );
                }
            });
    }

    public function testIntersectionIsSymmetricAndNeverLarger(): void
    {
        $this->forAll(
            $this->coordinate(),
            $this->coordinate(),
            Generators::choose(1, 80),
            Generators::choose(1, 80),
            Generators::choose(0, 628),
        )->then(static function (float $x, float $y, int $w, int $h, int $turn): void {
            $a = Polygon::rectangle(50, 70);
            $b = Polygon::rectangle($w, $h)->placed(
                Isometry::rotation($turn / 100, new Point(0, 0))->then(Isometry::shift(new Point($x, $y))),
            );
            $ab = $a->intersection($b)->area();
            self::assertEqualsWithDelta($ab, $b->intersection($a)->area(), 1e-7);
            self::assertLessThanOrEqual(min($a->area(), $b->area()) + 1e-7, $ab);
            self::assertGreaterThanOrEqual(0.0, $ab);
        });
    }

    /** @return \Eris\Generator<float> */
    private function coordinate(): \Eris\Generator
    {
        return Generators::map(static fn (int $n): float => $n / 10, Generators::choose(-1000, 1000));
    }
}
