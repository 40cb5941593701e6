<?php

declare(strict_types=1);

namespace App\Groups;

use App\Support\Api\Shape;

/** A model that a group could fold next, and why. */
#[Shape('NextData', ['slug' => 'string', 'title' => 'string', 'why' => 'string', 'minutes' => 'integer'], [
    'minutes' => 'of a lesson with it, enough in nine of ten such rooms',
])]
final readonly class NextData
{
    public function __construct(
        public string $slug,
        public string $title,
        public string $why,
        public int $minutes,
    ) {
    }
}
