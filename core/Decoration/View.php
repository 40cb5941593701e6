<?php

declare(strict_types=1);

namespace Cathedra\Core\Decoration;

/** From where a folded model is looked at. */
enum View: string
{
    case Front = 'front';
    case Behind = 'behind';
}
