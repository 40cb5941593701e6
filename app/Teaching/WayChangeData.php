<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Support\Api\JsonShape;
use Cathedra\Core\Lesson\WayChange;
use JsonSerializable;

/** A change of way while teaching, as devices read and send it. */
#[
    JsonShape('WayChange', [
        'model' => 'string',
        'passage' => 'string',
        'from' => 'string',
        'option' => 'string',
        'begins' => 'integer',
        'spans' => ['[]' => ['first' => 'integer', 'was' => 'integer', 'now' => 'integer']],
    ], [
        'from' => 'the option shown until now',
        'option' => 'the option shown from now on',
        'begins' => "number of the model's first step in the lesson",
        'spans' => 'ascending: from step first on, by the count until now, so many steps give way to so many',
    ]),
]
final readonly class WayChangeData implements JsonSerializable
{
    public function __construct(private WayChange $way)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return $this->way->toArray();
    }
}
