<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/** The stretch of a line that a landmark names: from $a to $b in the folded plane, mm. */
final readonly class Stretch
{
    public Line $line;

    /** @throws CannotFold when both ends are the same point */
    public function __construct(public Point $a, public Point $b)
    {
        $this->line =
            Line::through($a, $b) ??
            throw CannotFold::because('The two points of this line lie on one another now.', $a);
    }

    public function middle(): Point
    {
        return $this->a->toward($this->b, 0.5);
    }

    public function length(): float
    {
        return $this->a->distanceTo($this->b);
    }
}
