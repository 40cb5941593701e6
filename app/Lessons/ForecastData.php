<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Support\Api\Shape;

/** A lesson rehearsed many times. Seconds and minutes from the beginning of the slot. */
#[
    Shape('ForecastData', [
        'runs' => 'integer',
        'learners' => 'integer',
        'finish' => ['early' => 'integer', 'middle' => 'integer', 'late' => 'integer'],
        'share' => 'number',
        'everybody' => 'number',
        'wave' => ['[]' => ['t' => 'integer', 'slowest' => 'integer', 'middle' => 'integer', 'fastest' => 'integer']],
        'holds' => ['[]' => ['step' => 'integer', 'minutes' => 'number', 'from' => 'integer', 'to' => 'integer']],
        'levers' => ['[]' => [
            'name' => ['helper', 'squares', 'decorate', 'prepared', 'forgiving'],
            'minutes' => 'number',
            'share' => 'number',
            'steps' => '?integer',
        ]],
        'source' => 'string',
    ], [
        'finish' => 'minutes until the last learner is done: in one, five and nine of ten such rooms',
        'share' => 'of the learners that is done by the bell, clearing up left for after',
        'everybody' => 'share of such rooms in which all are done by then',
        'wave' => 'steps of the lesson done by the slowest tenth, the middle and the fastest tenth, by seconds',
        'holds' => 'steps after which the room waits longest, and from when to when on the middle line, seconds',
        'levers' => 'what would help, most useful first: minutes sooner, and more of the learners done',
        'steps' => 'folded before the lesson, for a prepared start',
    ]),
]
final readonly class ForecastData
{
    /**
     * @param  array{early: int, middle: int, late: int}  $finish
     * @param  list<array{t: int, slowest: int, middle: int, fastest: int}>  $wave
     * @param  list<array{step: int, minutes: float, from: int, to: int}>  $holds
     * @param  list<array{name: string, minutes: float, share: float, steps: int|null}>  $levers
     */
    public function __construct(
        public int $runs,
        public int $learners,
        public array $finish,
        public float $share,
        public float $everybody,
        public array $wave,
        public array $holds,
        public array $levers,
        public string $source,
    ) {
    }
}
