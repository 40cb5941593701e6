<?php

declare(strict_types=1);

namespace App\Accounts;

use Cathedra\Core\Rules\PaperKind;
use Cathedra\Core\Rules\PaperSides;
use Cathedra\Core\Rules\Unit;
use Cathedra\Core\Wording\Directions;
use Cathedra\Core\Wording\FoldNames;
use OpenApi\Attributes as OA;

/** Who is signed in, and the lists every screen needs. */
#[
    OA\Schema(
        required: [
            'id',
            'organisation_id',
            'name',
            'organisation',
            'unit',
            'directions',
            'fold_names',
            'letters',
            'formats',
            'age_bands',
            'bounds',
            'units',
            'paper_kinds',
            'paper_sides',
            'ways',
        ],
    ),
]
final readonly class AccountData
{
    /**
     * @param  list<array{key: string, name: string, width: float, height: float, grammage: int, kind: string,
     *     sides: string, source: string}>  $formats
     * @param  list<array{key: string, label: string}>  $age_bands
     * @param  array<string, array{least: float, most: float}>  $bounds
     * @param  list<string>  $units
     * @param  list<string>  $paper_kinds
     * @param  list<string>  $paper_sides
     * @param  list<array{model: string, ways: array<string, string>}>  $ways
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $organisation_id,
        #[OA\Property] public string $name,
        #[OA\Property] public string $organisation,
        #[OA\Property(description: 'in which lengths are read', enum: Unit::class)] public string $unit,
        #[
            OA\Property(description: 'as the folder sees them, or as on a wall', enum: Directions::class),
        ]
        public string $directions,
        #[OA\Property(description: 'how folds are called', enum: FoldNames::class)] public string $fold_names,
        #[OA\Property(description: 'whether places have letters in picture and sentence')] public bool $letters,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['key', 'name', 'width', 'height', 'grammage', 'kind', 'sides', 'source'],
                    properties: [
                        new OA\Property(property: 'key', type: 'string'),
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(property: 'width', type: 'number'),
                        new OA\Property(property: 'height', type: 'number'),
                        new OA\Property(property: 'grammage', type: 'integer'),
                        new OA\Property(property: 'kind', type: 'string'),
                        new OA\Property(property: 'sides', type: 'string'),
                        new OA\Property(property: 'source', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $formats,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(
                    required: ['key', 'label'],
                    properties: [
                        new OA\Property(property: 'key', type: 'string'),
                        new OA\Property(property: 'label', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $age_bands,
        #[
            OA\Property(
                type: 'object',
                description: 'how small and how large what a form asks for may be, by field; of texts their signs, of '
                    .'lists their entries',
                additionalProperties: new OA\AdditionalProperties(
                    required: ['least', 'most'],
                    properties: [
                        new OA\Property(property: 'least', type: 'number'),
                        new OA\Property(property: 'most', type: 'number'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $bounds,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: Unit::class))] public array $units,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: PaperKind::class)),
        ]
        public array $paper_kinds,
        #[
            OA\Property(type: 'array', items: new OA\Items(type: 'string', enum: PaperSides::class)),
        ]
        public array $paper_sides,
        #[
            OA\Property(
                description: 'how this lead teaches usually: the option by passage, for each model that was kept',
                type: 'array',
                items: new OA\Items(
                    required: ['model', 'ways'],
                    properties: [
                        new OA\Property(property: 'model', type: 'string'),
                        new OA\Property(
                            property: 'ways',
                            type: 'object',
                            additionalProperties: new OA\AdditionalProperties(type: 'string'),
                        ),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $ways,
    ) {
    }
}
