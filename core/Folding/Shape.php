<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Tolerance;

/** Plain names of outlines, as one would say them to a beginner. */
enum Shape: string
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
        $same = static fn (float $a, float $b): bool => abs($a - $b) <= $equal;
        $isRhombus = $same($length[0], $length[1]) && $same($length[1], $length[2]) && $same($length[2], $length[3]);
        $isRight =
            abs($sides[0]->unit()->dot($sides[1]->unit())) < Tolerance::ANGLE &&
            abs($sides[1]->unit()->dot($sides[2]->unit())) < Tolerance::ANGLE;
        if ($isRhombus && $isRight) {
            return abs($sides[0]->x) > $equal && abs($sides[0]->y) > $equal ? self::SquareOnCorner : self::Square;
        }
        if ($isRhombus) {
            $d = $c[0]->distanceTo($c[2]) / $c[1]->distanceTo($c[3]);

            return $d > 1.8 || $d < 1 / 1.8 ? self::LongDiamond : self::Diamond;
        }
        $parallel = static fn (int $i, int $j): bool => abs($sides[$i]->unit()->cross($sides[$j]->unit())) <
            Tolerance::ANGLE;

        return match (true) {
            $isRight => self::Oblong,
            $same($length[0], $length[1]) && $same($length[2], $length[3]),
            $same($length[1], $length[2]) && $same($length[3], $length[0]) => self::Kite,
            $parallel(0, 2), $parallel(1, 3) => self::Trapezium,
            default => self::FourSided,
        };
    }
}
