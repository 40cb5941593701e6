<?php

declare(strict_types=1);

namespace App\Shelf;

use OpenApi\Attributes as OA;

// How the way taken is said in an address: ?ways[route]=way.
#[OA\Parameter(
    parameter: 'Ways',
    name: 'ways',
    description: 'the way taken, by route',
    in: 'query',
    style: 'deepObject',
    explode: true,
    schema: new OA\Schema(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
)]
final class ModelParameters
{
}
