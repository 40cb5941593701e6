<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\Reading\OutlineName;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ShapeTest extends TestCase
{
    /** @return iterable<string, array{list<array{float, float}>, OutlineName}> corners counterclockwise, name */
    public static function outlines(): iterable
    {
        yield 'triangle' => [[[0, 0], [10, 0], [3, 8]], OutlineName::Triangle];
        yield 'square' => [[[0, 0], [10, 0], [10, 10], [0, 10]], OutlineName::Square];
        yield 'square on its corner' => [[[0, -10], [10, 0], [0, 10], [-10, 0]], OutlineName::SquareOnCorner];
        yield 'square turned a little: neither' => [[[0, 0], [9, 3], [6, 12], [-3, 9]], OutlineName::FourSided];
        yield 'oblong' => [[[0, 0], [20, 0], [20, 10], [0, 10]], OutlineName::Oblong];
        yield 'oblong, slantwise' => [[[0, 0], [8, 6], [5, 10], [-3, 4]], OutlineName::Oblong];
        yield 'two right angles and a slanted side' => [[[0, 0], [20, 0], [12, 10], [0, 10]], OutlineName::Trapezium];
        yield 'the same on its side: its parallels are not level' => [
            [[0, 0], [10, 0], [10, 20], [0, 12]],
            OutlineName::FourSided,
        ];
        yield 'diamond' => [[[0, -10], [7, 0], [0, 10], [-7, 0]], OutlineName::Diamond];
        yield 'long diamond' => [[[0, -20], [5, 0], [0, 20], [-5, 0]], OutlineName::LongDiamond];
        yield 'kite' => [[[0, -20], [6, 0], [0, 5], [-6, 0]], OutlineName::Kite];
        yield 'dart with a notch: no kite' => [[[0, -20], [6, 10], [0, 4], [-6, 10]], OutlineName::FourSided];
        yield 'parallelogram' => [[[0, 0], [20, 0], [25, 10], [5, 10]], OutlineName::FourSided];
        yield 'house' => [[[0, 0], [10, 0], [10, 8], [5, 12], [0, 8]], OutlineName::FiveSided];
    }

    /** @param  list<array{float, float}>  $corners */
    #[DataProvider('outlines')]
    public function testItsNameIsTheSameWhicheverCornerComesFirst(array $corners, OutlineName $shape): void
    {
        $points = array_map(static fn (array $c): Point => new Point(...$c), $corners);
        foreach (array_keys($points) as $first) {
            $turned = [...array_slice($points, $first), ...array_slice($points, 0, $first)];
            self::assertSame($shape, OutlineName::of($turned, 100), "from corner $first");
            $mirrored = array_reverse(array_map(static fn (Point $p): Point => new Point(-$p->x, $p->y), $turned));
            self::assertSame($shape, OutlineName::of($mirrored, 100), "mirrored, from corner $first");
        }
    }

    /**
     * Quarter turns change what is level; half turns change nothing.
     *
     * @param  list<array{float, float}>  $corners
     */
    #[DataProvider('outlines')]
    public function testHalfATurnChangesNothing(array $corners, OutlineName $shape): void
    {
        $half = Isometry::rotation(M_PI, new Point(3, 4));
        $points = array_values(array_map(static fn (array $c): Point => $half->of(new Point(...$c)), $corners));

        self::assertSame($shape, OutlineName::of($points, 100));
    }
}
