<?php

declare(strict_types=1);

namespace App\Groups;

use OpenApi\Attributes as OA;

#[OA\Schema(required: [
    'id', 'name', 'age_band', 'age_label', 'oldest', 'helpers', 'table_size', 'learners', 'version',
])]
final readonly class GroupData
{
    /** @param  list<LearnerData>  $learners */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $age_band,
        #[OA\Property]
        public string $age_label,
        #[OA\Property(description: 'years; models are for them that are advised from that age or younger; null: all')]
        public ?int $oldest,
        #[OA\Property]
        public int $helpers,
        #[OA\Property(description: 'learners at a table')]
        public int $table_size,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/LearnerData'))]
        public array $learners,
        #[OA\Property(description: 'goes up with every change; send back the one that was changed')]
        public int $version,
    ) {
    }
}
