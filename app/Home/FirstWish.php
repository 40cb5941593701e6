<?php

declare(strict_types=1);

namespace App\Home;

/** What a lead says of a first lesson. */
final readonly class FirstWish
{
    /** @param  string  $paper  key of library/paper-formats.yaml */
    public function __construct(public int $learners, public int $years, public int $minutes, public string $paper)
    {
    }
}
