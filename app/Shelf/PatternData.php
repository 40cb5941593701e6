<?php

declare(strict_types=1);

namespace App\Shelf;

use OpenApi\Attributes as OA;

/** A crease pattern somebody brought, folded and checked. mm. */
#[
    OA\Schema(
        required: [
            'title',
            'faces',
            'most_layers',
            'sheet',
            'size',
            'pattern',
            'front',
            'behind',
            'checks',
            'document',
        ],
    ),
]
final readonly class PatternData
{
    /**
     * @param  array{float, float}  $sheet
     * @param  array{float, float}  $size
     * @param  array<string, mixed>  $pattern
     * @param  array<string, mixed>  $front
     * @param  array<string, mixed>  $behind
     * @param  list<string>  $checks
     */
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property] public int $faces,
        #[OA\Property] public int $most_layers,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))] public array $sheet,
        #[OA\Property(description: 'folded', type: 'array', items: new OA\Items(type: 'number'))] public array $size,
        #[OA\Property(ref: '#/components/schemas/Drawing', type: 'object')] public array $pattern,
        #[
            OA\Property(description: 'folded, as it lies', ref: '#/components/schemas/Drawing', type: 'object'),
        ]
        public array $front,
        #[
            OA\Property(description: 'folded, turned over', ref: '#/components/schemas/Drawing', type: 'object'),
        ]
        public array $behind,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $checks,
        #[OA\Property(description: 'the same as a FOLD document with the folded frame')] public string $document,
    ) {
    }
}
