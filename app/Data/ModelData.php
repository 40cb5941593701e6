<?php

declare(strict_types=1);

namespace App\Data;

use OpenApi\Attributes as OA;

/** A model with all its steps. */
#[OA\Schema(required: ['summary', 'side_up', 'ratio', 'cautions', 'steps', 'end_checks'])]
final readonly class ModelData
{
    /**
     * @param  list<string>  $cautions
     * @param  list<StepData>  $steps
     * @param  list<string>  $end_checks
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/ModelSummary')]
        public ModelSummary $summary,
        #[OA\Property(enum: ['front', 'back'])]
        public string $side_up,
        #[OA\Property]
        public float $ratio,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/StepData'))]
        public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $end_checks,
    ) {
    }
}
