<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

/** Learners for one rehearsal of a lesson: how each of them folds each step, and the best simple rule for them. */
#[
    JsonShape('CastData', [
        'learners' => 'integer[]',
        'helpers' => 'integer',
        'steps' => ['[]' => ['step' => 'integer', 'show' => 'number', 'help' => 'number', 'checkpoint' => 'boolean']],
        'seconds' => '{number[]}',
        'stuck' => '{integer[]}',
        'missed' => '{integer[]}',
        'best' => ['finish' => 'number', 'idle' => 'number', 'queue' => 'number', 'gate' => 'number'],
    ], [
        'learners' => 'by seat',
        'helpers' => 'besides the lead, who serve the queue by themselves',
        'steps' => 'that are taught, in their order; seconds of showing, and of helping one who is stuck',
        'seconds' => 'of folding, by learner, by place in steps',
        'stuck' => 'places in steps at which a learner who saw it shown gets stuck, by learner',
        'missed' => 'the same for one who missed it',
        'best' => 'seconds until the last is done, minutes waited for the next step and for help, each learner, by '
            .'the rule "go on when this share has it" that is quickest for them',
    ]),
]
final readonly class CastData
{
    /**
     * @param  list<int>  $learners
     * @param  list<array{step: int, show: float, help: float, checkpoint: bool}>  $steps
     * @param  array{finish: float, idle: float, queue: float, gate: float}  $best
     */
    public function __construct(
        public array $learners,
        public int $helpers,
        public array $steps,
        public object $seconds,
        public object $stuck,
        public object $missed,
        public array $best,
    ) {
    }
}
