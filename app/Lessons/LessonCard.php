<?php

declare(strict_types=1);

namespace App\Lessons;

use OpenApi\Attributes as OA;

/** A lesson in one line, with the figure of each of its stages. */
#[
    OA\Schema(
        required: [
            'id',
            'model',
            'model_title',
            'group_id',
            'group',
            'learners',
            'starts_at',
            'minutes',
            'needed_minutes',
            'fits',
            'status',
            'step',
            'steps',
            'paper_ready',
            'paper_short',
            'sheets',
            'finished',
            'here',
        ],
    ),
]
final readonly class LessonCard
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'library name of its first model')] public string $model,
        #[OA\Property] public string $model_title,
        #[OA\Property] public int $group_id,
        #[OA\Property] public string $group,
        #[OA\Property] public int $learners,
        #[OA\Property(description: 'local date and time, 2026-11-24T16:00')] public string $starts_at,
        #[OA\Property] public int $minutes,
        #[OA\Property] public int $needed_minutes,
        #[OA\Property] public bool $fits,
        #[OA\Property(enum: ['planned', 'teaching', 'taught'])] public string $status,
        #[OA\Property] public int $step,
        #[OA\Property] public int $steps,
        #[OA\Property] public bool $paper_ready,
        #[
            OA\Property(description: 'sheets missing; 0 when there is enough; null when no paper is chosen'),
        ]
        public ?int $paper_short,
        #[OA\Property(description: 'sheets to take; null when no paper is chosen')] public ?int $sheets,
        #[OA\Property(description: 'learners who finished, alone or with help')] public int $finished,
        #[OA\Property(description: 'learners who were not away the whole time')] public int $here,
    ) {
    }
}
