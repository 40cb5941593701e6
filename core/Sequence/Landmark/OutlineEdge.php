<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Geometry\Segment;

/** The side of the silhouette that faces a direction. */
final readonly class OutlineEdge implements LineRef
{
    public function __construct(public Direction $direction)
    {
    }

    public function trace(Setting $setting): Segment
    {
        return $setting->compass->side($setting->direction($this->direction));
    }
}
