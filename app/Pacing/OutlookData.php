<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;
use Cathedra\Core\Pacing\Rehearsal\Outlook;

/** How one plan of a lesson is likely to go. Seconds and minutes from the beginning of the slot. */
#[
    JsonShape('OutlookData', [
        'finish' => ['early' => 'integer', 'middle' => 'integer', 'late' => 'integer'],
        'share' => 'number',
        'everybody' => 'number',
        'idle' => 'number',
        'queue' => 'number',
        'busy' => 'number',
        'wave' => ['[]' => ['t' => 'integer', 'slowest' => 'integer', 'middle' => 'integer', 'fastest' => 'integer']],
        'holds' => ['[]' => ['step' => 'integer', 'minutes' => 'number', 'from' => 'integer', 'to' => 'integer']],
        'until' => '?integer',
    ], [
        'finish' => 'minutes until the last learner is done: in one, five and nine of ten such rooms',
        'share' => 'of the learners that is done by the bell, clearing up left for after',
        'everybody' => 'share of such rooms in which all are done by then',
        'idle' => 'minutes that a learner waits for others, on average',
        'queue' => 'minutes that a learner waits for help, on average',
        'busy' => 'share of the time in which a helper helps',
        'wave' => 'steps of the lesson done by the slowest tenth, the middle and the fastest tenth, by seconds',
        'holds' => 'steps after which the room waits longest, and from when to when on the middle line, seconds',
        'until' => 'the last checkpoint that nine of ten such rooms reach by the bell, where they do not finish',
    ]),
]
final readonly class OutlookData
{
    /**
     * @param  array{early: int, middle: int, late: int}  $finish
     * @param  list<array{t: int, slowest: int, middle: int, fastest: int}>  $wave
     * @param  list<array{step: int, minutes: float, from: int, to: int}>  $holds
     */
    private function __construct(
        public array $finish,
        public float $share,
        public float $everybody,
        public float $idle,
        public float $queue,
        public float $busy,
        public array $wave,
        public array $holds,
        public ?int $until,
    ) {
    }

    public static function of(Outlook $outlook): self
    {
        $minutes = static fn (float $p): int => LessonPlan::whole((int) ceil($outlook->end($p)));

        return new self(
            finish: ['early' => $minutes(0.1), 'middle' => $minutes(0.5), 'late' => $minutes(0.9)],
            share: round($outlook->answer->share ?? 0.0, 3),
            everybody: round($outlook->everybody, 3),
            idle: round($outlook->answer->idle, 1),
            queue: round($outlook->answer->queue, 1),
            busy: round($outlook->answer->busy, 3),
            wave: array_map(static fn (array $w): array => ['t' => (int) round($w['t'])] + $w, $outlook->wave),
            holds: array_map(static fn (array $hold): array => [
                'step' => $hold['step'],
                'minutes' => round($hold['wait'] / 60, 1),
                'from' => (int) round($hold['to'] - $hold['wait']),
                'to' => (int) round($hold['to']),
            ], $outlook->holds),
            until: $outlook->until,
        );
    }
}
