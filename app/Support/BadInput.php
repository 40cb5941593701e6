<?php

declare(strict_types=1);

namespace App\Support;

/** What a command was given cannot be read. */
final class BadInput extends \RuntimeException
{
}
