<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

/** Work before the lesson. */
#[OA\Schema(required: ['minutes', 'people', 'start_by'])]
final readonly class PrepareData
{
    public function __construct(
        #[OA\Property] public int $minutes,
        #[OA\Property] public int $people,
        #[
            OA\Property(
                description: 'local date and time by which to begin; null when the paper is ready or made square in '
                    .'the lesson',
            ),
        ]
        public ?string $start_by,
    ) {
    }
}
