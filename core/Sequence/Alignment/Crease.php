<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Alignment;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/** A located crease: the line (its positive side moves), where the fingers take hold, and where that place comes to lie. */
final readonly class Crease
{
    public function __construct(public Line $line, public Point $grip, public Point $landing)
    {
    }

    /** The crease along $line that moves the side on which $grip lies. */
    public static function moving(Line $line, Point $grip): self
    {
        $line = $line->distanceTo($grip) < 0 ? $line->reversed() : $line;

        return new self($line, $grip, $line->reflected($grip));
    }
}
