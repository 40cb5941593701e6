<?php

declare(strict_types=1);

namespace App\Home;

use App\Lessons\LessonCard;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['next', 'coming', 'taught', 'unfinished'])]
final readonly class HomeData
{
    /**
     * @param  list<LessonCard>  $coming
     * @param  list<LessonCard>  $taught
     * @param  list<array{group: string, group_id: int, model_title: string, names: list<string>}>  $unfinished
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/LessonCard', nullable: true)] public ?LessonCard $next,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/LessonCard'))] public array $coming,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/LessonCard'))] public array $taught,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['group', 'group_id', 'model_title', 'names'],
                    properties: [
                        new OA\Property(property: 'group', type: 'string'),
                        new OA\Property(property: 'group_id', type: 'integer'),
                        new OA\Property(property: 'model_title', type: 'string'),
                        new OA\Property(property: 'names', type: 'array', items: new OA\Items(type: 'string')),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $unfinished,
    ) {
    }
}
