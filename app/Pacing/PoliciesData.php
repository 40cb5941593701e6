<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

/** How a lesson is taught, apart from its folds. */
#[
    JsonShape('PoliciesData', [
        'list' => ['[]' => [
            'key' => 'string',
            'title' => 'string',
            'chosen' => 'string',
            'usual' => 'string',
            'options' => ['[]' => ['key' => 'string', 'title' => 'string', 'why' => 'string']],
        ]],
        'prepared' => 'integer',
        'most_prepared' => 'integer',
        'says' => 'string[]',
        'creases_there' => 'integer[]',
        'against' => ['[]' => ['text' => 'string', 'ways' => ['[]' => ['title' => 'string', 'change' => [
            'policies?' => '{string}', 'square_in_lesson?' => 'boolean', 'prepared?' => 'integer',
            'method?' => ['scissors', 'trimmer', 'tear'],
        ]]]]],
    ], [
        'prepared' => 'steps of the first model that are folded before the lesson',
        'says' => 'to the room before the first step, of what is not as usual',
        'creases_there' => 'steps whose creases were made with the square and count',
        'against' => 'what contradicts itself, each with changes that would do',
        'usual' => 'where nobody says otherwise: of this lead, else of this place',
    ]),
]
final readonly class PoliciesData
{
    /**
     * @param  list<array{key: string, title: string, chosen: string, usual: string,
     *     options: list<array{key: string, title: string, why: string}>}>  $list
     * @param  list<string>  $says
     * @param  list<int>  $creases_there
     * @param  list<array{text: string, ways: list<array{title: string, change: array<string, mixed>}>}>  $against
     */
    public function __construct(
        public array $list,
        public int $prepared,
        public int $most_prepared,
        public array $says,
        public array $creases_there,
        public array $against,
    ) {
    }
}
