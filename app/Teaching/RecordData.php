<?php

declare(strict_types=1);

namespace App\Teaching;

use OpenApi\Attributes as OA;

/** What a lesson's log says of everybody. */
#[OA\Schema(required: ['finishes', 'offers', 'late'])]
final readonly class RecordData
{
    /**
     * @param  list<FinishData>  $finishes
     * @param  list<FinishData>  $offers
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/FinishData'))]
        public array $finishes,
        #[OA\Property(
            description: 'what the record would be with the marks that came after the end',
            type: 'array',
            items: new OA\Items(ref: '#/components/schemas/FinishData'),
        )]
        public array $offers,
        #[OA\Property(description: 'marks that came after the end')]
        public int $late,
    ) {
    }
}
