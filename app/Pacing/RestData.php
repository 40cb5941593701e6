<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

/** How a lesson that is under way is likely to go on. Milliseconds since 1970, the server's clock. */
#[
    JsonShape('RestData', [
        'newest' => 'integer',
        'early_ms' => '?integer',
        'middle_ms' => '?integer',
        'late_ms' => '?integer',
        'by_ms' => 'integer',
        'everybody' => 'number',
        'unlikely' => 'integer[]',
        'until' => '?integer',
    ], [
        'newest' => 'number of the event of the log that it was made from',
        'early_ms' => 'when the last learner here has folded: in one, five and nine of ten such rooms; null: nothing '
            .'is said, before the first step, after the end, and where nobody goes on together',
        'by_ms' => 'when the folding must end, so that what comes after it fits before the bell',
        'everybody' => 'share of such rooms in which all are done by then',
        'unlikely' => 'learners who are not done by then in more than half of such rooms, the least likely first',
        'until' => 'the last checkpoint that nine of ten such rooms reach by then, where they do not finish',
    ]),
]
final readonly class RestData
{
    /** @param  list<int>  $unlikely */
    public function __construct(
        public int $newest,
        public ?int $early_ms,
        public ?int $middle_ms,
        public ?int $late_ms,
        public int $by_ms,
        public float $everybody,
        public array $unlikely,
        public ?int $until,
    ) {
    }
}
