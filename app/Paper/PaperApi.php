<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[
    OA\Post(
        path: '/api/cut-plan',
        operationId: 'cutPlan',
        description: 'Answers in lines of JSON while it works: {"share", "what"} and at last {"plan"}.',
        requestBody: new OA\RequestBody(
            content: new OA\JsonContent(
                required: ['stock', 'need', 'method', 'prefer'],
                properties: [
                    new OA\Property(
                        property: 'stock',
                        type: 'array',
                        items: new OA\Items(
                            required: ['id', 'count'],
                            properties: [
                                new OA\Property(property: 'id', type: 'integer'),
                                new OA\Property(
                                    property: 'count',
                                    description: 'null: plenty',
                                    type: 'integer',
                                    nullable: true,
                                ),
                            ],
                            type: 'object',
                        ),
                    ),
                    new OA\Property(
                        property: 'need',
                        type: 'array',
                        items: new OA\Items(
                            required: ['side_mm', 'count'],
                            properties: [
                                new OA\Property(
                                    property: 'side_mm',
                                    description: 'null, for a single size: the largest for so many',
                                    type: 'number',
                                    nullable: true,
                                ),
                                new OA\Property(property: 'count', type: 'integer'),
                            ],
                            type: 'object',
                        ),
                    ),
                    new OA\Property(property: 'method', type: 'string', enum: ['scissors', 'trimmer', 'tear']),
                    new OA\Property(property: 'prefer', type: 'string', enum: ['least', 'fewest', 'scrap']),
                ],
            ),
        ),
        responses: [
            new OA\Response(
                response: 200,
                description: 'lines; the last holds the plan',
                content: new OA\MediaType(
                    mediaType: 'application/x-ndjson',
                    schema: new OA\Schema(ref: '#/components/schemas/BenchPlanData'),
                ),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/lessons/{lesson}/kits',
        operationId: 'kits',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'what goes to each table and to each learner',
                content: new OA\JsonContent(
                    required: ['tables', 'kit', 'cautions'],
                    properties: [
                        new OA\Property(
                            property: 'tables',
                            type: 'array',
                            items: new OA\Items(
                                required: ['table', 'learners', 'items'],
                                properties: [
                                    new OA\Property(property: 'table', type: 'integer'),
                                    new OA\Property(
                                        property: 'learners',
                                        type: 'array',
                                        items: new OA\Items(
                                            required: ['name', 'seat'],
                                            properties: [
                                                new OA\Property(property: 'name', type: 'string'),
                                                new OA\Property(property: 'seat', type: 'integer', nullable: true),
                                            ],
                                            type: 'object',
                                        ),
                                    ),
                                    new OA\Property(
                                        property: 'items',
                                        type: 'array',
                                        items: new OA\Items(type: 'string'),
                                    ),
                                ],
                                type: 'object',
                            ),
                        ),
                        new OA\Property(
                            property: 'kit',
                            description: 'of one learner',
                            type: 'array',
                            items: new OA\Items(type: 'string'),
                        ),
                        new OA\Property(property: 'cautions', type: 'array', items: new OA\Items(type: 'string')),
                    ],
                ),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/paper-ahead',
        operationId: 'paperAhead',
        parameters: [
            new OA\Parameter(
                name: 'until',
                description: 'last day counted; left out: a quarter of a year',
                in: 'query',
                schema: new OA\Schema(type: 'string', format: 'date'),
            ),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'what the lessons ahead take together',
                content: new OA\JsonContent(ref: '#/components/schemas/PaperAheadData'),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/lessons/{lesson}/measures',
        operationId: 'measures',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'predicted empty: the model is flat',
                content: new OA\JsonContent(ref: '#/components/schemas/MeasureData'),
            ),
        ],
    ),
]
#[
    OA\Put(
        path: '/api/lessons/{lesson}/readings',
        operationId: 'read',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(
            content: new OA\JsonContent(
                required: ['learner', 'name', 'value', 'unit'],
                properties: [
                    new OA\Property(property: 'learner', type: 'integer'),
                    new OA\Property(property: 'name', type: 'string'),
                    new OA\Property(
                        property: 'value',
                        description: 'as read, "35" or "1 3/8 in"; empty takes it back',
                        type: 'string',
                    ),
                    new OA\Property(property: 'unit', type: 'string', enum: ['mm', 'cm', 'in']),
                ],
            ),
        ),
        responses: [new OA\Response(response: 204, description: 'kept')],
    ),
]
#[
    OA\Get(
        path: '/api/square-check',
        operationId: 'squareCheck',
        parameters: [
            new OA\Parameter(name: 'side', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'first', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'second', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'model', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'unit', in: 'query', schema: new OA\Schema(type: 'string')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'whether the square is true enough for the model, by its diagonals',
                content: new OA\JsonContent(
                    required: ['passes', 'text'],
                    properties: [
                        new OA\Property(property: 'passes', type: 'boolean'),
                        new OA\Property(property: 'text', type: 'string'),
                    ],
                ),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/display-string',
        operationId: 'displayString',
        parameters: [
            new OA\Parameter(name: 'model', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'side', in: 'query', required: true, schema: new OA\Schema(type: 'number')),
            new OA\Parameter(name: 'models', in: 'query', required: true, schema: new OA\Schema(type: 'integer')),
            new OA\Parameter(name: 'gap', in: 'query', required: true, schema: new OA\Schema(type: 'number')),
            new OA\Parameter(name: 'goal', in: 'query', required: true, schema: new OA\Schema(type: 'integer')),
            new OA\Parameter(name: 'per_lesson', in: 'query', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'a string of finished models: mm and g',
                content: new OA\JsonContent(
                    required: ['length_mm', 'drop_mm', 'beads', 'weight_g', 'lessons'],
                    properties: [
                        new OA\Property(property: 'length_mm', type: 'number'),
                        new OA\Property(property: 'drop_mm', type: 'number'),
                        new OA\Property(property: 'beads', type: 'integer'),
                        new OA\Property(property: 'weight_g', type: 'number'),
                        new OA\Property(property: 'lessons', type: 'integer', nullable: true),
                    ],
                ),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/stocks',
        operationId: 'stocks',
        responses: [
            new OA\Response(
                response: 200,
                description: 'by name',
                content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/StockData')),
            ),
        ],
    ),
]
#[
    OA\Post(
        path: '/api/stocks',
        operationId: 'makeStock',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/StockInput')),
        responses: [
            new OA\Response(
                response: 201,
                description: 'made',
                content: new OA\JsonContent(ref: '#/components/schemas/StockData'),
            ),
        ],
    ),
]
#[
    OA\Put(
        path: '/api/stocks/{stock}',
        operationId: 'changeStock',
        parameters: [
            new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/StockInput')),
        responses: [
            new OA\Response(
                response: 200,
                description: 'changed',
                content: new OA\JsonContent(ref: '#/components/schemas/StockData'),
            ),
        ],
    ),
]
#[
    OA\Delete(
        path: '/api/stocks/{stock}',
        operationId: 'removeStock',
        parameters: [
            new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [new OA\Response(response: 204, description: 'removed; lessons keep their records')],
    ),
]
#[
    OA\Get(
        path: '/api/stocks/{stock}/changes',
        operationId: 'stockChanges',
        parameters: [
            new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'newest first',
                content: new OA\JsonContent(
                    type: 'array',
                    items: new OA\Items(ref: '#/components/schemas/StockChangeData'),
                ),
            ),
        ],
    ),
]
#[
    OA\Post(
        path: '/api/stocks/{stock}/undo',
        operationId: 'undoStockChange',
        parameters: [
            new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'the latest change of its count is taken back',
                content: new OA\JsonContent(ref: '#/components/schemas/StockData'),
            ),
        ],
    ),
]
#[
    OA\Post(
        path: '/api/stocks/{stock}/offcuts',
        operationId: 'keepOffcuts',
        parameters: [
            new OA\Parameter(name: 'stock', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(
            content: new OA\JsonContent(
                required: ['count'],
                properties: [
                    new OA\Property(property: 'count', type: 'integer'),
                    new OA\Property(
                        property: 'width_mm',
                        description: 'of the offcut; left out: the strip of the diagonal fold',
                        type: 'number',
                    ),
                    new OA\Property(property: 'height_mm', type: 'number'),
                ],
            ),
        ),
        responses: [
            new OA\Response(
                response: 200,
                description: 'so many offcuts, as a stock of their own',
                content: new OA\JsonContent(ref: '#/components/schemas/StockData'),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/paper-needs',
        operationId: 'paperNeeds',
        responses: [
            new OA\Response(
                response: 200,
                description: 'what the lessons that are planned take together, by stock',
                content: new OA\JsonContent(
                    type: 'array',
                    items: new OA\Items(
                        required: ['stock', 'name', 'lessons', 'sheets', 'have', 'short'],
                        properties: [
                            new OA\Property(property: 'stock', type: 'integer'),
                            new OA\Property(property: 'name', type: 'string'),
                            new OA\Property(property: 'lessons', type: 'integer'),
                            new OA\Property(property: 'sheets', type: 'integer'),
                            new OA\Property(property: 'have', type: 'integer', nullable: true),
                            new OA\Property(property: 'short', type: 'integer'),
                        ],
                        type: 'object',
                    ),
                ),
            ),
        ],
    ),
]
final class PaperApi
{
}
