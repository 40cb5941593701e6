<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Alignment;

use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Perpendicular to an edge through a point: the edge is laid on itself; the side of $move moves. */
final readonly class SquareTo implements Alignment
{
    public function __construct(public LineRef $edge, public PointRef $through, public PointRef $move)
    {
    }

    public function locate(Setting $setting): Crease
    {
        $line = $this->edge->trace($setting)->straight()->perpendicularThrough($this->through->locate($setting));

        return Crease::moving($line, $this->move->locate($setting));
    }
}
