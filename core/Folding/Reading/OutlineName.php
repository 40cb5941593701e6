<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Tolerance;

/** Plain names of outlines, as one would say them to a beginner. */
enum OutlineName: string
{
    case Triangle = 'triangle';
    case Square = 'square';
    case SquareOnCorner = 'square-on-corner';
    case Oblong = 'oblong';
    case Diamond = 'diamond';
    case LongDiamond = 'long-diamond';
    case Kite = 'kite';
    case Trapezium = 'trapezium';
    case FourSided = 'four-sided';
    case FiveSided = 'five-sided';
    case SixSided = 'six-sided';
    case ManySided = 'many-sided';

    /**
     * @param  list<Point>  $corners  counterclockwise
     * @param  float  $scale  mm, the sheet's diagonal: lengths that differ by less than a millionth of it are equal
     */
    public static function of(array $corners, float $scale): self
    {
        return match (count($corners)) {
            3 => self::Triangle,
            4 => self::ofFour($corners, 1e-6 * $scale),
            5 => self::FiveSided,
            6 => self::SixSided,
            default => self::ManySided,
        };
    }

    /** @param  list<Point>  $c */
    private static function ofFour(array $c, float $equal): self
    {
        $sides = [];
        foreach ($c as $i => $p) {
            $sides[] = $c[($i + 1) % 4]->minus($p);
        }
        $length = array_map(static fn (Point $s): float => $s->length(), $sides);
        $same = static fn (int $i, int $j): bool => abs($length[$i] - $length[$j]) <= $equal;
        $turn = static fn (int $i, int $j): float => $sides[$i]->unit()->cross($sides[$j]->unit());
        $isRight = static fn (int $i): bool => abs($sides[$i]->unit()->dot($sides[($i + 1) % 4]->unit())) <
            Tolerance::ANGLE;
        $isLevel = static fn (int $i): bool => abs($sides[$i]->y) <= $equal;
        $isRhombus = $same(0, 1) && $same(1, 2) && $same(2, 3);
        // two right angles are not four: a shape with one slanted side has two
        $allRight = $isRight(0) && $isRight(1) && $isRight(2) && $isRight(3);
        $isConvex = min($turn(0, 1), $turn(1, 2), $turn(2, 3), $turn(3, 0)) > 0;
        $across = $c[2]->minus($c[0]);
        $standsOnCorner = abs($across->x) <= $equal || abs($across->y) <= $equal;
        $slimness = $c[0]->distanceTo($c[2]) / max($equal, $c[1]->distanceTo($c[3]));
        $parallel = static fn (int $i, int $j): bool => abs($turn($i, $j)) < Tolerance::ANGLE;

        return match (true) {
            ! $isConvex => self::FourSided,
            $isRhombus && $allRight && $standsOnCorner => self::SquareOnCorner,
            $isRhombus && $allRight => $isLevel(0) || $isLevel(1) ? self::Square : self::FourSided,
            $isRhombus => $slimness > 1.8 || $slimness < 1 / 1.8 ? self::LongDiamond : self::Diamond,
            $allRight => self::Oblong,
            $same(0, 1) && $same(2, 3), $same(1, 2) && $same(3, 0) => self::Kite,
            $parallel(0, 2) && $parallel(1, 3) => self::FourSided,
            $parallel(0, 2) && $isLevel(0), $parallel(1, 3) && $isLevel(1) => self::Trapezium,
            default => self::FourSided,
        };
    }
}
