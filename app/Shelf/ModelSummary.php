<?php

declare(strict_types=1);

namespace App\Shelf;

use JsonSerializable;
use OpenApi\Attributes as OA;

/** What the shelf shows of a model: its facts and its picture. Lists of lessons read the facts alone. */
#[
    OA\Schema(
        schema: 'ModelSummary',
        allOf: [
            new OA\Schema(ref: '#/components/schemas/ModelFacts'),
            new OA\Schema(
                required: ['picture'],
                properties: [new OA\Property(property: 'picture', ref: '#/components/schemas/Drawing')],
                type: 'object',
            ),
        ],
    ),
]
final readonly class ModelSummary implements JsonSerializable
{
    /** @param  array{width: float, height: float, marks: list<array{style: string, path: string}>}  $picture */
    public function __construct(public ModelFacts $facts, public array $picture)
    {
    }

    /** @return array<string, mixed> one object for the reader */
    public function jsonSerialize(): array
    {
        return $this->facts->jsonSerialize() + ['picture' => $this->picture];
    }
}
