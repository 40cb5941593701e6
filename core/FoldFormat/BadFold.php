<?php

declare(strict_types=1);

namespace Cathedra\Core\FoldFormat;

use Cathedra\Core\CathedraException;

/** A FOLD file that cannot be used: which key, vertex, edge or face, and what to do about it. */
final class BadFold extends CathedraException
{
}
