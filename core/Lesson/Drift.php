<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** A lesson against its plan. Pauses do not count. */
final readonly class Drift
{
    /**
     * @param  int  $elapsed  seconds of teaching so far
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
     */
    public static function of(Standing $standing, array $lines, int $nowMs): self
    {
        if ($standing->startedMs === null) {
            return new self(0, 0, 0);
        }
        $until = $standing->endedMs ?? $standing->pauseMs ?? $nowMs;
        $elapsed = max(0, intdiv($until - $standing->startedMs - $standing->pausedMs, 1000));
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

    /** @return array{elapsed: int, planned: int, behind: int} */
    public function toArray(): array
    {
        return ['elapsed' => $this->elapsed, 'planned' => $this->planned, 'behind' => $this->behind];
    }
}
