<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\Direction;

/** The side of the silhouette that faces a direction. */
final readonly class OutlineEdge implements LineRef
{
    public function __construct(public Direction $direction)
    {
    }

    public function trace(Setting $setting): Stretch
    {
        return new Stretch(...$setting->compass->side($setting->direction($this->direction)));
    }
}
