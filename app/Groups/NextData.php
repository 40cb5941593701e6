<?php

declare(strict_types=1);

namespace App\Groups;

use App\Pacing\ModelFit;
use App\Support\Api\JsonShape;

/** A model that a group could fold next, and why. */
#[JsonShape('NextData', ['slug' => 'string', 'title' => 'string', 'why' => 'string', 'fit' => '#ModelFit'], [
    'fit' => 'in a lesson of an hour',
])]
final readonly class NextData
{
    public function __construct(
        public string $slug,
        public string $title,
        public string $why,
        public ModelFit $fit,
    ) {
    }
}
