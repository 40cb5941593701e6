<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

// The blocks of a lesson as they are sent; core/Pacing/Timeline says which there are.
#[JsonShape('BlocksInput', ['order' => 'string[]', 'minutes' => '{integer}'], [
    'order' => 'every block once',
    'minutes' => 'by block, where they are not as usual',
])]
final class BlocksInput
{
}
