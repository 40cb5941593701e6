<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

/**
 * A lesson played once. Step 1 is shown from 0 on; the next is shown when so many have done a step as the gate asks.
 * Who finishes during a demonstration waits for its end, who finishes after it goes on at once and has missed it. Who
 * is stuck joins one queue at the end of the folding time, first come first served over all steps.
 *
 * Every learner runs ahead to the next demonstration or to being stuck; only those who are stuck, and gates, are taken
 * in order of time: a gate counts when no one who is still stuck could finish before it. Seconds.
 */
final class Run
{
    /** @var array<int, float> when the last step done was done, by learner */
    public array $finish;

    /** @var array<int, list<float>> by step: when learners did it */
    public array $times = [];

    /** When the room could go on from the last step that was played. */
    public float $end = 0.0;

    /** How long the last step played kept the room, after its demonstration. */
    public float $held = 0.0;

    public float $queued = 0.0;

    public float $served = 0.0;

    /** @var array<int, float> when a learner who is stuck joined the queue, by learner */
    private array $waiting = [];

    /** @var array<int, int> the step at which, by learner */
    private array $at = [];

    /** @var non-empty-list<float> when each is free */
    private array $helpers;

    /** @var list<float> end of the demonstration, by step */
    private array $shown = [];

    /** @var array<int, int> the furthest step that a learner is known to have; of a lesson that is under way */
    private array $has = [];

    /**
     * @param  array<int, int>  $draws  by step times learners plus learner
     * @param  list<float>  $pace  by learner
     */
    public function __construct(
        private readonly StepDraws $steps,
        private readonly array $draws,
        private readonly array $pace,
        int $helpers,
    ) {
        $this->finish = array_fill(0, count($pace), 0.0);
        $this->helpers = array_fill(0, max(1, $helpers), 0.0);
    }

    /**
     * The next step, which must be the one after the last played.
     *
     * @return float seconds of waiting for the gate, over all who wait; nobody waits after the last step
     */
    public function step(int $m): float
    {
        $shown = $this->end + $this->steps->demo[$m];
        $this->shown[] = $shown;
        $done = $this->folded($m, $shown);
        sort($done);
        [$done, $gate] = $this->helped($m, $done);
        $this->times[$m] = $done;
        $idle = 0.0;
        if ($m < $this->steps->last) {
            $ask = $this->steps->need[$m];
            $idle = $ask * $gate - array_sum(array_slice($done, 0, $ask));
        } else {
            $gate = max(0.0, ...$this->finish);
        }
        $this->held = $gate - $shown;
        $this->end = $gate;

        return $idle;
    }

    /** All that has happened so much later, as a lesson under way did. */
    public function later(float $seconds): void
    {
        $by = static fn (float $t): float => $t + $seconds;
        $this->finish = array_map($by, $this->finish);
        $this->waiting = array_map($by, $this->waiting);
        $this->shown = array_map($by, $this->shown);
        $this->helpers = array_map($by, $this->helpers);
        $this->end += $seconds;
    }

    /** Until now the room has not gone on. */
    public function notBefore(float $now): void
    {
        $this->end = max($this->end, $now);
    }

    /** When a learner is likely to have the last step that was played: who is stuck, after all who fold. */
    public function reaches(int $i): float
    {
        return isset($this->waiting[$i]) ? 1e9 - 1e6 * $this->at[$i] + $this->waiting[$i] : $this->finish[$i];
    }

    /** A learner has this step, which comes after the last that was played, since then. */
    public function hasAlready(int $i, int $k, float $t): void
    {
        unset($this->waiting[$i], $this->at[$i]);
        $this->has[$i] = $k;
        $this->finish[$i] = $t;
    }

    /** A learner waits for help at a step that was shown, since then. */
    public function waits(int $i, int $k, float $since): void
    {
        $this->waiting[$i] = $since;
        $this->at[$i] = $k;
    }

    /** After the last step: those who still wait for help get it, and go on to the end. */
    public function drained(): void
    {
        $this->helped($this->steps->last, []);
    }

