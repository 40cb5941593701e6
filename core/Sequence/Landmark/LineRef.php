<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Geometry\Segment;

/** A landmark that is a straight line, as a sequence writes it. */
interface LineRef
{
    /** @throws \Cathedra\Core\Folding\CannotFold when there is no such line now */
    public function trace(Setting $setting): Segment;
}
