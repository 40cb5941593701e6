<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Geometry\Point;

/** The eight directions a folder names, as seen: top is away from the folder's body. */
enum Direction: string
{
    case Top = 'top';
    case Bottom = 'bottom';
    case Left = 'left';
    case Right = 'right';
    case TopLeft = 'top-left';
    case TopRight = 'top-right';
    case BottomLeft = 'bottom-left';
    case BottomRight = 'bottom-right';

    /** Of length 1. */
    public function vector(): Point
    {
        $h = M_SQRT1_2;

        return match ($this) {
            self::Top => new Point(0, 1), self::Bottom => new Point(0, -1),
            self::Left => new Point(-1, 0), self::Right => new Point(1, 0),
            self::TopLeft => new Point(-$h, $h), self::TopRight => new Point($h, $h),
            self::BottomLeft => new Point(-$h, -$h), self::BottomRight => new Point($h, -$h),
        };
    }

    /** The direction on the other side of an upright mirror. */
    public function mirrored(): self
    {
        return match ($this) {
            self::Left => self::Right, self::Right => self::Left,
            self::TopLeft => self::TopRight, self::TopRight => self::TopLeft,
            self::BottomLeft => self::BottomRight, self::BottomRight => self::BottomLeft,
            default => $this,
        };
    }

    /** The direction on the other side of a level mirror. */
    public function flipped(): self
    {
        return match ($this) {
            self::Top => self::Bottom, self::Bottom => self::Top,
            self::TopLeft => self::BottomLeft, self::BottomLeft => self::TopLeft,
            self::TopRight => self::BottomRight, self::BottomRight => self::TopRight,
            default => $this,
        };
    }
}
