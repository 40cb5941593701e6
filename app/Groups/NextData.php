<?php

declare(strict_types=1);

namespace App\Groups;

use App\Support\Api\Shape;

/** A model that a group could fold next, and why. */
#[Shape('NextData', ['slug' => 'string', 'title' => 'string', 'why' => 'string'])]
final readonly class NextData
{
    public function __construct(public string $slug, public string $title, public string $why)
    {
    }
}
