<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Point;

/** Where two lines meet, perhaps beyond their ends. */
final readonly class Crossing implements PointRef
{
    public function __construct(public LineRef $first, public LineRef $second)
    {
    }

    public function locate(Setting $setting): Point
    {
        $a = $this->first->trace($setting);

        return $a->straight()->crossing($this->second->trace($setting)->straight())
            ?? throw CannotFold::notFound('These two lines run side by side and never meet.', $a->middle());
    }
}
