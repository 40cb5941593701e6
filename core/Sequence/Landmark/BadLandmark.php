<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\CathedraException;

/** A landmark that is not written as docs/fold-sequence.md says. */
final class BadLandmark extends CathedraException
{
}
