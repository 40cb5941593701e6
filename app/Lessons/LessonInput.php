<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Support\Api\JsonShape;

// A lesson as it is sent; LessonRequest checks it.
#[JsonShape('LessonInput', [
    'group_id' => 'integer',
    'models' => '#LessonModelInput[]',
    'starts_at' => 'string',
    'ends_at' => 'string',
    'helpers' => 'integer',
    'stock_ids' => 'integer[]',
    'method' => ['scissors', 'trimmer', 'tear'],
    'square_in_lesson' => 'boolean',
    'paper_ready' => 'boolean',
    'prefer?' => ['least', 'fewest', 'scrap'],
    'helpers_cut?' => 'boolean',
    'decorate?' => ['none', 'before', 'after'],
    'materials?' => '?string[]',
    'policies?' => '?{string}',
    'prepared?' => 'integer',
    'blocks?' => '?#BlocksInput',
    'version?' => 'integer',
], [
    'models' => 'in the order they are taught',
    'stock_ids' => 'paper, the first one first',
    'prefer' => 'what the cutting plan puts first',
    'materials' => 'keys; null: what the models ask for',
    'policies' => 'option by policy; null or left out of it: as usual',
    'prepared' => 'steps of the first model that are folded before the lesson',
    'blocks' => 'their order, and minutes where they are not as usual; null: all as usual',
    'version' => 'the one that was changed; another answers 409',
])]
final class LessonInput
{
}
