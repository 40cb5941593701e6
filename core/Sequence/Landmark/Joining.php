<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Segment;

/** The straight line between two points; between two corners of the sheet it is a raw edge or a diagonal. */
final readonly class Joining implements LineRef
{
    public function __construct(public PointRef $from, public PointRef $to)
    {
    }

    public function trace(Setting $setting): Segment
    {
        $line = new Segment($this->from->locate($setting), $this->to->locate($setting));
        if ($line->line() === null) {
            throw CannotFold::notFound('The two points of this line lie on one another now.', $line->a);
        }

        return $line;
    }
}
