<?php

declare(strict_types=1);

namespace App\Lessons;

use OpenApi\Attributes as OA;

/** One model of a lesson; its steps are numbered through the lesson. */
#[OA\Schema(required: ['slug', 'title', 'ways', 'side_mm', 'first', 'steps', 'times', 'own_times', 'checkpoints'])]
final readonly class LessonModelData
{
    public function __construct(
        #[OA\Property] public string $slug,
        #[OA\Property] public string $title,
        #[
            OA\Property(
                description: 'the way taken, by route of the model',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
            ),
        ]
        public object $ways,
        #[OA\Property(description: 'wanted square; null: the largest the sheet gives')] public ?float $side_mm,
        #[OA\Property(description: 'number of its first step in the lesson')] public int $first,
        #[OA\Property] public int $steps,
        #[OA\Property(description: 'how often it is folded; the second time goes quicker')] public int $times,
        #[
            OA\Property(
                description: 'seconds to fold a step, by its number in the model, as the lead says',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'integer'),
            ),
        ]
        public object $own_times,
        #[
            OA\Property(
                description: 'checkpoints put (true) or taken away, by the step of the model after which all wait',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'boolean'),
            ),
        ]
        public object $checkpoints,
    ) {
    }
}
