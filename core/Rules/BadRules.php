<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

use Cathedra\Core\CathedraException;

/** Data of library/ that cannot be meant. */
final class BadRules extends CathedraException
{
}
