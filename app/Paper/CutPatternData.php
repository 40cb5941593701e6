<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

/** One way to cut a sheet, and for how many sheets. Lengths in mm, from the sheet's lower left corner. */
#[
    OA\Schema(
        required: [
            'times',
            'stock',
            'width_mm',
            'height_mm',
            'size',
            'squares',
            'lines',
            'order',
            'offcuts',
            'strokes',
        ],
    ),
]
final readonly class CutPatternData
{
    /**
     * @param  list<array{x_mm: float, y_mm: float, side_mm: float, side: string}>  $squares
     * @param  list<array{n: int, from: array{float, float}, to: array{float, float}}>  $lines
     * @param  list<string>  $order
     * @param  list<array{width_mm: float, height_mm: float, size: string, count: int}>  $offcuts
     */
    public function __construct(
        #[OA\Property] public int $times,
        #[OA\Property(description: 'name of the paper')] public string $stock,
        #[OA\Property] public float $width_mm,
        #[OA\Property] public float $height_mm,
        #[OA\Property(description: 'of the sheet, for reading')] public string $size,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['x_mm', 'y_mm', 'side_mm', 'side'],
                    properties: [
                        new OA\Property(property: 'x_mm', type: 'number'),
                        new OA\Property(property: 'y_mm', type: 'number'),
                        new OA\Property(property: 'side_mm', type: 'number'),
                        new OA\Property(property: 'side', description: 'without its unit', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $squares,
        #[
            OA\Property(
                description: 'cuts, numbered in their order',
                type: 'array',
                items: new OA\Items(
                    required: ['n', 'from', 'to'],
                    properties: [
                        new OA\Property(property: 'n', type: 'integer'),
                        new OA\Property(property: 'from', ref: '#/components/schemas/Pair'),
                        new OA\Property(property: 'to', ref: '#/components/schemas/Pair'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $lines,
        #[
            OA\Property(description: 'the same in words', type: 'array', items: new OA\Items(type: 'string')),
        ]
        public array $order,
        #[
            OA\Property(
                description: 'what is left of one sheet and large enough to keep',
                type: 'array',
                items: new OA\Items(
                    required: ['width_mm', 'height_mm', 'size', 'count'],
                    properties: [
                        new OA\Property(property: 'width_mm', type: 'number'),
                        new OA\Property(property: 'height_mm', type: 'number'),
                        new OA\Property(property: 'size', type: 'string'),
                        new OA\Property(property: 'count', type: 'integer'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $offcuts,
        #[OA\Property(description: 'cuts made in all, alike pieces in stacks')] public int $strokes,
    ) {
    }
}
