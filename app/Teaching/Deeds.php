<?php

declare(strict_types=1);

namespace App\Teaching;

use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\WayChange;
use Illuminate\Support\Str;

/**
 * Deeds done on the server's side (the demo, tests), in the form in which devices send theirs.
 *
 * @phpstan-type Given array{key: string, kind: EventKind, device: string, device_ms: int, after: int,
 *     learner: int|null,
 *     step: int|null, cancels: string|null, correction: array{model: string, finish: Finish, step: int|null}|null,
 *     text: string|null, way: WayChange|null, marks: Marking|null, learners: list<int>|null}
 */
final class Deeds
{
    /**
     * @param  array{learner?: int, step?: int, cancels?: string,
     *     correction?: array{model: string, finish: Finish, step: int|null}, text?: string, way?: WayChange,
     *     marks?: Marking, key?: string, learners?: list<int>}  $with
     * @return Given
     */
    public static function make(EventKind $kind, array $with = [], ?int $ms = null): array
    {
        return [
            'key' => $with['key'] ?? (string) Str::uuid(),
            'kind' => $kind,
            'device' => 'server',
            'device_ms' => $ms ?? CarbonImmutable::now()->getTimestampMs(),
            'after' => 0,
            'learner' => $with['learner'] ?? null,
            'step' => $with['step'] ?? null,
            'cancels' => $with['cancels'] ?? null,
            'correction' => $with['correction'] ?? null,
            'text' => $with['text'] ?? null,
            'way' => $with['way'] ?? null,
            'marks' => $with['marks'] ?? null,
            'learners' => $with['learners'] ?? null,
        ];
    }
}
