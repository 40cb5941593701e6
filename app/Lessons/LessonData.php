<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Groups\GroupData;
use App\Pacing\PlanData;
use App\Paper\PaperData;
use App\Teaching\LogData;
use App\Teaching\RecordData;
use App\Teaching\RulesData;
use OpenApi\Attributes as OA;

/** A lesson with all its stages computed. */
#[OA\Schema(required: ['card', 'group', 'setting', 'models', 'paper', 'plan', 'log', 'record', 'rules', 'clock'])]
final readonly class LessonData
{
    /** @param  list<LessonModelData>  $models */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/LessonCard')]
        public LessonCard $card,
        #[OA\Property(ref: '#/components/schemas/GroupData')]
        public GroupData $group,
        #[OA\Property(ref: '#/components/schemas/LessonSetting')]
        public LessonSetting $setting,
        #[OA\Property(
            description: 'in the order they are taught',
            type: 'array',
            items: new OA\Items(ref: '#/components/schemas/LessonModelData'),
        )]
        public array $models,
        #[OA\Property(ref: '#/components/schemas/PaperData', nullable: true)]
        public ?PaperData $paper,
        #[OA\Property(ref: '#/components/schemas/PlanData')]
        public PlanData $plan,
        #[OA\Property(ref: '#/components/schemas/LogData')]
        public LogData $log,
        #[OA\Property(ref: '#/components/schemas/RecordData')]
        public RecordData $record,
        #[OA\Property(ref: '#/components/schemas/TeachingRules')]
        public RulesData $rules,
        #[OA\Property(ref: '#/components/schemas/LessonClock')]
        public LessonClock $clock,
    ) {
    }
}
