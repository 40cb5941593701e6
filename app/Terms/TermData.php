<?php

declare(strict_types=1);

namespace App\Terms;

use App\Support\Api\JsonShape;

/** A row of lessons that could be made: when, which model, and why that one. */
#[
    JsonShape('TermData', ['lessons' => ['[]' => [
        'starts_at' => 'string',
        'model' => '?string',
        'title' => 'string',
        'why' => 'string',
        'minutes' => '?integer',
        'chosen' => 'boolean',
    ]]], [
        'model' => 'null: nothing is left on the shelf that fits',
        'minutes' => 'of a lesson with it, enough in nine of ten such rooms',
        'chosen' => 'by the lead, not by what was folded before',
    ]),
]
final readonly class TermData
{
    /**
     * @param  list<array{starts_at: string, model: string|null, title: string, why: string, minutes: int|null,
     *     chosen: bool}>  $lessons
     */
    public function __construct(public array $lessons)
    {
    }
}
