<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * A lesson against its plan. It counts from the start of its slot, by the clock on the wall: a late beginning and a
 * pause are time that is gone. A lesson that is taught at another time than was planned counts from its own beginning,
 * as if what comes before the first step had taken as long as planned, and there pauses do not count.
 */
final readonly class Drift
{
    /** So long before its slot a lesson may begin and still be the one that was planned (estimate). */
    private const EARLY_MS = 1_800_000;

    /**
     * @param  int  $elapsed  seconds since the lesson should have begun
     * @param  int  $planned  step that the plan says we should be at, 0 for none yet
     * @param  int  $behind  minutes, rounded; negative: ahead. 0 before teaching
     */
    private function __construct(public int $elapsed, public int $planned, public int $behind)
    {
    }

    /**
     * Behind by what has passed since the planned end of the step at hand; ahead by what is left until its planned
     * start.
     *
     * @param  list<array{kind: string, step: int|null, start: int, seconds: int}>  $lines  of the run sheet, seconds
     *     from the start of the slot
     */
    public static function of(Standing $standing, array $lines, int $nowMs, Slot $slot): self
    {
        $started = $standing->startedMs;
        if ($started === null) {
            return new self(0, 0, 0);
        }
        $isPlanned = $started >= $slot->startMs - self::EARLY_MS && $started <= $slot->bellMs();
        $since = $isPlanned
            ? ($standing->endedMs ?? $nowMs) - $slot->startMs
            : ($standing->endedMs ?? $standing->pauseMs ?? $nowMs) - $started - $standing->pausedMs
                + 1000 * self::first($standing, $lines);
        $elapsed = max(0, intdiv($since, 1000));
        $planned = 0;
        $behind = 0;
        foreach ($lines as $line) {
            if ($line['kind'] !== 'step') {
                continue;
            }
            $planned = $line['start'] <= $elapsed ? max($planned, (int) $line['step']) : $planned;
            if ($line['step'] === max(1, $standing->step)) {
                $end = $standing->step > 0 ? $line['start'] + $line['seconds'] : $line['start'];
                $behind = $elapsed > $end ? $elapsed - $end : min(0, $elapsed - $line['start']);
            }
        }

        return new self($elapsed, $planned, intdiv($behind + ($behind >= 0 ? 30 : -30), 60));
    }

    /**
     * Seconds until the first step, where a lesson begins with it; without a word how it is marked, it began before.
     *
     * @param  list<array{kind: string, step: int|null, start: int, seconds: int}>  $lines
     */
    private static function first(Standing $standing, array $lines): int
    {
        $starts = array_column(array_filter($lines, static fn (array $l): bool => $l['kind'] === 'step'), 'start');

        return $standing->marks === null || $starts === [] ? 0 : min($starts);
    }

    /** @return array{elapsed: int, planned: int, behind: int} */
    public function toArray(): array
    {
        return ['elapsed' => $this->elapsed, 'planned' => $this->planned, 'behind' => $this->behind];
    }
}
