<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\CathedraException;

/** A room or a slot that cannot be. */
final class BadPlan extends CathedraException
{
}
