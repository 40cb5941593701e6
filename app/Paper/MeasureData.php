<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

/** Predicted sizes of a form that is not flat, and what the learners read. mm; volume in ml. */
#[OA\Schema(required: ['model', 'side_mm', 'predicted', 'volume_ml', 'readings'])]
final readonly class MeasureData
{
    /**
     * @param  list<array{name: string, title: string, mm: float}>  $predicted
     * @param  list<array{learner: int, name: string, mm: float, difference_mm: float, why: string}>  $readings
     */
    public function __construct(
        #[
            OA\Property(description: 'title of the model that is measured: the first of the lesson that is not flat'),
        ]
        public string $model,
        #[OA\Property] public float $side_mm,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['name', 'title', 'mm'],
                    properties: [
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(property: 'title', type: 'string'),
                        new OA\Property(property: 'mm', type: 'number'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $predicted,
        #[OA\Property] public ?float $volume_ml,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['learner', 'name', 'mm', 'difference_mm', 'why'],
                    properties: [
                        new OA\Property(property: 'learner', type: 'integer'),
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(property: 'mm', type: 'number'),
                        new OA\Property(property: 'difference_mm', type: 'number'),
                        new OA\Property(property: 'why', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $readings,
    ) {
    }
}
