<?php

declare(strict_types=1);

namespace App\Shelf;

use OpenApi\Attributes as OA;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[
    OA\Get(
        path: '/api/models',
        operationId: 'models',
        responses: [
            new OA\Response(
                response: 200,
                description: 'easiest first',
                content: new OA\JsonContent(
                    type: 'array',
                    items: new OA\Items(ref: '#/components/schemas/ModelSummary'),
                ),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/models/{model}',
        operationId: 'model',
        parameters: [
            new OA\Parameter(ref: '#/components/parameters/ModelName'),
            new OA\Parameter(ref: '#/components/parameters/Ways'),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'with all steps',
                content: new OA\JsonContent(ref: '#/components/schemas/ModelData'),
            ),
        ],
    ),
]
#[
    OA\Post(
        path: '/api/patterns',
        operationId: 'foldPattern',
        requestBody: new OA\RequestBody(
            content: new OA\JsonContent(
                required: ['document'],
                properties: [
                    new OA\Property(
                        property: 'document',
                        description: 'the text of a FOLD file with a crease pattern',
                        type: 'string',
                    ),
                ],
            ),
        ),
        responses: [
            new OA\Response(
                response: 200,
                description: 'folded and checked; nothing is kept',
                content: new OA\JsonContent(ref: '#/components/schemas/PatternData'),
            ),
        ],
    ),
]
final class ShelfApi
{
}
