<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Pacing\PoliciesData;
use OpenApi\Attributes as OA;

/** How a lesson is set up, as its form sends it back. */
#[OA\Schema(required: [
    'helpers', 'stock_ids', 'method', 'square_in_lesson', 'prefer', 'helpers_cut', 'decorate', 'materials', 'policies',
    'version',
])]
final readonly class LessonSetting
{
    /**
     * @param  list<int>  $stock_ids
     * @param  list<array{key: string, name: string, chosen: bool, caution: string, unfit: string|null}>  $materials
     */
    public function __construct(
        #[OA\Property]
        public int $helpers,
        #[OA\Property(description: 'papers in their places', type: 'array', items: new OA\Items(type: 'integer'))]
        public array $stock_ids,
        #[OA\Property(enum: ['scissors', 'trimmer', 'tear'])]
        public string $method,
        #[OA\Property]
        public bool $square_in_lesson,
        #[OA\Property(enum: ['least', 'fewest', 'scrap'])]
        public string $prefer,
        #[OA\Property]
        public bool $helpers_cut,
        #[OA\Property(enum: ['none', 'before', 'after'])]
        public string $decorate,
        #[OA\Property(
            description: 'things beside paper to choose from; unfit: not for this age band, and what to take instead',
            type: 'array',
            items: new OA\Items(
                required: ['key', 'name', 'chosen', 'caution', 'unfit'],
                properties: [
                    new OA\Property(property: 'key', type: 'string'),
                    new OA\Property(property: 'name', type: 'string'),
                    new OA\Property(property: 'chosen', type: 'boolean'),
                    new OA\Property(property: 'caution', type: 'string'),
                    new OA\Property(property: 'unfit', type: 'string', nullable: true),
                ],
                type: 'object',
            ),
        )]
        public array $materials,
        #[OA\Property(ref: '#/components/schemas/PoliciesData')]
        public PoliciesData $policies,
        #[OA\Property(description: 'goes up with every change; send back the one that was changed')]
        public int $version,
    ) {
    }
}
