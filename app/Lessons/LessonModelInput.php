<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Support\Api\Shape;

// One model of a lesson as it is sent.
#[Shape('LessonModelInput', [
    'model' => 'string',
    'ways?' => '{string}',
    'side_mm?' => '?number',
    'times?' => 'integer',
], [
    'ways' => 'the way taken, by route of the model; left out: the usual ones',
    'times' => 'how often it is folded, 1 or 2',
    'side_mm' => 'wanted square; null: the largest the sheet gives',
])]
final class LessonModelInput
{
}
