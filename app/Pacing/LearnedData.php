<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

/** What taught lessons say of times, beside the estimates. */
#[
    JsonShape('LearnedData', [
        'marks' => 'integer',
        'before' => ['low' => 'number', 'high' => 'number'],
        'folds' => ['[]' => [
            'kind' => 'string', 'name' => 'string', 'estimate' => 'number', 'seconds' => 'number', 'low' => 'number',
            'high' => 'number', 'marks' => 'integer',
        ]],
        'groups' => ['[]' => [
            'id' => 'integer', 'name' => 'string', 'pace' => 'number', 'low' => 'number', 'high' => 'number',
            'marks' => 'integer',
        ]],
        'leads' => ['[]' => [
            'name' => 'string', 'showing' => 'number', 'low' => 'number', 'high' => 'number', 'steps' => 'integer',
        ]],
        'lessons' => ['[]' => [
            'id' => 'integer', 'title' => 'string', 'group' => 'string', 'starts_at' => 'string', 'marks' => 'integer',
            'odd' => 'boolean',
        ]],
    ], [
        'marks' => 'that were learned from',
        'before' => 'times an estimate, between which eight of ten truths lie before anything is seen',
        'estimate' => 'seconds of an adult beginner by the library',
        'seconds' => 'as learned; eight of ten truths lie between low and high',
        'pace' => 'of the group beside others of their age; above 1 slower',
        'showing' => 'how long the lead shows beside what is planned; above 1 longer',
        'steps' => 'at which the lead said that they were shown',
        'odd' => 'left out: nothing is learned from it',
    ]),
]
final readonly class LearnedData
{
    /**
     * @param  array{low: float, high: float}  $before
     * @param  list<array{kind: string, name: string, estimate: float, seconds: float, low: float, high: float,
     *     marks: int}>  $folds
     * @param  list<array{id: int, name: string, pace: float, low: float, high: float, marks: int}>  $groups
     * @param  list<array{name: string, showing: float, low: float, high: float, steps: int}>  $leads
     * @param  list<array{id: int, title: string, group: string, starts_at: string, marks: int, odd: bool}>  $lessons
     */
    public function __construct(
        public int $marks,
        public array $before,
        public array $folds,
        public array $groups,
        public array $leads,
        public array $lessons,
    ) {
    }
}
