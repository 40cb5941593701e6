<?php

declare(strict_types=1);

namespace App\Data;

use OpenApi\Attributes as OA;

/** A lesson with all its stages computed. */
#[OA\Schema(required: ['card', 'group', 'helpers', 'stock_id', 'wanted_side_mm', 'method', 'square_in_lesson', 'paper', 'plan', 'marks', 'finishes', 'started_ms', 'ended_ms', 'bell_ms', 'now_ms'])]
final readonly class LessonData
{
    /**
     * @param  list<MarkData>  $marks
     * @param  list<FinishData>  $finishes
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/LessonCard')]
        public LessonCard $card,
        #[OA\Property(ref: '#/components/schemas/GroupData')]
        public GroupData $group,
        #[OA\Property]
        public int $helpers,
        #[OA\Property]
        public ?int $stock_id,
        #[OA\Property(description: 'null: the largest the sheet gives')]
        public ?float $wanted_side_mm,
        #[OA\Property(enum: ['scissors', 'tear'])]
        public string $method,
        #[OA\Property]
        public bool $square_in_lesson,
        #[OA\Property(ref: '#/components/schemas/PaperData', nullable: true)]
        public ?PaperData $paper,
        #[OA\Property(ref: '#/components/schemas/PlanData')]
        public PlanData $plan,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/MarkData'))]
        public array $marks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/FinishData'))]
        public array $finishes,
        #[OA\Property(description: 'milliseconds since 1970; null before teaching')]
        public ?int $started_ms,
        #[OA\Property]
        public ?int $ended_ms,
        #[OA\Property]
        public int $bell_ms,
        #[OA\Property(description: "the server's clock, for devices whose clock is wrong")]
        public int $now_ms,
    ) {
    }
}
