<?php

declare(strict_types=1);

namespace App\Teaching;

use OpenApi\Attributes as OA;

/** An end set by hand. */
#[OA\Schema(schema: 'Correction', required: ['model', 'finish', 'step'])]
final readonly class CorrectionData
{
    public function __construct(
        #[OA\Property(description: 'library name of the model')]
        public string $model,
        #[OA\Property(enum: ['alone', 'help', 'stopped', 'away'])]
        public string $finish,
        #[OA\Property(description: "of the model's own steps, when stopped", nullable: true)]
        public ?int $step,
    ) {
    }
}
