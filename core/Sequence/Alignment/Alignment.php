<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Alignment;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Sequence\Landmark\Setting;

/** How a crease is located: what is brought where, or along which line. */
interface Alignment
{
    /** @throws CannotFold when there is no such crease, or more than one */
    public function locate(Setting $setting): Crease;
}
