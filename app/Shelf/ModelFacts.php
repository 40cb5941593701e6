<?php

declare(strict_types=1);

namespace App\Shelf;

use Cathedra\Core\Sequence\Form\Solid;
use Cathedra\Core\Sequence\Sequence;
use JsonSerializable;
use OpenApi\Attributes as OA;

/** A model as the shelf lists it. Sizes are per mm of the sheet's shorter side. */
#[
    OA\Schema(
        required: [
            'slug',
            'title',
            'about',
            'difficulty',
            'age_from',
            'steps',
            'folds',
            'kinds',
            'most_layers',
            'width_per_side',
            'height_per_side',
            'measures',
            'solid',
            'ratio',
            'sheets',
            'parts',
            'narrowest_per_side',
            'scissors',
            'level',
            'hard',
            'does',
            'occasions',
            'contrast',
            'side_up',
            'opened',
        ],
    ),
]
final readonly class ModelFacts implements JsonSerializable
{
    /**
     * @param  list<string>  $folds
     * @param  list<string>  $kinds
     * @param  array<string, float>  $measures
     * @param  list<array{title: string, scale: float, ratio: float}>  $parts
     * @param  list<int>  $hard
     * @param  list<string>  $does
     * @param  list<string>  $occasions
     */
    public function __construct(
        #[OA\Property] public string $slug,
        #[OA\Property] public string $title,
        #[OA\Property] public string $about,
        #[OA\Property(description: 'advice, 1 to 5')] public int $difficulty,
        #[OA\Property] public int $age_from,
        #[OA\Property] public int $steps,
        #[
            OA\Property(
                description: 'names of the folds it teaches',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $folds,
        #[
            OA\Property(
                description: 'the same, as the sequence format writes them',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $kinds,
        #[OA\Property] public int $most_layers,
        #[OA\Property] public float $width_per_side,
        #[OA\Property] public float $height_per_side,
        #[
            OA\Property(
                description: 'of the form that is not flat: width, depth, height per side, volume per cube of the '
                    .'side; empty for flat models',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'number'),
            ),
        ]
        public array $measures,
        #[OA\Property(description: 'the body that it is, from which its volume follows', enum: Solid::class)]
        public ?string $solid,
        #[OA\Property(description: 'sheet height over width, 1 for a square')] public float $ratio,
        #[OA\Property(description: 'pieces of paper for one model')] public int $sheets,
        #[
            OA\Property(
                description: 'further pieces of paper; scale: shorter side over that of the main sheet',
                type: 'array',
                items: new OA\Items(
                    required: ['title', 'scale', 'ratio'],
                    properties: [
                        new OA\Property(property: 'title', type: 'string'),
                        new OA\Property(property: 'scale', type: 'number'),
                        new OA\Property(property: 'ratio', type: 'number'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $parts,
        #[
            OA\Property(description: 'width of the narrowest point in any step, over the shorter side'),
        ]
        public ?float $narrowest_per_side,
        #[OA\Property] public bool $scissors,
        #[OA\Property(description: 'computed: level of the hardest step, 1 to 5')] public int $level,
        #[
            OA\Property(
                description: 'computed: numbers of the hard moments',
                type: 'array',
                items: new OA\Items(type: 'integer'),
            ),
        ]
        public array $hard,
        #[
            OA\Property(
                description: 'what it can do when finished',
                type: 'array',
                items: new OA\Items(
                    type: 'string',
                    enum: Sequence::DOES,
                ),
            ),
        ]
        public array $does,
        #[
            OA\Property(
                description: 'what it is folded for, or goes with',
                type: 'array',
                items: new OA\Items(type: 'string', enum: Sequence::OCCASIONS),
            ),
        ]
        public array $occasions,
        #[
            OA\Property(
                description: 'computed: share of the finished model, seen from above or below, that shows the less '
                    .'seen side of the paper',
            ),
        ]
        public float $contrast,
        #[
            OA\Property(description: 'side of the sheet that is up at the start', enum: ['front', 'back']),
        ]
        public string $side_up,
        #[
            OA\Property(description: 'of a model whose picture is flat and that is opened at the end: what it is then'),
        ]
        public ?string $opened,
    ) {
    }

    /** @return array<string, mixed> measures are an object, also where there are none */
    public function jsonSerialize(): array
    {
        return ['measures' => (object) $this->measures] + get_object_vars($this);
    }
}
