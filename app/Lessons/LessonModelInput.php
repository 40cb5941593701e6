<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Support\Api\JsonShape;

// One model of a lesson as it is sent.
#[JsonShape('LessonModelInput', [
    'model' => 'string',
    'ways?' => '{string}',
    'side_mm?' => '?length',
    'times?' => 'integer',
    'own_times?' => '{integer}',
    'checkpoints?' => '{boolean}',
], [
    'ways' => 'the way taken, by route of the model; left out: the usual ones',
    'own_times' => 'seconds to fold a step, by its number in the model',
    'checkpoints' => 'put (true) or taken away, by the step of the model after which all wait',
    'times' => 'how often it is folded, 1 or 2',
    'side_mm' => 'wanted square; null: the largest the sheet gives',
])]
final class LessonModelInput
{
}
