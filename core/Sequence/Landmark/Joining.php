<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

/** The straight line between two points; between two corners of the sheet it is a raw edge or a diagonal. */
final readonly class Joining implements LineRef
{
    public function __construct(public PointRef $from, public PointRef $to)
    {
    }

    public function trace(Setting $setting): Stretch
    {
        return new Stretch($this->from->locate($setting), $this->to->locate($setting));
    }
}
