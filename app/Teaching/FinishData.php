<?php

declare(strict_types=1);

namespace App\Teaching;

use OpenApi\Attributes as OA;

/** How a learner ended with a model. */
#[OA\Schema(required: ['learner', 'model', 'outcome', 'step'])]
final readonly class FinishData
{
    public function __construct(
        #[OA\Property]
        public int $learner,
        #[OA\Property(description: 'library name of the model')]
        public string $model,
        #[OA\Property(enum: ['alone', 'help', 'stopped', 'away'])]
        public string $outcome,
        #[OA\Property(description: 'where the learner stopped')]
        public ?int $step,
    ) {
    }
}
