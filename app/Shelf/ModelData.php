<?php

declare(strict_types=1);

namespace App\Shelf;

use OpenApi\Attributes as OA;

/** A model with all its steps, by the ways that were chosen. */
#[
    OA\Schema(
        required: [
            'summary',
            'side_up',
            'cautions',
            'talk',
            'decorate',
            'display',
            'play',
            'passages',
            'needs',
            'steps',
            'end_checks',
            'pattern',
        ],
    ),
]
final readonly class ModelData
{
    /**
     * @param  list<string>  $cautions
     * @param  list<string>  $talk
     * @param  list<string>  $decorate
     * @param  list<string>  $display
     * @param  list<string>  $play
     * @param  list<array{name: string, question: string|null, alike: bool, chosen: string, first: int, last: int,
     *     steps: list<int>, options: list<array{key: string, title: string, when: string|null}>}>  $passages
     * @param  list<array{kind: string, name: string}>  $needs
     * @param  list<StepData>  $steps
     * @param  list<string>  $end_checks
     * @param  array<string, mixed>  $pattern
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/ModelSummary')] public ModelSummary $summary,
        #[OA\Property(enum: ['front', 'back'])] public string $side_up,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $talk,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $decorate,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $display,
        #[
            OA\Property(
                description: 'how it is used when it is finished, by the ways taken',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $play,
        #[
            OA\Property(
                description: 'stretches that can be taught in several ways',
                type: 'array',
                items: new OA\Items(
                    required: ['name', 'question', 'alike', 'chosen', 'first', 'last', 'steps', 'options'],
                    properties: [
                        new OA\Property(property: 'name', type: 'string'),
                        new OA\Property(
                            property: 'question',
                            type: 'string',
                            nullable: true,
                        ),
                        new OA\Property(
                            property: 'alike',
                            description: 'all ways end in the same state; options of a choice may not',
                            type: 'boolean',
                        ),
                        new OA\Property(property: 'chosen', type: 'string'),
                        new OA\Property(
                            property: 'first',
                            description: 'its steps, by the chosen way',
                            type: 'integer',
                        ),
                        new OA\Property(property: 'last', type: 'integer'),
                        new OA\Property(
                            property: 'steps',
                            description: 'its steps, and later ones that hold for the chosen way only',
                            type: 'array',
                            items: new OA\Items(type: 'integer'),
                        ),
                        new OA\Property(
                            property: 'options',
                            type: 'array',
                            items: new OA\Items(
                                required: ['key', 'title', 'when'],
                                properties: [
                                    new OA\Property(property: 'key', type: 'string'),
                                    new OA\Property(property: 'title', type: 'string'),
                                    new OA\Property(
                                        property: 'when',
                                        description: 'for whom, and why; of choices',
                                        type: 'string',
                                        nullable: true,
                                    ),
                                ],
                                type: 'object',
                            ),
                        ),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $passages,
        #[
            OA\Property(
                description: 'folds its folds build on and that it does not teach first',
                type: 'array',
                items: new OA\Items(
                    required: ['kind', 'name'],
                    properties: [
                        new OA\Property(property: 'kind', type: 'string'),
                        new OA\Property(property: 'name', type: 'string'),
                    ],
                    type: 'object',
                ),
            ),
        ]
        public array $needs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/StepData'))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $end_checks,
        #[
            OA\Property(
                description: 'the unfolded sheet with its creases',
                ref: '#/components/schemas/Drawing',
                type: 'object',
            ),
        ]
        public array $pattern,
    ) {
    }

    /** @param  array<int, array<string, mixed>>  $halves  drawings of moments half-way, by number of the step */
    public function withHalves(array $halves): self
    {
        return $halves === [] ? $this : new self(...['steps' => array_map(
            static fn (StepData $step): StepData => $step->withHalf($halves[$step->number] ?? null),
            $this->steps,
        )] + get_object_vars($this));
    }
}
