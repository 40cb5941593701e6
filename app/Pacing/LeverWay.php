<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

/** Another way of a passage of a lesson, as something that would help. */
#[JsonShape('LeverWay', [
    'model' => 'string', 'passage' => 'string', 'option' => 'string', 'was' => 'string', 'question' => 'string',
    'title' => 'string', 'first' => 'integer',
], [
    'was' => 'the option that is taught now',
    'title' => 'of the option',
    'first' => 'step of the model at which the passage begins',
])]
final readonly class LeverWay
{
    public function __construct(
        public string $model,
        public string $passage,
        public string $option,
        public string $was,
        public string $question,
        public string $title,
        public int $first,
    ) {
    }
}
