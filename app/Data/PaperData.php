<?php

declare(strict_types=1);

namespace App\Data;

use OpenApi\Attributes as OA;

/** The answer to "what paper, how cut": squares for everybody from one stock. Lengths in mm. */
#[OA\Schema(required: ['stock', 'method', 'side_mm', 'largest_mm', 'by_diagonal', 'strip_mm', 'further_mm', 'per_sheet', 'squares', 'spares', 'spare_reason', 'sheets', 'short', 'drawing', 'finished_mm', 'steps', 'caution', 'problem', 'uncut', 'practice', 'pieces', 'patterns', 'optimal', 'choices', 'will_fold', 'prepare', 'list', 'largest_for_all_mm', 'squaring'])]
final readonly class PaperData
{
    /**
     * @param  list<float>  $further_mm
     * @param  list<array{x_mm: float, y_mm: float, side_mm: float}>  $drawing
     * @param  array{float, float}  $finished_mm
     * @param  list<string>  $steps
     * @param  list<array{title: string, side_mm: float, count: int}>  $pieces
     * @param  list<array{times: int, squares: list<array{x_mm: float, y_mm: float, side_mm: float}>}>  $patterns
     * @param  list<string>  $choices
     * @param  list<array{key: string, text: string, done: bool}>  $list
     * @param  list<array<string, mixed>>  $squaring
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/StockData')]
        public StockData $stock,
        #[OA\Property(enum: ['scissors', 'tear'])]
        public string $method,
        #[OA\Property]
        public float $side_mm,
        #[OA\Property(description: 'the largest square this stock gives')]
        public float $largest_mm,
        #[OA\Property(description: 'one square per sheet by folding a corner over')]
        public bool $by_diagonal,
        #[OA\Property]
        public float $strip_mm,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $further_mm,
        #[OA\Property]
        public int $per_sheet,
        #[OA\Property(description: 'wanted in all, spares included')]
        public int $squares,
        #[OA\Property]
        public int $spares,
        #[OA\Property]
        public string $spare_reason,
        #[OA\Property]
        public int $sheets,
        #[OA\Property(description: 'sheets missing in the cupboard')]
        public int $short,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['x_mm', 'y_mm', 'side_mm'], properties: [new OA\Property(property: 'x_mm', type: 'number'), new OA\Property(property: 'y_mm', type: 'number'), new OA\Property(property: 'side_mm', type: 'number')], type: 'object'))]
        public array $drawing,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'))]
        public array $finished_mm,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $steps,
        #[OA\Property]
        public string $caution,
        #[OA\Property(description: 'why there is no plan; null when there is one')]
        public ?string $problem,
        #[OA\Property(description: 'sheets are folded as they are')]
        public bool $uncut,
        #[OA\Property(description: 'sets for the lead, in the count')]
        public int $practice,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['title', 'side_mm', 'count'], properties: [new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'side_mm', type: 'number'), new OA\Property(property: 'count', type: 'integer')], type: 'object'))]
        public array $pieces,
        #[OA\Property(description: 'how to cut the sheets, most alike first', type: 'array', items: new OA\Items(required: ['times', 'squares'], properties: [new OA\Property(property: 'times', type: 'integer'), new OA\Property(property: 'squares', type: 'array', items: new OA\Items(required: ['x_mm', 'y_mm', 'side_mm'], properties: [new OA\Property(property: 'x_mm', type: 'number'), new OA\Property(property: 'y_mm', type: 'number'), new OA\Property(property: 'side_mm', type: 'number')], type: 'object'))], type: 'object'))]
        public array $patterns,
        #[OA\Property(description: 'proven that no plan takes less paper')]
        public bool $optimal,
        #[OA\Property(description: 'what would close a shortage', type: 'array', items: new OA\Items(type: 'string'))]
        public array $choices,
        #[OA\Property(ref: '#/components/schemas/WillFoldData')]
        public WillFoldData $will_fold,
        #[OA\Property(ref: '#/components/schemas/PrepareData')]
        public PrepareData $prepare,
        #[OA\Property(description: 'what has to be done before, in order', type: 'array', items: new OA\Items(required: ['key', 'text', 'done'], properties: [new OA\Property(property: 'key', type: 'string'), new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'done', type: 'boolean')], type: 'object'))]
        public array $list,
        #[OA\Property(description: 'the biggest square everybody can have from what is in the cupboard of this paper; null when there is not even that, or for uncut models')]
        public ?float $largest_for_all_mm,
        #[OA\Property(description: 'pictures of squaring by the diagonal fold; empty where squares are cut otherwise', type: 'array', items: new OA\Items(ref: '#/components/schemas/Scene'))]
        public array $squaring,
    ) {
    }
}
