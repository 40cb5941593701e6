<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Hands;

use Cathedra\Core\Geometry\Point;

/** The direction in which a place is carried, seen by the folder: the lower edge of the picture is the nearer one. */
enum Way: string
{
    case Toward = 'toward';
    case Away = 'away';
    case Left = 'left';
    case Right = 'right';
    /** Slantwise: only the place itself says where. */
    case Place = 'place';

    /** How far off an axis a direction is still called by it: tangent of 25 degrees; beyond, a word would mislead. */
    private const SLANT = 0.466;

    public static function of(Point $from, Point $to): self
    {
        $v = $to->minus($from);

        return match (true) {
            abs($v->x) <= self::SLANT * abs($v->y) && $v->y < 0 => self::Toward,
            abs($v->x) <= self::SLANT * abs($v->y) && $v->y > 0 => self::Away,
            abs($v->y) <= self::SLANT * abs($v->x) && $v->x < 0 => self::Left,
            abs($v->y) <= self::SLANT * abs($v->x) && $v->x > 0 => self::Right,
            default => self::Place,
        };
    }
}
