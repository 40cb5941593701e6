<?php

declare(strict_types=1);

namespace App\Teaching;

use Cathedra\Core\Lesson\EventKind;
use OpenApi\Attributes as OA;

// What can happen in a lesson, as the API names it.
#[OA\Schema(schema: 'EventKind', type: 'string', enum: EventKind::class)]
final class EventKinds
{
}
