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
            'options' => ['[]' => ['key' => 'string', 'title' => 'string', 'why' => 'string']],
        ]],
        'prepared' => 'integer',
        'most_prepared' => 'integer',
        'says' => 'string[]',
        'creases_there' => 'integer[]',
        'against' => '?string',
    ], [
        'prepared' => 'steps of the first model that are folded before the lesson',
        'says' => 'to the room before the first step, of what is not as usual',
        'creases_there' => 'steps whose creases were made with the square and count',
        'against' => 'what of the lesson cuts although that is not wanted, and what would do',
    ]),
]
final readonly class PoliciesData
{
    /**
     * @param  list<array{key: string, title: string, chosen: string,
     *     options: list<array{key: string, title: string, why: string}>}>  $list
     * @param  list<string>  $says
     * @param  list<int>  $creases_there
     */
    public function __construct(
        public array $list,
        public int $prepared,
        public int $most_prepared,
        public array $says,
        public array $creases_there,
        public ?string $against,
    ) {
    }
}
