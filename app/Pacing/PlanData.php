<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Support\Api\JsonShape;

/** The run sheet. Seconds from the start of the slot. */
#[
    JsonShape('PlanData', [
        'lines' => ['[]' => [
            'kind' => ['block', 'step', 'checkpoint'],
            'key' => 'string',
            'step' => '?integer',
            'start' => 'integer',
            'seconds' => 'integer',
        ]],
        'why' => ['[]' => [
            'step' => 'integer',
            'show' => 'integer',
            'base' => 'integer',
            'factors' => ['[]' => ['name' => 'string', 'times' => 'number']],
            'fold' => 'integer',
            'wait' => 'integer',
            'own' => 'boolean',
        ]],
        'blocks' => ['[]' => ['key' => 'string', 'minutes' => '?integer', 'usual' => 'integer', 'out' => 'boolean']],
        'needed_minutes' => 'integer',
        'slot_minutes' => 'integer',
        'spare_minutes' => 'integer',
        'fits' => 'boolean',
        'source' => 'string',
        'paced_by' => ['[]' => ['lesson' => 'integer', 'day' => 'string']],
    ], [
        'why' => 'why a step takes so long: show + base times every factor (fold) + wait, seconds',
        'own' => 'the lead has said how long folding it takes',
        'blocks' => 'every block in its order, the folding among them; minutes as the lead says, null: as usual',
        'usual' => 'minutes where the lead says nothing, or what to begin with where it is not in the lesson',
        'out' => 'not in the lesson as it is set',
        'paced_by' => 'the last lessons that changed the pace of the group, which can be left out',
        'spare_minutes' => 'negative: too long by so many',
    ]),
]
final readonly class PlanData
{
    /**
     * @param  list<array{kind: string, key: string, step: int|null, start: int, seconds: int}>  $lines
     * @param  list<array{step: int, show: int, base: int, factors: list<array{name: string, times: float}>, fold: int,
     *     wait: int, own: bool}>  $why
     * @param  list<array{key: string, minutes: int|null, usual: int, out: bool}>  $blocks
     * @param  list<array{lesson: int, day: string}>  $paced_by
     */
    public function __construct(
        public array $lines,
        public array $why,
        public array $blocks,
        public int $needed_minutes,
        public int $slot_minutes,
        public int $spare_minutes,
        public bool $fits,
        public string $source,
        public array $paced_by,
    ) {
    }
}
