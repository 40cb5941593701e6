<?php

declare(strict_types=1);

namespace App\Shelf;

use OpenApi\Attributes as OA;

/** One step: what to do, what must be true afterwards, what makes it hard, and its pictures. */
#[
    OA\Schema(
        required: [
            'number',
            'kind',
            'name',
            'sentence',
            'motions',
            'because',
            'stop',
            'warn_ahead',
            'cautions',
            'note',
            'part',
            'look',
            'before',
            'halfway',
            'close_up',
            'after',
            'layers',
            'checkpoint',
            'resting',
            'level',
            'hard',
            'reasons',
            'narrowest_per_side',
            'front_above',
            'front_below',
            'moved',
            'raw',
        ],
    ),
]
final readonly class StepData
{
    /**
     * @param  list<string>  $motions
     * @param  list<string>  $cautions
     * @param  list<string>  $look
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>|null  $halfway
     * @param  array<string, mixed>|null  $close_up
     * @param  array<string, mixed>  $after
     * @param  list<string>  $reasons
     * @param  list<string>  $raw
     */
    public function __construct(
        #[OA\Property] public int $number,
        #[OA\Property(description: 'as the sequence format writes it')] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property] public string $sentence,
        #[
            OA\Property(
                description: 'the same, motion by motion',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $motions,
        #[OA\Property(description: 'where a beginner would ask why')] public ?string $because,
        #[OA\Property(description: 'where the motion ends')] public ?string $stop,
        #[OA\Property(description: 'that the next step is a hard moment')] public ?string $warn_ahead,
        #[
            OA\Property(description: 'that belong to this step', type: 'array', items: new OA\Items(type: 'string')),
        ]
        public array $cautions,
        #[OA\Property] public ?string $note,
        #[
            OA\Property(description: 'title of the further piece of paper it belongs to; null: the main one'),
        ]
        public ?string $part,
        #[
            OA\Property(
                description: 'what is seen from the chair when it is done, at most three things',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $look,
        #[
            OA\Property(description: 'with the fold drawn in', ref: '#/components/schemas/Drawing', type: 'object'),
        ]
        public array $before,
        #[
            OA\Property(
                description: 'a fold of several creases in its middle; null until its motion has been worked out',
                ref: '#/components/schemas/Drawing',
                type: 'object',
                nullable: true,
            ),
        ]
        public ?array $halfway,
        #[
            OA\Property(
                description: 'the place of the action, when it is small',
                ref: '#/components/schemas/Drawing',
                type: 'object',
                nullable: true,
            ),
        ]
        public ?array $close_up,
        #[OA\Property(ref: '#/components/schemas/Drawing', type: 'object')] public array $after,
        #[OA\Property] public int $layers,
        #[OA\Property] public bool $checkpoint,
        #[OA\Property] public bool $resting,
        #[OA\Property(description: 'computed, 1 to 5')] public int $level,
        #[OA\Property(description: 'whether it is one of the hard moments of the model')] public bool $hard,
        #[
            OA\Property(
                description: 'why it is hard, and what helps',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $reasons,
        #[
            OA\Property(description: 'width of the narrowest point after it, over the shorter side'),
        ]
        public ?float $narrowest_per_side,
        #[
            OA\Property(description: 'share of the silhouette that shows the coloured side after it'),
        ]
        public float $front_above,
        #[OA\Property(description: 'the same, seen from the table')] public float $front_below,
        #[OA\Property(description: 'area that moves, layers counted, over that of the sheet')] public float $moved,
        #[
            OA\Property(
                description: 'a fold of several creases in its raw form: every crease it bends, in mm on a sheet with '
                    .'a shorter side of 150',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $raw,
    ) {
    }

    /** @param  array<string, mixed>|null  $drawing  of the moment half-way */
    public function withHalf(?array $drawing): self
    {
        return new self(...['halfway' => $drawing] + get_object_vars($this));
    }
}
