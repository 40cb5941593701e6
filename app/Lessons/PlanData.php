<?php

declare(strict_types=1);

namespace App\Lessons;

use OpenApi\Attributes as OA;

/** The run sheet. Seconds from the start of the slot. */
#[OA\Schema(required: ['lines', 'why', 'needed_minutes', 'slot_minutes', 'spare_minutes', 'fits', 'source'])]
final readonly class PlanData
{
    /**
     * @param  list<array{kind: string, key: string, step: int|null, start: int, seconds: int}>  $lines
     * @param  list<array{step: int, show: int, base: int, factors: list<array{name: string, times: float}>,
     *     wait: int}>  $why
     */
    public function __construct(
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['kind', 'key', 'step', 'start', 'seconds'],
                    properties: [
                        new OA\Property(property: 'kind', type: 'string', enum: ['block', 'step', 'checkpoint']),
                        new OA\Property(property: 'key', type: 'string'),
                        new OA\Property(property: 'step', type: 'integer', nullable: true),
                        new OA\Property(property: 'start', type: 'integer'),
                        new OA\Property(property: 'seconds', type: 'integer'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $lines,
        #[
            OA\Property(
                description: 'why a step takes so long: show + base times every factor + wait, seconds',
                type: 'array',
                items: new OA\Items(
                    required: ['step', 'show', 'base', 'factors', 'wait'],
                    properties: [
                        new OA\Property(property: 'step', type: 'integer'),
                        new OA\Property(property: 'show', type: 'integer'),
                        new OA\Property(property: 'base', type: 'integer'),
                        new OA\Property(
                            property: 'factors',
                            type: 'array',
                            items: new OA\Items(
                                required: ['name', 'times'],
                                properties: [
                                    new OA\Property(property: 'name', type: 'string'),
                                    new OA\Property(property: 'times', type: 'number'),
                                ],
                                type: 'object',
                            ),
                        ),
                        new OA\Property(property: 'wait', type: 'integer'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $why,
        #[OA\Property] public int $needed_minutes,
        #[OA\Property] public int $slot_minutes,
        #[OA\Property(description: 'negative: too long by so many')] public int $spare_minutes,
        #[OA\Property] public bool $fits,
        #[OA\Property] public string $source,
    ) {
    }
}
