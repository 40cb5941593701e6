<?php

declare(strict_types=1);

namespace App\Shelf\Console;

use RuntimeException;

/** Something that a command was given cannot be meant. */
final class BadArgument extends RuntimeException
{
}
