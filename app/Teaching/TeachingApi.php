<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Support\Api\Changes;
use App\Support\Api\Posts;
use App\Support\Api\Reads;

// What the HTTP API says of this room; docs/api/openapi.json is made from it (php artisan cathedra:openapi).
#[Reads('/lessons/{lesson}/events', 'events', 'what is new in the log', '#LogData', query: ['after?' => 'integer'])]
#[Posts(
    '/lessons/{lesson}/events',
    'addEvents',
    'kept, each once however often it is sent; with all that came after the number named',
    '#LogData',
    takes: ['after' => 'integer', 'events' => '#EventInput[]'],
)]
#[Reads('/lessons/{lesson}/faults', 'sightings', 'what the lead saw go wrong', [
    '[]' => ['model' => 'string', 'step' => 'integer', 'kind' => 'string'],
])]
#[Changes(
    '/lessons/{lesson}/faults',
    'tickFault',
    'kept',
    takes: ['model' => 'string', 'step' => 'integer', 'kind' => 'string', 'seen' => 'boolean'],
)]
final class TeachingApi
{
}
