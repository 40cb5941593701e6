<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

/** How a lesson with one model, squares cut before, would go with a group. */
#[JsonShape('ModelFit', ['slug' => 'string', 'minutes' => 'integer', 'share' => 'number', 'everybody' => 'number'], [
    'minutes' => 'enough in nine of ten such rooms',
    'share' => 'of the learners that is done in the slot asked for, clearing up left for after',
    'everybody' => 'share of such rooms in which all are',
])]
final readonly class ModelFit
{
    public function __construct(
        public string $slug,
        public int $minutes,
        public float $share,
        public float $everybody,
    ) {
    }
}
