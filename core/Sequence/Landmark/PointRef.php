<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Geometry\Point;

/** A landmark that is a point, as a sequence writes it. */
interface PointRef
{
    /**
     * Where it is in the folded plane, in mm.
     *
     * @throws \Cathedra\Core\Folding\CannotFold when there is no such point now
     */
    public function locate(Setting $setting): Point;
}