    /** A learner folds a step that was shown, since then, and runs ahead from there. */
    public function folds(int $i, int $k, float $since): void
    {
        unset($this->waiting[$i], $this->at[$i]);
        $m = count($this->shown) - 1;
        $steps = $this->steps;
        $draw = $this->draws[$k * count($this->finish) + $i];
        $t = max($since, $this->shown[$k]) + $steps->fold[$k] * $this->pace[$i] * $steps->within[$draw & 4095];
        if (($draw >> 12) < $steps->missed[$k]) {
            $this->waits($i, $k, $t);
        } else {
            $this->finish[$i] = $this->aheadOf($i, $k, $m, $t) ?? $this->finish[$i];
        }
    }

    /**
     * All who have the steps before fold it, as soon as they have seen it.
     *
     * @return list<float> when those did it who are not stuck
     */
    private function folded(int $m, float $shown): array
    {
        $done = [];
        [$seconds, $p, $q] = [$this->steps->fold[$m], $this->steps->stuck[$m], $this->steps->missed[$m]];
        [$draws, $pace, $within] = [$this->draws, $this->pace, $this->steps->within];
        $base = $m * count($this->finish);
        foreach ($this->finish as $i => $t) {
            if (isset($this->waiting[$i])) {
                continue; // still stuck at an earlier step
            }
            if (isset($this->has[$i]) && $this->has[$i] >= $m) {
                $done[] = $t;

                continue;
            }
            $draw = $draws[$base + $i];
            if ($t > $shown) {
                $t += $seconds * $pace[$i] * $within[$draw & 4095];
                $isStuck = ($draw >> 12) < $q;
            } else {
                $t = $shown + $seconds * $pace[$i] * $within[$draw & 4095];
                $isStuck = ($draw >> 12) < $p;
            }
            if ($isStuck) {
                $this->waiting[$i] = $t;
                $this->at[$i] = $m;
            } else {
                $this->finish[$i] = $done[] = $t;
            }
        }

        return $done;
    }

    /**
     * Those who are stuck, in order of time, until the gate opens; after the last step, all.
     *
     * @param  list<float>  $done  when others did the step, rising
     * @return array{list<float>, float} all who did it, rising as far as the gate needs it, and when the gate opens
     */
    private function helped(int $m, array $done): array
    {
        $ask = $this->steps->need[$m];
        $gate = $done[$ask - 1] ?? INF;
        while ($this->waiting !== []) {
            $arrival = min($this->waiting);
            if ($arrival >= $gate && $m !== $this->steps->last) {
                break;
            }
            $i = (int) array_search($arrival, $this->waiting, true);
            unset($this->waiting[$i]);
            $k = $this->at[$i];
            $t = $this->aheadOf($i, $k, $m, $this->service($arrival, $this->steps->help[$k]));
            if ($t !== null) {
                $this->finish[$i] = $done[] = $t;
                if ($t < $gate) {
                    sort($done);
                    $gate = $done[$ask - 1] ?? INF;
                }
            }
        }

        return [$done, $gate];
    }

    /** @return float when the helper who is free first has helped */
    private function service(float $arrival, float $takes): float
    {
        $who = 0;
        foreach ($this->helpers as $h => $when) {
            if ($when < $this->helpers[$who]) {
                $who = $h;
            }
        }
        $begin = $this->helpers[$who] > $arrival ? $this->helpers[$who] : $arrival;
        $this->helpers[$who] = $begin + $takes;
        $this->queued += $begin - $arrival;
        $this->served += $takes;

        return $begin + $takes;
    }

    /**
     * A learner who has just done step k runs ahead as far as has been shown, or until stuck again.
     *
     * @return float|null when step m was done; null when stuck before
     */
    private function aheadOf(int $i, int $k, int $m, float $t): ?float
    {
        $steps = $this->steps;
        $n = count($this->finish);
        while ($k < $m) {
            $this->times[$k][] = $t;
            $k++;
            $draw = $this->draws[$k * $n + $i];
            $missing = $t > $this->shown[$k];
            $t = ($missing ? $t : $this->shown[$k]) + $steps->fold[$k] * $this->pace[$i] * $steps->within[$draw & 4095];
            if (($draw >> 12) < ($missing ? $steps->missed[$k] : $steps->stuck[$k])) {
                $this->waiting[$i] = $t;
                $this->at[$i] = $k;

                return null;
            }
        }

        return $t;
    }
}
