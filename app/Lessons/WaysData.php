<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Support\Api\Shape;

/** The passages of a model that can be taught another way, and what each way changes. */
#[
    Shape('WaysData', [
        'minutes' => '?integer',
        'passages' => ['[]' => [
            'name' => 'string',
            'question' => '?string',
            'first' => 'integer',
            'last' => 'integer',
            'options' => ['[]' => [
                'key' => 'string',
                'title' => 'string',
                'when' => '?string',
                'chosen' => 'boolean',
                'usual' => 'boolean',
                'steps' => 'integer',
                'minutes' => '?integer',
                'hard' => 'string[]',
                'picture' => '#Drawing',
            ]],
        ]],
    ], [
        'minutes' => 'the lesson takes the group, as chosen; null where no group is named',
        'question' => 'of a choice, whose options may end differently; null: all ways end alike',
        'first' => 'its steps, by the way chosen; last is one less when that way has none',
        'hard' => 'names of the hard moments in it',
        'picture' => 'of options that end differently the end, else the hardest moment',
    ]),
]
final readonly class WaysData
{
    /**
     * @param  list<array{name: string, question: string|null, first: int, last: int, options: list<array{key: string,
     *     title: string, when: string|null, chosen: bool, usual: bool, steps: int, minutes: int|null,
     *     hard: list<string>, picture: array<string, mixed>}>}>  $passages
     */
    public function __construct(public ?int $minutes, public array $passages)
    {
    }
}
