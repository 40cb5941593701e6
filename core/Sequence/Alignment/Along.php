<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Alignment;

use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Through two points, or along a crease that is there; the side of $move moves. */
final readonly class Along implements Alignment
{
    public function __construct(public LineRef $line, public PointRef $move)
    {
    }

    public function locate(Setting $setting): Crease
    {
        return Crease::moving($this->line->trace($setting)->straight(), $this->move->locate($setting));
    }
}
