<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

/** A cutting plan for any squares from any paper of the cupboard. Lengths in mm. */
#[
    OA\Schema(
        required: [
            'title',
            'patterns',
            'feasible',
            'unmet',
            'sheets',
            'cost',
            'optimal',
            'gap',
            'minutes',
            'steps',
            'caution',
            'waste',
        ],
    ),
]
final readonly class BenchPlanData
{
    /**
     * @param  list<CutPatternData>  $patterns
     * @param  list<string>  $unmet
     * @param  list<string>  $steps
     */
    public function __construct(
        #[OA\Property(description: 'the answer in one sentence')] public string $title,
        #[
            OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/CutPatternData')),
        ]
        public array $patterns,
        #[OA\Property] public bool $feasible,
        #[
            OA\Property(
                description: 'what this paper cannot give, in words',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $unmet,
        #[OA\Property] public int $sheets,
        #[OA\Property(description: 'where every price is known')] public ?float $cost,
        #[OA\Property(description: 'proven to be the best by what is put first')] public bool $optimal,
        #[OA\Property(description: 'share of the area that a better plan might save; 0 when proven')] public float $gap,
        #[OA\Property(description: 'for one person')] public int $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property] public string $caution,
        #[OA\Property(description: 'share of the paper that is in no square')] public float $waste,
    ) {
    }
}
