<?php

declare(strict_types=1);

namespace App\Paper;

use OpenApi\Attributes as OA;

/** The answer to "what paper, how cut": all pieces of a lesson from its paper. Lengths in mm. */
#[
    OA\Schema(
        required: [
            'stock',
            'takes',
            'method',
            'models',
            'side_mm',
            'side',
            'diagonal',
            'largest',
            'by_diagonal',
            'strip_mm',
            'strip',
            'further',
            'spare_reason',
            'sheets',
            'short',
            'cost',
            'pieces',
            'patterns',
            'uncut',
            'optimal',
            'gap',
            'choices',
            'prepare',
            'list',
            'steps',
            'caution',
            'problem',
            'practice',
            'largest_for_all',
            'squaring',
        ],
    ),
]
final readonly class PaperData
{
    /**
     * @param  list<array{stock: int, name: string, sheets: int, have: int|null, short: int}>  $takes
     * @param  list<array{slug: string, title: string, side_mm: float, side: string, sets: int, spares: int,
     *     uncut: bool, finished: string, height: string|null, will_fold: WillFoldData}>  $models
     * @param  list<array{title: string, side_mm: float, side: string, count: int, uncut: bool}>  $pieces
     * @param  list<CutPatternData>  $patterns
     * @param  list<array{title: string, stock: string, width_mm: float, height_mm: float, size: string,
     *     sheets: int}>  $uncut
     * @param  list<string>  $choices
     * @param  list<array{key: string, text: string, done: bool}>  $list
     * @param  list<string>  $steps
     * @param  list<array<string, mixed>>  $squaring
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/StockData', description: 'the first paper')] public StockData $stock,
        #[
            OA\Property(
                description: 'sheets by paper',
                type: 'array',
                items: new OA\Items(
                    required: ['stock', 'name', 'sheets', 'have', 'short'],
                    properties: [
                        new OA\Property(property: 'stock', type: 'integer'),
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(property: 'sheets', type: 'integer'),
                        new OA\Property(property: 'have', type: 'integer', nullable: true),
                        new OA\Property(property: 'short', type: 'integer'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $takes,
        #[OA\Property(enum: ['scissors', 'trimmer', 'tear'])] public string $method,
        #[
            OA\Property(
                description: 'each model with the square it gets and the size it ends up with',
                type: 'array',
                items: new OA\Items(
                    required: [
                        'slug',
                        'title',
                        'side_mm',
                        'side',
                        'sets',
                        'spares',
                        'uncut',
                        'finished',
                        'height',
                        'will_fold',
                    ],
                    properties: [
                        new OA\Property(property: 'slug', type: 'string'),
                        new OA\Property(property: 'title', type: 'string'),
                        new OA\Property(property: 'side_mm', type: 'number'),
                        new OA\Property(property: 'side', type: 'string'),
                        new OA\Property(property: 'sets', type: 'integer'),
                        new OA\Property(property: 'spares', type: 'integer'),
                        new OA\Property(property: 'uncut', type: 'boolean'),
                        new OA\Property(property: 'finished', type: 'string'),
                        new OA\Property(
                            property: 'height',
                            description: 'null: it lies flat',
                            type: 'string',
                            nullable: true,
                        ),
                        new OA\Property(property: 'will_fold', ref: '#/components/schemas/WillFoldData'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $models,
        #[
            OA\Property(description: 'of the first model that is cut, or the shorter side of the uncut sheet'),
        ]
        public float $side_mm,
        #[OA\Property] public string $side,
        #[OA\Property(description: 'of that square, from corner to corner')] public string $diagonal,
        #[OA\Property(description: 'the largest square the first paper gives')] public string $largest,
        #[OA\Property(description: 'one square per sheet by folding a corner over')] public bool $by_diagonal,
        #[OA\Property] public float $strip_mm,
        #[OA\Property(description: 'what is cut off, its two sides')] public string $strip,
        #[OA\Property(description: 'further squares of the strip, one after the other')] public string $further,
        #[OA\Property] public string $spare_reason,
        #[OA\Property(description: 'of all paper together')] public int $sheets,
        #[OA\Property(description: 'sheets missing in the cupboard')] public int $short,
        #[OA\Property(description: 'of all sheets, where every price is known')] public ?float $cost,
        #[
            OA\Property(
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
        ]
        public array $pieces,
        #[
            OA\Property(
                description: 'how to cut the sheets, most alike first',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/CutPatternData'),
            ),
        ]
        public array $patterns,
        #[
            OA\Property(
                description: 'sheets that are folded as they are',
                type: 'array',
                items: new OA\Items(
                    required: ['title', 'stock', 'width_mm', 'height_mm', 'size', 'sheets'],
                    properties: [
                        new OA\Property(property: 'title', type: 'string'),
                        new OA\Property(property: 'stock', type: 'string'),
                        new OA\Property(property: 'width_mm', type: 'number'),
                        new OA\Property(property: 'height_mm', type: 'number'),
                        new OA\Property(property: 'size', type: 'string'),
                        new OA\Property(property: 'sheets', type: 'integer'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $uncut,
        #[OA\Property(description: 'proven to be the best by what is put first')] public bool $optimal,
        #[OA\Property(description: 'share of the area that a better plan might save; 0 when proven')] public float $gap,
        #[
            OA\Property(description: 'what would close a shortage', type: 'array', items: new OA\Items(type: 'string')),
        ]
        public array $choices,
        #[OA\Property(ref: '#/components/schemas/PrepareData')] public PrepareData $prepare,
        #[
            OA\Property(
                description: 'what has to be done before, in order',
                type: 'array',
                items: new OA\Items(
                    required: ['key', 'text', 'done'],
                    properties: [
                        new OA\Property(property: 'key', type: 'string'),
                        new OA\Property(property: 'text', type: 'string'),
                        new OA\Property(property: 'done', type: 'boolean'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $list,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property] public string $caution,
        #[OA\Property(description: 'why there is no plan; null when there is one')] public ?string $problem,
        #[OA\Property(description: 'sets for the lead, in the count')] public int $practice,
        #[
            OA\Property(
                description: 'the biggest square everybody can have from this paper; null when there is not even '
                    .'that, or for several sizes',
            ),
        ]
        public ?string $largest_for_all,
        #[
            OA\Property(
                description: 'pictures of squaring by the diagonal fold; empty where squares are cut otherwise',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/Drawing'),
            ),
        ]
        public array $squaring,
    ) {
    }
}
