<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Groups\GroupData;
use App\Paper\PaperData;
use App\Teaching\FinishData;
use App\Teaching\MarkData;
use OpenApi\Attributes as OA;

/** A lesson with all its stages computed. */
#[
    OA\Schema(
        required: [
            'card',
            'group',
            'helpers',
            'stock_id',
            'wanted_side_mm',
            'method',
            'square_in_lesson',
            'models',
            'also_stock_ids',
            'prefer',
            'helpers_cut',
            'decorate',
            'materials',
            'paper',
            'plan',
            'marks',
            'finishes',
            'started_ms',
            'ended_ms',
            'bell_ms',
            'now_ms',
        ],
    ),
]
final readonly class LessonData
{
    /**
     * @param  list<LessonModelData>  $models
     * @param  list<int>  $also_stock_ids
     * @param  list<array{key: string, name: string, chosen: bool, caution: string, unfit: string|null}>  $materials
     * @param  list<MarkData>  $marks
     * @param  list<FinishData>  $finishes
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/LessonCard')] public LessonCard $card,
        #[OA\Property(ref: '#/components/schemas/GroupData')] public GroupData $group,
        #[OA\Property] public int $helpers,
        #[OA\Property] public ?int $stock_id,
        #[OA\Property(description: 'null: the largest the sheet gives')] public ?float $wanted_side_mm,
        #[OA\Property(enum: ['scissors', 'trimmer', 'tear'])] public string $method,
        #[OA\Property] public bool $square_in_lesson,
        #[
            OA\Property(
                description: 'in the order they are taught',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/LessonModelData'),
            ),
        ]
        public array $models,
        #[
            OA\Property(
                description: 'further paper beside stock_id',
                type: 'array',
                items: new OA\Items(type: 'integer'),
            ),
        ]
        public array $also_stock_ids,
        #[OA\Property(enum: ['least', 'fewest', 'scrap'])] public string $prefer,
        #[OA\Property] public bool $helpers_cut,
        #[OA\Property(enum: ['none', 'before', 'after'])] public string $decorate,
        #[
            OA\Property(
                description: 'things beside paper to choose from; unfit: not for this age band, and what to take '
                    .'instead',
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
            ),
        ]
        public array $materials,
        #[OA\Property(ref: '#/components/schemas/PaperData', nullable: true)] public ?PaperData $paper,
        #[OA\Property(ref: '#/components/schemas/PlanData')] public PlanData $plan,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/MarkData'))] public array $marks,
        #[
            OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/FinishData')),
        ]
        public array $finishes,
        #[OA\Property(description: 'milliseconds since 1970; null before teaching')] public ?int $started_ms,
        #[OA\Property] public ?int $ended_ms,
        #[OA\Property] public int $bell_ms,
        #[OA\Property(description: "the server's clock, for devices whose clock is wrong")] public int $now_ms,
    ) {
    }
}
