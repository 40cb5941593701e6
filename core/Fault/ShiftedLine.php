<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** A line beside the right one: nearer to a point, or farther off. */
final readonly class ShiftedLine implements LineRef
{
    /** @param  float  $share  of the way from the line to the point; negative: away from it */
    public function __construct(private LineRef $line, private PointRef $toward, private float $share)
    {
    }

    public function trace(Setting $setting): Segment
    {
        $line = $this->line->trace($setting);
        $point = $this->toward->locate($setting);
        $by = $point->minus($line->straight()->nearest($point))->times($this->share);

        return new Segment($line->a->plus($by), $line->b->plus($by));
    }
}
