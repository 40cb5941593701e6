<?php

declare(strict_types=1);

namespace App\Teaching;

use OpenApi\Attributes as OA;

// A deed as a device sends it; EventRequest and the core's Event check it.
#[OA\Schema(
    schema: 'EventInput',
    required: ['key', 'kind', 'device', 'device_ms', 'after'],
    properties: [
        new OA\Property(property: 'key', description: 'a UUID made by the device', type: 'string', format: 'uuid'),
        new OA\Property(property: 'kind', ref: '#/components/schemas/EventKind'),
        new OA\Property(property: 'device', description: 'made by the device once', type: 'string'),
        new OA\Property(property: 'device_ms', description: "the device's clock", type: 'integer'),
        new OA\Property(property: 'after', description: 'the newest number the device knew', type: 'integer'),
        new OA\Property(property: 'learner', type: 'integer', nullable: true),
        new OA\Property(
            property: 'learners',
            description: 'of table-done',
            type: 'array',
            items: new OA\Items(type: 'integer'),
            nullable: true,
        ),
        new OA\Property(property: 'step', type: 'integer', nullable: true),
        new OA\Property(property: 'cancels', type: 'string', format: 'uuid', nullable: true),
        new OA\Property(property: 'correction', ref: '#/components/schemas/Correction', nullable: true),
        new OA\Property(property: 'way', ref: '#/components/schemas/WayChange', nullable: true),
        new OA\Property(
            property: 'marks',
            description: 'of a start',
            type: 'string',
            enum: ['exception', 'close'],
            nullable: true,
        ),
        new OA\Property(property: 'text', type: 'string', nullable: true),
    ],
)]
final class EventInput
{
}
