<?php

declare(strict_types=1);

namespace App\Paper;

use Cathedra\Core\Sequence\Form\Solid;
use OpenApi\Attributes as OA;

/** Predicted sizes of a form that is not flat, and what the learners read. mm; volumes in the units of the lead. */
#[OA\Schema(required: ['model', 'title', 'side_mm', 'side', 'predicted', 'solid', 'volume', 'readings'])]
final readonly class MeasureData
{
    /**
     * @param  list<array{name: string, title: string, mm: float, text: string}>  $predicted
     * @param  array{value: float, unit: string, off: float}|null  $volume
     * @param  list<array{learner: int, name: string, mm: float, text: string, difference_mm: float,
     *     why: string}>  $readings
     */
    public function __construct(
        #[OA\Property(description: 'library name of the model that is measured')] public string $model,
        #[OA\Property] public string $title,
        #[OA\Property] public float $side_mm,
        #[OA\Property(description: 'for reading')] public string $side,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['name', 'title', 'mm', 'text'],
                    properties: [
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(property: 'title', type: 'string'),
                        new OA\Property(property: 'mm', type: 'number'),
                        new OA\Property(property: 'text', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $predicted,
        #[OA\Property(description: 'the body that is measured', enum: Solid::class)] public ?string $solid,
        #[
            OA\Property(
                description: 'what it holds, in cubic cm or inches; off: by how many per cent the product of readings '
                    .'may be out when each is read to the nearest mark',
                required: ['value', 'unit', 'off'],
                properties: [
                    new OA\Property(property: 'value', type: 'number'),
                    new OA\Property(property: 'unit', type: 'string'),
                    new OA\Property(property: 'off', type: 'number'),
                ],
                type: 'object',
                nullable: true,
            ),
        ]
        public ?array $volume,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['learner', 'name', 'mm', 'text', 'difference_mm', 'why'],
                    properties: [
                        new OA\Property(property: 'learner', type: 'integer'),
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(property: 'mm', type: 'number'),
                        new OA\Property(property: 'text', type: 'string'),
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
