<?php

declare(strict_types=1);

namespace App\Shelf;

use OpenApi\Attributes as OA;

// What names a model in an address.
#[
    OA\Parameter(
        parameter: 'ModelName',
        name: 'model',
        in: 'path',
        required: true,
        schema: new OA\Schema(type: 'string'),
    ),
]
#[
    OA\Parameter(
        parameter: 'Ways',
        name: 'ways',
        description: 'the way taken, by route',
        in: 'query',
        style: 'deepObject',
        explode: true,
        schema: new OA\Schema(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
    ),
]
final class ModelParameters
{
}
