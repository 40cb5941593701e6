<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

/** One of the two sides of the sheet; the front is the coloured or printed one where there is a difference. */
enum Side: string
{
    case Front = 'front';
    case Back = 'back';
}
