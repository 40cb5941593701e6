<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

/** A lesson rehearsed many times, and what would help it. */
#[
    JsonShape('ForecastData', [
        'runs' => 'integer',
        'learners' => 'integer',
        'now' => '#OutlookData',
        'levers' => ['[]' => [
            'name' => [
                'helper', 'squares', 'decorate', 'prepared', 'guides', 'forgiving', 'twice', 'cards', 'together',
                'wait', 'split', 'way', 'easier', 'larger', 'paper',
            ],
            'minutes' => 'number',
            'share' => 'number',
            'steps' => '?integer',
            'way' => '?#LeverWay',
            'model' => ['slug' => 'string', 'title' => 'string', 'folds' => 'string'],
            'paper' => ['stock' => '?integer', 'title' => 'string', 'mm' => '?number'],
            'then' => '#OutlookData',
        ]],
        'source' => 'string',
    ], [
        'levers' => 'what would help, most useful first: minutes sooner, and more of the learners done',
        'steps' => 'folded before the lesson, for a prepared start; folded in it, where the rest is split off',
        'paper' => 'larger squares of the same paper, or another paper; empty for other levers',
        'way' => 'another way of a passage',
        'model' => 'an easier one, and the folds it teaches too; empty for other levers',
    ]),
]
final readonly class ForecastData
{
    /**
     * @param  list<array{name: string, minutes: float, share: float, steps: int|null, way: LeverWay|null,
     *     model: array{slug: string, title: string, folds: string},
     *     paper: array{stock: int|null, title: string, mm: float|null}, then: OutlookData}>  $levers
     */
    public function __construct(
        public int $runs,
        public int $learners,
        public OutlookData $now,
        public array $levers,
        public string $source,
    ) {
    }
}
