<?php

declare(strict_types=1);

namespace App\Bin;

use OpenApi\Attributes as OA;

/** Something in the bin. */
#[OA\Schema(required: ['kind', 'id', 'title', 'holds', 'removed', 'until'])]
final readonly class BinEntry
{
    public function __construct(
        #[OA\Property(enum: ['lesson', 'group', 'learner', 'stock'])]
        public string $kind,
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'what would be erased with it, in words; empty when nothing would')]
        public string $holds,
        #[OA\Property(description: 'local date and time')]
        public string $removed,
        #[OA\Property(description: 'local date from which it is erased')]
        public string $until,
    ) {
    }
}
