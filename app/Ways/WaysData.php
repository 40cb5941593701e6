<?php

declare(strict_types=1);

namespace App\Ways;

use App\Support\Api\JsonShape;
use App\Teaching\WayChangeData;

/** The passages of a model that can be taught another way, and what each way changes. */
#[
    JsonShape('WaysData', [
        'minutes' => '?integer',
        'passages' => ['[]' => [
            'name' => 'string',
            'question' => '?string',
            'alike' => 'boolean',
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
                'change' => '?#WayChange',
                'hard' => 'string[]',
                'picture' => '#Drawing',
            ]],
        ]],
    ], [
        'minutes' => 'the lesson takes the group, as chosen; null where no group is named',
        'alike' => 'all ways end in the same state, or in one that looks the same',
        'change' => 'what showing it in this lesson from now on does to the steps; null: it is shown, or no lesson',
        'first' => 'its steps, by the way chosen; last is one less when that way has none',
        'steps' => 'of it, and later ones that are taught with it only',
        'hard' => 'names of the hard moments in it',
        'picture' => 'of options that end differently the end, else the hardest moment, or what they begin with',
    ]),
]
final readonly class WaysData
{
    /**
     * @param  list<array{name: string, question: string|null, alike: bool, first: int, last: int,
     *     options: list<array{key: string, title: string, when: string|null, chosen: bool, usual: bool, steps: int,
     *     minutes: int|null, change: WayChangeData|null, hard: list<string>,
     *     picture: array<string, mixed>}>}>  $passages
     */
    public function __construct(public ?int $minutes, public array $passages)
    {
    }
}
