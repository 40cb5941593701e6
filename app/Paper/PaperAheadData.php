<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

/** What the lessons ahead take together, and where it runs out. */
#[OA\Schema(required: ['until', 'stocks', 'lessons', 'unplanned', 'cost', 'together'])]
final readonly class PaperAheadData
{
    /**
     * @param  list<array{stock: int, name: string, lessons: int, sheets: int, have: int|null, short: int,
     *     cost: float|null, buy: float|null, runs_out: int|null, together: int|null}>  $stocks
     * @param  list<array{id: int, title: string, group: string, starts_at: string, takes: list<array{stock: int,
     *     name: string, sheets: int, left: int|null}>, pieces: list<array{title: string, side_mm: float, side: string,
     *     count: int, uncut: bool}>, problem: bool}>  $lessons
     */
    public function __construct(
        #[OA\Property(description: 'last day counted')] public string $until,
        #[
            OA\Property(
                description: 'buy: cost of what is missing; runs_out: the lesson at which it does; together: sheets '
                    .'if all lessons that take only this paper were cut for at once',
                type: 'array',
                items: new OA\Items(
                    required: [
                        'stock',
                        'name',
                        'lessons',
                        'sheets',
                        'have',
                        'short',
                        'cost',
                        'buy',
                        'runs_out',
                        'together',
                    ],
                    properties: [
                        new OA\Property(property: 'stock', type: 'integer'),
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(property: 'lessons', type: 'integer'),
                        new OA\Property(property: 'sheets', type: 'integer'),
                        new OA\Property(property: 'have', type: 'integer', nullable: true),
                        new OA\Property(property: 'short', type: 'integer'),
                        new OA\Property(property: 'cost', type: 'number', nullable: true),
                        new OA\Property(property: 'buy', type: 'number', nullable: true),
                        new OA\Property(property: 'runs_out', type: 'integer', nullable: true),
                        new OA\Property(property: 'together', type: 'integer', nullable: true),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $stocks,
        #[
            OA\Property(
                description: 'in the order they are held; left: sheets in the cupboard after it, below 0 when missing',
                type: 'array',
                items: new OA\Items(
                    required: ['id', 'title', 'group', 'starts_at', 'takes', 'pieces', 'problem'],
                    properties: [
                        new OA\Property(property: 'id', type: 'integer'),
                        new OA\Property(property: 'title', type: 'string'),
                        new OA\Property(property: 'group', type: 'string'),
                        new OA\Property(property: 'starts_at', type: 'string'),
                        new OA\Property(
                            property: 'takes',
                            type: 'array',
                            items: new OA\Items(
                                required: ['stock', 'name', 'sheets', 'left'],
                                properties: [
                                    new OA\Property(property: 'stock', type: 'integer'),
                                    new OA\Property(property: 'name', type: 'string'),
                                    new OA\Property(property: 'sheets', type: 'integer'),
                                    new OA\Property(property: 'left', type: 'integer', nullable: true),
                                ],
                                type: 'object',
                            ),
                        ),
                        new OA\Property(
                            property: 'pieces',
                            type: 'array',
                            items: new OA\Items(
                                required: ['title', 'side_mm', 'side', 'count', 'uncut'],
                                properties: [
                                    new OA\Property(property: 'title', type: 'string'),
                                    new OA\Property(property: 'side_mm', type: 'number'),
                                    new OA\Property(property: 'side', type: 'string'),
                                    new OA\Property(property: 'count', type: 'integer'),
                                    new OA\Property(property: 'uncut', type: 'boolean'),
                                ],
                                type: 'object',
                            ),
                        ),
                        new OA\Property(
                            property: 'problem',
                            description: 'its squares are larger than its paper',
                            type: 'boolean',
                        ),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $lessons,
        #[OA\Property(description: 'lessons without paper')] public int $unplanned,
        #[OA\Property(description: 'of all sheets, where every price is known')] public ?float $cost,
        #[OA\Property(description: 'sheets saved by cutting for all lessons at once')] public int $together,
    ) {
    }
}
