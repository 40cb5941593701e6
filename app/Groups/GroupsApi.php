<?php

declare(strict_types=1);

namespace App\Groups;

use OpenApi\Attributes as OA;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[
    OA\Get(
        path: '/api/groups',
        operationId: 'groups',
        responses: [
            new OA\Response(
                response: 200,
                description: 'by name',
                content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/GroupData')),
            ),
        ],
    ),
]
#[
    OA\Post(
        path: '/api/groups',
        operationId: 'makeGroup',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/GroupInput')),
        responses: [
            new OA\Response(
                response: 201,
                description: 'made',
                content: new OA\JsonContent(ref: '#/components/schemas/GroupData'),
            ),
        ],
    ),
]
#[
    OA\Put(
        path: '/api/groups/{group}',
        operationId: 'changeGroup',
        parameters: [
            new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/GroupInput')),
        responses: [
            new OA\Response(
                response: 200,
                description: 'changed',
                content: new OA\JsonContent(ref: '#/components/schemas/GroupData'),
            ),
        ],
    ),
]
#[
    OA\Delete(
        path: '/api/groups/{group}',
        operationId: 'eraseGroup',
        parameters: [
            new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [new OA\Response(response: 204, description: 'erased with its learners, lessons and records')],
    ),
]
#[
    OA\Get(
        path: '/api/groups/{group}/times',
        operationId: 'times',
        parameters: [
            new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'minutes a lesson with each model takes this group, paper squared before',
                content: new OA\JsonContent(
                    type: 'array',
                    items: new OA\Items(
                        required: ['slug', 'minutes'],
                        properties: [
                            new OA\Property(property: 'slug', type: 'string'),
                            new OA\Property(property: 'minutes', type: 'integer'),
                        ],
                        type: 'object',
                    ),
                ),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/groups/{group}/paper',
        operationId: 'paperTable',
        parameters: [
            new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'each model against each stock: can this group fold it?',
                content: new OA\JsonContent(
                    type: 'array',
                    items: new OA\Items(
                        required: ['model', 'stock', 'verdict'],
                        properties: [
                            new OA\Property(property: 'model', type: 'string'),
                            new OA\Property(property: 'stock', type: 'integer'),
                            new OA\Property(property: 'verdict', ref: '#/components/schemas/WillFoldData'),
                        ],
                        type: 'object',
                    ),
                ),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/groups/{group}/wall',
        operationId: 'wall',
        parameters: [
            new OA\Parameter(name: 'group', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'learners x models',
                content: new OA\JsonContent(ref: '#/components/schemas/WallData'),
            ),
        ],
    ),
]
final class GroupsApi
{
}
