<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** A place that lies where it was found, whatever it is called. */
final readonly class GivenPoint implements PointRef
{
    /** @param  Point  $at  in the folded plane, mm */
    public function __construct(private Point $at)
    {
    }

    public function locate(Setting $setting): Point
    {
        return $this->at;
    }
}
