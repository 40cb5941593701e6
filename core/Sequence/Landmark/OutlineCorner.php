<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Geometry\Point;

/** The corner of the silhouette that lies furthest in a direction. */
final readonly class OutlineCorner implements PointRef
{
    public function __construct(public Direction $direction)
    {
    }

    public function locate(Setting $setting): Point
    {
        return $setting->compass->corner($setting->direction($this->direction));
    }
}
