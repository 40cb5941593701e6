<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Geometry\Point;

/** The middle of an edge or crease. */
final readonly class MiddleOf implements PointRef
{
    public function __construct(public LineRef $line)
    {
    }

    public function locate(Setting $setting): Point
    {
        return $this->line->trace($setting)->middle();
    }
}
