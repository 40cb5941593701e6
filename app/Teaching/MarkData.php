<?php

declare(strict_types=1);

namespace App\Teaching;

use OpenApi\Attributes as OA;

/** One tap on a seat; the key is made by the device. */
#[OA\Schema(required: ['key', 'learner', 'step', 'kind'])]
final readonly class MarkData
{
    public function __construct(
        #[OA\Property(format: 'uuid')]
        public string $key,
        #[OA\Property]
        public int $learner,
        #[OA\Property]
        public int $step,
        #[OA\Property(enum: ['done', 'help'])]
        public string $kind,
    ) {
    }
}
