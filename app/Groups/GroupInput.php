<?php

declare(strict_types=1);

namespace App\Groups;

use OpenApi\Attributes as OA;

// A group as it is sent; GroupRequest checks it.
#[
    OA\Schema(
        schema: 'GroupInput',
        required: ['name', 'age_band', 'helpers', 'learners'],
        properties: [
            new OA\Property(property: 'name', type: 'string'),
            new OA\Property(property: 'age_band', type: 'string'),
            new OA\Property(property: 'helpers', type: 'integer'),
            new OA\Property(
                property: 'table_size',
                description: 'learners at a table',
                type: 'integer',
                nullable: true,
            ),
            new OA\Property(
                property: 'learners',
                type: 'array',
                items: new OA\Items(
                    required: ['id', 'name'],
                    properties: [
                        new OA\Property(property: 'id', type: 'integer', nullable: true),
                        new OA\Property(property: 'name', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class GroupInput
{
}
