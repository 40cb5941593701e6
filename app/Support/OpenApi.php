<?php

declare(strict_types=1);

namespace App\Support;

use OpenApi\Attributes as OA;

// The parts of the API document that belong to no class of their own: the picture format and the error shape.
#[
    OA\Info(
        version: '1',
        title: 'Cathedra',
        description: 'Same-origin JSON API. Cookies carry the session; every change carries the X-XSRF-TOKEN header. '
            .'Lengths are mm, dates local without a zone.',
    ),
]
#[OA\Schema(schema: 'Pair', type: 'array', items: new OA\Items(type: 'number'), minItems: 2, maxItems: 2)]
#[
    OA\Schema(
        schema: 'SceneItem',
        required: ['type'],
        properties: [
            new OA\Property(property: 'type', type: 'string', enum: ['face', 'line']),
            new OA\Property(
                property: 'face',
                required: ['points', 'side', 'moving', 'depth'],
                properties: [
                    new OA\Property(
                        property: 'points',
                        type: 'array',
                        items: new OA\Items(ref: '#/components/schemas/Pair'),
                    ),
                    new OA\Property(property: 'side', type: 'string', enum: ['front', 'back']),
                    new OA\Property(property: 'moving', type: 'boolean'),
                    new OA\Property(property: 'depth', type: 'integer'),
                ],
                type: 'object',
            ),
            new OA\Property(
                property: 'line',
                required: ['kind', 'from', 'to'],
                properties: [
                    new OA\Property(property: 'kind', type: 'string', enum: ['raw', 'folded', 'crease']),
                    new OA\Property(property: 'from', ref: '#/components/schemas/Pair'),
                    new OA\Property(property: 'to', ref: '#/components/schemas/Pair'),
                ],
                type: 'object',
            ),
        ],
        type: 'object',
    ),
]
#[
    OA\Schema(
        schema: 'Scene',
        description: 'One picture, mm of the folded plane, x right and y up.',
        required: ['frame', 'items', 'folds', 'arrows', 'dots', 'signs'],
        properties: [
            new OA\Property(
                property: 'frame',
                description: 'left, bottom, width, height',
                type: 'array',
                items: new OA\Items(type: 'number'),
            ),
            new OA\Property(
                property: 'items',
                description: 'in paint order',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/SceneItem'),
            ),
            new OA\Property(
                property: 'folds',
                type: 'array',
                items: new OA\Items(
                    required: ['kind', 'from', 'to'],
                    properties: [
                        new OA\Property(property: 'kind', type: 'string', enum: ['valley', 'mountain', 'cut']),
                        new OA\Property(property: 'from', ref: '#/components/schemas/Pair'),
                        new OA\Property(property: 'to', ref: '#/components/schemas/Pair'),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(
                property: 'arrows',
                type: 'array',
                items: new OA\Items(
                    required: ['kind', 'from', 'bend', 'to'],
                    properties: [
                        new OA\Property(
                            property: 'kind',
                            type: 'string',
                            enum: ['fold', 'fold-unfold', 'behind', 'push', 'open', 'pull'],
                        ),
                        new OA\Property(property: 'from', ref: '#/components/schemas/Pair'),
                        new OA\Property(property: 'bend', ref: '#/components/schemas/Pair'),
                        new OA\Property(property: 'to', ref: '#/components/schemas/Pair'),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(property: 'dots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Pair')),
            new OA\Property(property: 'signs', type: 'array', items: new OA\Items(type: 'string')),
        ],
        type: 'object',
    ),
]
#[
    OA\Schema(
        schema: 'Problem',
        required: ['message', 'errors'],
        properties: [
            new OA\Property(property: 'message', type: 'string'),
            new OA\Property(
                property: 'errors',
                type: 'array',
                items: new OA\Items(
                    required: ['pointer', 'message'],
                    properties: [
                        new OA\Property(
                            property: 'pointer',
                            description: 'JSON pointer into the request',
                            type: 'string',
                        ),
                        new OA\Property(property: 'message', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ],
        type: 'object',
    ),
]
final class OpenApi
{
}
