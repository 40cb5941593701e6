<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;

/** A finished part as it lies on the main piece; mm in the plane of the main piece. */
final readonly class Attached
{
    /** @param  Point  $at  the place on the main piece where it is held or pushed in */
    public function __construct(public FoldedState $part, public Point $at)
    {
    }
}
