<?php

declare(strict_types=1);

namespace Cathedra\Core\Rules;

/** How squares are cut. */
enum Method: string
{
    case Scissors = 'scissors';
    case Trimmer = 'trimmer';
    case Tear = 'tear';
}
