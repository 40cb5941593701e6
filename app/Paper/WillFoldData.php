<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

/** Whether a model can be folded from a stock by a group, and why. */
#[OA\Schema(required: ['verdict', 'side_mm', 'stack_mm', 'narrowest_mm', 'reasons', 'notes'])]
final readonly class WillFoldData
{
    /**
     * @param  list<string>  $reasons
     * @param  list<string>  $notes
     */
    public function __construct(
        #[OA\Property(enum: ['fits', 'hard', 'no'])] public string $verdict,
        #[OA\Property] public float $side_mm,
        #[OA\Property(description: 'thickness of the thickest place')] public float $stack_mm,
        #[OA\Property] public ?float $narrowest_mm,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $reasons,
        #[
            OA\Property(
                description: 'no faults, but good to know: colour, print, light, grain',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $notes,
    ) {
    }
}
