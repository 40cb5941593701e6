<?php

declare(strict_types=1);

namespace App\Lessons;

use OpenApi\Attributes as OA;

// A lesson as it is sent; LessonRequest checks it.
#[
    OA\Schema(
        schema: 'LessonInput',
        required: [
            'group_id',
            'model',
            'starts_at',
            'ends_at',
            'helpers',
            'stock_id',
            'side_mm',
            'method',
            'square_in_lesson',
            'paper_ready',
        ],
        properties: [
            new OA\Property(property: 'group_id', type: 'integer'),
            new OA\Property(property: 'model', type: 'string'),
            new OA\Property(
                property: 'ways',
                description: 'the way taken, by route of the model; left out: the usual ones',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
            ),
            new OA\Property(property: 'starts_at', type: 'string'),
            new OA\Property(property: 'ends_at', type: 'string'),
            new OA\Property(property: 'helpers', type: 'integer'),
            new OA\Property(property: 'stock_id', type: 'integer', nullable: true),
            new OA\Property(property: 'side_mm', type: 'number', nullable: true),
            new OA\Property(property: 'method', type: 'string', enum: ['scissors', 'trimmer', 'tear']),
            new OA\Property(property: 'square_in_lesson', type: 'boolean'),
            new OA\Property(property: 'paper_ready', type: 'boolean'),
            new OA\Property(
                property: 'further',
                description: 'models after the first; left out: as it was',
                type: 'array',
                items: new OA\Items(
                    required: ['model'],
                    properties: [
                        new OA\Property(property: 'model', type: 'string'),
                        new OA\Property(
                            property: 'ways',
                            type: 'object',
                            additionalProperties: new OA\AdditionalProperties(type: 'string'),
                        ),
                        new OA\Property(property: 'side_mm', type: 'number', nullable: true),
                    ],
                    type: 'object',
                ),
            ),
            new OA\Property(
                property: 'also_stock_ids',
                description: 'paper beside the first; left out: as it was',
                type: 'array',
                items: new OA\Items(type: 'integer'),
            ),
            new OA\Property(
                property: 'prefer',
                description: 'what the cutting plan puts first',
                type: 'string',
                enum: ['least', 'fewest', 'scrap'],
            ),
            new OA\Property(property: 'helpers_cut', type: 'boolean'),
            new OA\Property(property: 'decorate', type: 'string', enum: ['none', 'before', 'after']),
            new OA\Property(
                property: 'materials',
                description: 'keys; null: what the models ask for',
                type: 'array',
                nullable: true,
                items: new OA\Items(type: 'string'),
            ),
        ],
    ),
]
final class LessonInput
{
}
