<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Geometry\Point;

/** A share of the way from one point to another: a half, a third, two fifths. */
final readonly class Partway implements PointRef
{
    public function __construct(public float $share, public PointRef $from, public PointRef $to)
    {
    }

    public function locate(Setting $setting): Point
    {
        return $this->from->locate($setting)->toward($this->to->locate($setting), $this->share);
    }
}
