<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['id', 'sheets', 'why', 'at', 'undone'])]
final readonly class StockChangeData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'added; negative: taken')]
        public int $sheets,
        #[OA\Property]
        public string $why,
        #[OA\Property(description: 'local date and time')]
        public string $at,
        #[OA\Property]
        public bool $undone,
    ) {
    }
}
