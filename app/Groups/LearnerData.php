<?php

declare(strict_types=1);

namespace App\Groups;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['id', 'name', 'seat'])]
final readonly class LearnerData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public int $seat,
    ) {
    }
}
