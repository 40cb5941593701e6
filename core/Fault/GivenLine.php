<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** A line that lies where it was found, whatever it is called. */
final readonly class GivenLine implements LineRef
{
    /** @param  Segment  $at  in the folded plane, mm */
    public function __construct(private Segment $at)
    {
    }

    public function trace(Setting $setting): Segment
    {
        return $this->at;
    }
}
