<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

// A kind of paper as it is sent; StockRequest checks it.
#[
    OA\Schema(
        schema: 'StockInput',
        required: ['name', 'width_mm', 'height_mm', 'grammage', 'count'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'width_mm', type: 'number'),
            new OA\Property(property: 'height_mm', type: 'number'),
            new OA\Property(property: 'grammage', type: 'integer', nullable: true),
            new OA\Property(property: 'count', type: 'integer', nullable: true),
            new OA\Property(property: 'kind', type: 'string'),
            new OA\Property(property: 'sides', type: 'string'),
            new OA\Property(property: 'trim_mm', type: 'number'),
            new OA\Property(
                property: 'version',
                description: 'the one that was changed; another answers 409',
                type: 'integer',
            ),
            new OA\Property(property: 'price', type: 'number', nullable: true),
            new OA\Property(property: 'tags', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(property: 'scrap', type: 'boolean'),
        ],
    ),
]
final class StockInput
{
}
