<?php

declare(strict_types=1);

namespace App\Teaching;

use OpenApi\Attributes as OA;

/** How a learner ended with a model. */
#[OA\Schema(required: ['learner', 'model', 'outcome', 'step', 'seen', 'ways'])]
final readonly class FinishData
{
    /** @param  list<array{title: string, way: string}>  $ways */
    public function __construct(
        #[OA\Property]
        public int $learner,
        #[OA\Property(description: 'library name of the model')]
        public string $model,
        #[OA\Property(enum: ['alone', 'help', 'stopped', 'away'])]
        public string $outcome,
        #[OA\Property(description: 'where the learner stopped')]
        public ?int $step,
        #[OA\Property(description: 'that it was finished was seen or said; else it is presumed')]
        public bool $seen,
        #[OA\Property(
            description: 'which way the learner folded, of each passage that can be shown another way and was folded',
            type: 'array',
            items: new OA\Items(
                required: ['title', 'way'],
                properties: [
                    new OA\Property(property: 'title', type: 'string'),
                    new OA\Property(property: 'way', type: 'string'),
                ],
                type: 'object',
            ),
        )]
        public array $ways,
    ) {
    }
}
