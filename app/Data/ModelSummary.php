<?php

declare(strict_types=1);

namespace App\Data;

use OpenApi\Attributes as OA;

/** A model as the shelf lists it. Sizes are per mm of the square's side. */
#[OA\Schema(required: ['slug', 'title', 'about', 'difficulty', 'age_from', 'steps', 'folds', 'most_layers', 'width_per_side', 'height_per_side', 'picture'])]
final readonly class ModelSummary
{
    /**
     * @param  list<string>  $folds
     * @param  array<string, mixed>  $picture
     */
    public function __construct(
        #[OA\Property]
        public string $slug,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $about,
        #[OA\Property]
        public int $difficulty,
        #[OA\Property]
        public int $age_from,
        #[OA\Property]
        public int $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $folds,
        #[OA\Property]
        public int $most_layers,
        #[OA\Property]
        public float $width_per_side,
        #[OA\Property]
        public float $height_per_side,
        #[OA\Property(ref: '#/components/schemas/Scene', type: 'object')]
        public array $picture,
    ) {
    }
}
