<?php

declare(strict_types=1);

namespace App\Data;

use OpenApi\Attributes as OA;

/** One step: what to do, what must be true afterwards, and the pictures before (with the fold drawn in) and after. */
#[OA\Schema(required: ['number', 'name', 'sentence', 'note', 'checks', 'before', 'after', 'layers', 'checkpoint', 'resting'])]
final readonly class StepData
{
    /**
     * @param  list<string>  $checks
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     */
    public function __construct(
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $sentence,
        #[OA\Property]
        public ?string $note,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $checks,
        #[OA\Property(ref: '#/components/schemas/Scene', type: 'object')]
        public array $before,
        #[OA\Property(ref: '#/components/schemas/Scene', type: 'object')]
        public array $after,
        #[OA\Property]
        public int $layers,
        #[OA\Property]
        public bool $checkpoint,
        #[OA\Property]
        public bool $resting,
    ) {
    }
}
