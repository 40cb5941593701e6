<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Support\Api\JsonShape;

/** What may have gone wrong at a step, beside the right one. */
#[
    JsonShape('FaultData', [
        'kind' => 'string',
        'title' => 'string',
        'see' => '?string',
        'mend' => 'string',
        'then' => 'string',
        'drawing' => '#Drawing',
        'behind' => 'boolean',
        'score' => 'number',
        'seen' => 'integer',
    ], [
        'see' => 'what is to be seen of the right one, and not of this one',
        'then' => 'whether the next folds can be done with it all the same; empty where that is not known',
        'seen' => 'how often leads of this place saw a mistake of this kind',
        'behind' => 'the picture shows it turned over: from the front it looks right',
    ]),
]
final readonly class FaultData
{
    /** @param  array<string, mixed>  $drawing */
    public function __construct(
        public string $kind,
        public string $title,
        public ?string $see,
        public string $mend,
        public string $then,
        public array $drawing,
        public bool $behind,
        public float $score,
        public int $seen = 0,
    ) {
    }

    /** With what leads saw. */
    public function weighed(float $factor, int $seen): self
    {
        return new self(
            kind: $this->kind,
            title: $this->title,
            see: $this->see,
            mend: $this->mend,
            then: $this->then,
            drawing: $this->drawing,
            behind: $this->behind,
            score: round($this->score * $factor, 3),
            seen: $seen,
        );
    }
}
