<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** What was asked for is not there any more, or not now: answered with 410, its words, and the place in the request. */
abstract class Gone extends RuntimeException
{
    /** @param  string  $pointer  JSON pointer */
    protected function __construct(string $message, public readonly string $pointer)
    {
        parent::__construct($message);
    }
}
