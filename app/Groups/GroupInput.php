<?php

declare(strict_types=1);

namespace App\Groups;

use App\Support\Api\JsonShape;

// A group as it is sent; GroupRequest checks it.
#[JsonShape('GroupInput', [
    'name' => 'string',
    'age_band' => 'string',
    'helpers' => 'integer',
    'table_size?' => '?integer',
    'learners' => ['[]' => ['id' => '?integer', 'name' => 'string']],
    'remove?' => 'integer[]',
    'version?' => 'integer',
], [
    'table_size' => 'learners at a table',
    'remove' => 'learners no longer listed, who shall go into the bin',
    'version' => 'the one that was changed; another answers 409',
])]
final class GroupInput
{
}
