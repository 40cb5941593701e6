<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/**
 * Something else is there than the request takes for granted: answered with 409, what was changed, and what is there
 * now.
 */
final class Conflict extends RuntimeException
{
    /**
     * @param  string  $pointer  JSON pointer into the request
     * @param  array<string, mixed>  $with  what is there now, for the screen to offer
     */
    private function __construct(public readonly string $pointer, string $message, public readonly array $with)
    {
        parent::__construct($message);
    }

    /** @param  array<string, mixed>  $with */
    public static function at(string $pointer, string $message, array $with = []): self
    {
        return new self($pointer, $message, $with);
    }
}
