<?php

declare(strict_types=1);

namespace App\Lessons;

use OpenApi\Attributes as OA;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[
    OA\Get(
        path: '/api/home',
        operationId: 'home',
        responses: [
            new OA\Response(
                response: 200,
                description: 'what is next',
                content: new OA\JsonContent(ref: '#/components/schemas/HomeData'),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/lessons',
        operationId: 'lessons',
        parameters: [new OA\Parameter(name: 'page', in: 'query', schema: new OA\Schema(type: 'integer'))],
        responses: [
            new OA\Response(
                response: 200,
                description: 'newest first',
                content: new OA\JsonContent(
                    required: ['lessons', 'page', 'pages'],
                    properties: [
                        new OA\Property(
                            property: 'lessons',
                            type: 'array',
                            items: new OA\Items(ref: '#/components/schemas/LessonCard'),
                        ),
                        new OA\Property(property: 'page', type: 'integer'),
                        new OA\Property(property: 'pages', type: 'integer'),
                    ],
                ),
            ),
        ],
    ),
]
#[
    OA\Post(
        path: '/api/lessons',
        operationId: 'makeLesson',
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/LessonInput')),
        responses: [
            new OA\Response(
                response: 201,
                description: 'made',
                content: new OA\JsonContent(ref: '#/components/schemas/LessonData'),
            ),
        ],
    ),
]
#[
    OA\Get(
        path: '/api/lessons/{lesson}',
        operationId: 'lesson',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'with all stages',
                content: new OA\JsonContent(ref: '#/components/schemas/LessonData'),
            ),
        ],
    ),
]
#[
    OA\Put(
        path: '/api/lessons/{lesson}',
        operationId: 'changeLesson',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/LessonInput')),
        responses: [
            new OA\Response(
                response: 200,
                description: 'changed',
                content: new OA\JsonContent(ref: '#/components/schemas/LessonData'),
            ),
        ],
    ),
]
#[
    OA\Delete(
        path: '/api/lessons/{lesson}',
        operationId: 'removeLesson',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [new OA\Response(response: 204, description: 'removed')],
    ),
]
#[
    OA\Put(
        path: '/api/lessons/{lesson}/position',
        operationId: 'moveLesson',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(
            content: new OA\JsonContent(
                required: ['step'],
                properties: [
                    new OA\Property(
                        property: 'step',
                        description: '0 before the first step, one past the last when finished',
                        type: 'integer',
                    ),
                ],
            ),
        ),
        responses: [new OA\Response(response: 204, description: 'kept')],
    ),
]
#[
    OA\Put(
        path: '/api/lessons/{lesson}/ticks',
        operationId: 'tick',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(
            content: new OA\JsonContent(
                required: ['key', 'done'],
                properties: [
                    new OA\Property(property: 'key', type: 'string'),
                    new OA\Property(property: 'done', type: 'boolean'),
                ],
            ),
        ),
        responses: [new OA\Response(response: 204, description: 'kept')],
    ),
]
#[
    OA\Post(
        path: '/api/lessons/{lesson}/marks',
        operationId: 'mark',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/MarkData')),
        responses: [new OA\Response(response: 204, description: 'kept; sending it again changes nothing')],
    ),
]
#[
    OA\Delete(
        path: '/api/lessons/{lesson}/marks/{key}',
        operationId: 'unmark',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
            new OA\Parameter(name: 'key', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        ],
        responses: [new OA\Response(response: 204, description: 'taken back')],
    ),
]
#[
    OA\Post(
        path: '/api/lessons/{lesson}/close',
        operationId: 'closeLesson',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        responses: [
            new OA\Response(
                response: 200,
                description: 'ended; the taps became records',
                content: new OA\JsonContent(ref: '#/components/schemas/LessonData'),
            ),
        ],
    ),
]
#[
    OA\Put(
        path: '/api/lessons/{lesson}/finishes',
        operationId: 'finish',
        parameters: [
            new OA\Parameter(name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        ],
        requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/FinishData')),
        responses: [new OA\Response(response: 204, description: 'kept')],
    ),
]
final class LessonsApi
{
}
