<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SegmentTest extends TestCase
{
    private const MARGIN = 0.001;

    /** @return iterable<string, array{Point, float, float}> a place; its distance from (0, 0) to (30, 40); its share */
    public static function places(): iterable
    {
        // The way is 50 mm long along (0.6, 0.8); (-0.8, 0.6) is square to it.
        yield 'its start' => [new Point(0, 0), 0.0, 0.0];
        yield 'its end' => [new Point(30, 40), 0.0, 1.0];
        yield 'a fifth of the way' => [new Point(6, 8), 0.0, 0.2];
        yield 'beside the middle, 5 mm' => [new Point(15 - 4, 20 + 3), 5.0, 0.5];
        yield 'on the line beyond the end, 10 mm' => [new Point(36, 48), 10.0, 1.2];
        yield 'on the line before the start, 5 mm' => [new Point(-3, -4), 5.0, -0.1];
        yield 'beyond the end and aside: 3 along, 4 across' => [new Point(31.8 - 3.2, 42.4 + 2.4), 5.0, 1.06];
    }

    #[DataProvider('places')]
    public function testItKnowsHowFarAPlaceIsAndWhereItLiesAlongTheWay(Point $place, float $mm, float $share): void
    {
        $segment = new Segment(new Point(0, 0), new Point(30, 40));

        self::assertEqualsWithDelta($mm, $segment->distanceTo($place), 1e-9);
        self::assertEqualsWithDelta($share, $segment->shareOf($place), 1e-12);
        self::assertSame($mm <= self::MARGIN, $segment->passes($place, self::MARGIN));
        self::assertEqualsWithDelta(1 - $share, $segment->reversed()->shareOf($place), 1e-12);
    }

    /** A long segment is no more forgiving than a short one: half a millimetre aside is aside. */
    public function testPassingIsMeasuredSquareToTheSegmentHoweverLongItIs(): void
    {
        foreach ([10.0, 1000.0, 100000.0] as $length) {
            $segment = new Segment(new Point(0, 0), new Point($length, 0));

            self::assertFalse($segment->passes(new Point($length / 2, 0.5), 0.4));
            self::assertTrue($segment->passes(new Point($length / 2, 0.3), 0.4));
        }
    }

    /** @return iterable<string, array{Segment, array{float, float}|null}> and from where to where on (0, 0)-(100, 0) */
    public static function neighbours(): iterable
    {
        $at = static fn (float $a, float $b, float $y = 0.0): Segment => new Segment(
            new Point($a, $y),
            new Point($b, $y),
        );
        yield 'within' => [$at(20, 30), [20, 30]];
        yield 'within, the other way round' => [$at(30, 20), [20, 30]];
        yield 'over the start' => [$at(-20, 30), [0, 30]];
        yield 'all of it and more' => [$at(-20, 130), [0, 100]];
        yield 'touching at the end' => [$at(100, 130), null];
        yield 'apart' => [$at(110, 130), null];
        yield 'beside it' => [$at(20, 30, 1), null];
        yield 'across it' => [new Segment(new Point(50, -5), new Point(50, 5)), null];
    }

    /** @param  array{float, float}|null  $shared */
    #[DataProvider('neighbours')]
    public function testTwoOnOneLineShareAStretch(Segment $that, ?array $shared): void
    {
        $found = (new Segment(new Point(0, 0), new Point(100, 0)))->sharedWith($that, self::MARGIN);

        self::assertEqualsWithDelta($shared, $found === null ? null : [$found->a->x, $found->b->x], 1e-9);
    }

    public function testOnALineBeyondALineAndPartOfAnother(): void
    {
        $line = Line::along(new Point(0, 0), new Point(1, 0)); // its positive side is up
        $on = new Segment(new Point(3, 0), new Point(9, 0));
        $crossing = new Segment(new Point(3, -2), new Point(3, 4));

        self::assertTrue($on->liesOn($line, self::MARGIN));
        self::assertFalse($crossing->liesOn($line, self::MARGIN));
        self::assertFalse($on->reachesBeyond($line, self::MARGIN));
        self::assertTrue($crossing->reachesBeyond($line, self::MARGIN));
        self::assertFalse($crossing->reachesBeyond($line, 4.5));
        self::assertTrue($on->isPartOf(new Segment(new Point(0, 0), new Point(9, 0)), self::MARGIN));
        self::assertFalse($on->isPartOf(new Segment(new Point(0, 0), new Point(8, 0)), self::MARGIN));
    }

    public function testSpanningRunsFromTheFirstToTheLastPointAlongTheLine(): void
    {
        $line = Line::along(new Point(0, 5), new Point(1, 0));
        $points = [new Point(4, 5), new Point(-2, 5), new Point(7, 5), new Point(1, 5)];

        self::assertEquals(new Segment(new Point(-2, 5), new Point(7, 5)), Segment::spanning($line, $points));
        self::assertNull(Segment::spanning($line, [new Point(4, 5)]));
    }

    public function testMovingKeepsLengthAndShares(): void
    {
        mt_srand(8);
        for ($i = 0; $i < 200; $i++) {
            $number = static fn (): float => mt_rand(-1000, 1000) / 7;
            $segment = new Segment(new Point($number(), $number()), new Point($number(), $number()));
            $move = Isometry::rotation($number(), new Point($number(), $number()));
            $p = new Point($number(), $number());

            self::assertEqualsWithDelta($segment->length(), $segment->placed($move)->length(), 1e-9);
            $moved = $segment->placed($move)->distanceTo($move->of($p));
            self::assertEqualsWithDelta($segment->distanceTo($p), $moved, 1e-9);
            self::assertEqualsWithDelta(0.0, $segment->distanceTo($segment->at(mt_rand(0, 100) / 100)), 1e-9);
        }
    }

    public function testItsNameIsThatOfThePlaceWhicheverWayItRuns(): void
    {
        $segment = new Segment(new Point(1, 2), new Point(3, 4));

        self::assertSame($segment->name(0.1), $segment->reversed()->name(0.1));
        self::assertSame($segment->name(0.1), (new Segment(new Point(1.01, 2), new Point(3, 3.99)))->name(0.1));
        self::assertNotSame($segment->name(0.1), (new Segment(new Point(1.2, 2), new Point(3, 4)))->name(0.1));
    }

    public function testTwoPointsInOnePlaceHaveNoLine(): void
    {
        $none = new Segment(new Point(1, 2), new Point(1, 2));

        self::assertNull($none->line());
        self::assertSame(5.0, $none->distanceTo(new Point(4, 6)));
        $this->expectException(\LogicException::class);
        $none->straight();
    }
}
