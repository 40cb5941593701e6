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
        schema: 'Drawing',
        description: 'One picture: paths in a box whose longer side is 100 units, x right and y down, in the order of '
            .'painting. The styles are those of core/Diagram/styles.json.',
        required: ['width', 'height', 'marks'],
        properties: [
            new OA\Property(property: 'width', type: 'number'),
            new OA\Property(property: 'height', type: 'number'),
            new OA\Property(
                property: 'marks',
                type: 'array',
                items: new OA\Items(
                    required: ['style', 'path'],
                    properties: [
                        new OA\Property(property: 'style', type: 'string'),
                        new OA\Property(property: 'path', description: 'SVG path data', type: 'string'),
                        new OA\Property(property: 'at', ref: '#/components/schemas/Pair'),
                        new OA\Property(property: 'text', description: 'written there', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
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
