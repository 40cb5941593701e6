<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** What the two sides of a paper are like. */
enum PaperSides: string
{
    case Alike = 'alike';
    case Coloured = 'coloured';
    case Printed = 'printed';
    case Lined = 'lined';
}
