<?php

declare(strict_types=1);

namespace App\Teaching;

use OpenApi\Attributes as OA;

/** The thresholds a stage goes by; the browser has none of its own. */
#[OA\Schema(schema: 'TeachingRules', required: ['enough', 'long_wait_seconds'])]
final readonly class RulesData
{
    /** @param  list<int>  $enough */
    public function __construct(
        #[OA\Property(
            description: 'how many must be done before the next step is shown, by learners in the room, from 0',
            type: 'array',
            items: new OA\Items(type: 'integer'),
        )]
        public array $enough,
        #[OA\Property(description: 'a wait for help that is worth saying')]
        public int $long_wait_seconds,
    ) {
    }
}
