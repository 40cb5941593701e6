<?php

declare(strict_types=1);

namespace App\Groups;

use OpenApi\Attributes as OA;

/** The wall chart: learners x models, the best end each learner reached. */
#[OA\Schema(required: ['group', 'models', 'cells', 'finished'])]
final readonly class WallData
{
    /**
     * @param  list<array{slug: string, title: string}>  $models
     * @param  list<array{learner: int, model: string, outcome: string, step: int|null, seen: bool}>  $cells
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/GroupData')] public GroupData $group,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['slug', 'title'],
                    properties: [
                        new OA\Property(property: 'slug', type: 'string'),
                        new OA\Property(property: 'title', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $models,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['learner', 'model', 'outcome', 'step', 'seen'],
                    properties: [
                        new OA\Property(property: 'learner', type: 'integer'),
                        new OA\Property(property: 'model', type: 'string'),
                        new OA\Property(
                            property: 'outcome',
                            type: 'string',
                            enum: ['alone', 'help', 'stopped', 'away'],
                        ),
                        new OA\Property(property: 'step', type: 'integer', nullable: true),
                        new OA\Property(
                            property: 'seen',
                            type: 'boolean',
                            description: 'false: it is presumed, since nothing else was said',
                        ),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $cells,
        #[OA\Property(description: 'models finished by anybody of the group, alone or with help')] public int $finished,
    ) {
    }
}
