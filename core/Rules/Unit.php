<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** In what lengths are read. */
enum Unit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Inch = 'in';
}
