<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Pacing\BadPlan;

/**
 * Plays a lesson many times. Step 1 is shown from 0 on; the next is shown when so many have done a step as the gate
 * asks. Who finishes during a demonstration waits for its end, who finishes after it goes on at once and has missed it.
 * Who is stuck joins one queue at the end of the folding time, first come first served over all steps.
 *
 * Every learner runs ahead to the next demonstration or to being stuck; only those who are stuck, and gates, are taken
 * in order of time: a gate counts when no one who is still stuck could finish before it.
 */
final class Rehearsal
{
    /** Runs from which the wave is drawn; its band moves by less than a step with more. */
    private const WAVE_RUNS = 200;

    private const WAVE_POINTS = 40;

    /** @var array<int, float> seconds by step, over all learners and runs */
    private array $idle;

    private float $queued = 0.0;

    private float $served = 0.0;

    /** @var list<float> */
    private array $learners = [];

    private int $done = 0;

    /** @var list<float> by run */
    private array $finishes = [];

    /** @var array<int, float> by step */
    private array $holds;

    /** @var array<int, list<float>> by step: when learners did it, in the first runs */
    private array $times;

    private function __construct(private readonly Setting $setting, private readonly Chance $chance)
    {
        $steps = count($setting->steps);
        $this->holds = $this->idle = array_fill(0, $steps, 0.0);
        $this->times = array_fill(0, $steps, []);
    }

    /** @throws BadPlan when that would take too long */
    public static function chance(Setting $setting, int $runs, int $seed): Chance
    {
        $work = $setting->learners * count($setting->steps) * $runs;
        if ($runs < 1 || $runs > Setting::MAX_RUNS || $work > Setting::MAX_WORK) {
            throw new BadPlan(sprintf(
                '"runs" must lie between 1 and %d, and learners times steps times runs be at most %d, not %d; '
                    .'1,000 runs are plenty.',
                Setting::MAX_RUNS,
                Setting::MAX_WORK,
                $work,
            ));
        }

        return Chance::of($setting->learners, count($setting->steps), $runs, $seed);
    }

    /** @param  Chance  $chance  of as many learners and steps */
    public static function of(Setting $setting, Chance $chance): Answer
    {
        $self = new self($setting, $chance);
        $self->play();

        return $setting->rounds === 1 ? $self->answer() : Rotation::of($self->answer(), $setting);
    }

    private function play(): void
    {
        $setting = $this->setting;
        [$n, $last] = [$setting->learners, count($setting->steps) - 1];
        $between = Chance::factors($setting->between);
        $within = Chance::factors($setting->within);
        [$demo, $fold, $stuck, $missed, $help, $need] = [[], [], [], [], [], []];
        foreach ($setting->steps as $k => $step) {
            $demo[] = $step->demo;
            $fold[] = $step->fold * $setting->factor;
            $stuck[] = (int) round($step->stuck * Chance::STUCK);
            $missed[] = (int) round(min(1.0, $step->stuck * $setting->miss) * Chance::STUCK);
            $help[] = $step->help * ($setting->helpers === 0 ? Setting::ALONE : 1.0);
            $need[] = $setting->needed($k);
        }
        $free = array_fill(0, max(1, $setting->helpers), 0.0);
        foreach ($this->chance->draws as $r => $draws) {
            $pace = [];
            foreach ($this->chance->pace[$r] as $level) {
                $pace[] = $between[$level];
            }
            $finish = array_fill(0, $n, 0.0); // of the last step done, by learner
            $waiting = []; // when a learner who is stuck joined the queue, by learner
            $at = []; // the step at which, by learner
            $helpers = $free;
            $shown = []; // end of the demonstration, by step
            $end = 0.0;
            $keep = $r < self::WAVE_RUNS;
            for ($m = 0; $m <= $last; $m++) {
                $end += $demo[$m];
                $shown[] = $end;
                $done = [];
                $base = $m * $n;
                [$seconds, $p, $q] = [$fold[$m], $stuck[$m], $missed[$m]];
                foreach ($finish as $i => $t) {
                    if (isset($waiting[$i])) {
                        continue; // still stuck at an earlier step
                    }
                    $draw = $draws[$base + $i];
                    if ($t > $end) {
                        $t += $seconds * $pace[$i] * $within[$draw & 4095];
                        $isStuck = ($draw >> 12) < $q;
                    } else {
                        $t = $end + $seconds * $pace[$i] * $within[$draw & 4095];
                        $isStuck = ($draw >> 12) < $p;
                    }
                    if ($isStuck) {
                        $waiting[$i] = $t;
                        $at[$i] = $m;
                    } else {
                        $finish[$i] = $done[] = $t;
                    }
                }
                sort($done);
                $ask = $need[$m];
                $gate = $done[$ask - 1] ?? INF;
                while ($waiting !== [] && (($arrival = min($waiting)) < $gate || $m === $last)) {
                    $i = (int) array_search($arrival, $waiting, true);
                    unset($waiting[$i]);
                    // the helper who is free first
                    $who = 0;
                    foreach ($helpers as $h => $when) {
                        if ($when < $helpers[$who]) {
                            $who = $h;
                        }
                    }
                    $k = $at[$i];
                    $begin = $helpers[$who] > $arrival ? $helpers[$who] : $arrival;
                    $t = $begin + $help[$k];
                    $helpers[$who] = $t;
                    $this->queued += $begin - $arrival;
                    $this->served += $help[$k];
                    $keep && $k < $m && $this->times[$k][] = $t;
                    // runs ahead as far as has been shown, or until stuck again
                    while (++$k <= $m) {
                        $draw = $draws[$k * $n + $i];
                        $missing = $t > $shown[$k];
                        $t = ($missing ? $t : $shown[$k]) + $fold[$k] * $pace[$i] * $within[$draw & 4095];
                        if (($draw >> 12) < ($missing ? $missed[$k] : $stuck[$k])) {
                            $waiting[$i] = $t;
                            $at[$i] = $k;

                            continue 2;
                        }
                        $keep && $k < $m && $this->times[$k][] = $t;
                    }
                    $finish[$i] = $done[] = $t;
                    if ($t < $gate) {
                        sort($done);
                        $gate = $done[$ask - 1] ?? INF;
                    }
                }
                if ($keep) {
                    array_push($this->times[$m], ...$done);
                }
                if ($m < $last) {
                    $this->idle[$m] += $ask * $gate - array_sum(array_slice($done, 0, $ask));
                } else {
                    $gate = max(0.0, ...$finish);
                }
                $this->holds[$m] += $gate - $end;
                $end = $gate;
            }
            $this->finishes[] = $end;
            array_push($this->learners, ...array_values($finish));
            if ($setting->bell !== null) {
                foreach ($finish as $t) {
                    $t <= $setting->bell && $this->done++;
                }
            }
        }
    }

    private function answer(): Answer
    {
        $runs = $this->chance->runs();
        $all = $runs * $this->setting->learners;
        $helperSeconds = max(1, $this->setting->helpers) * array_sum($this->finishes);
        $finishes = $this->finishes;
        sort($finishes);
        $learners = $this->learners;
        sort($learners);

        return new Answer(
            finishes: $finishes,
            learner: array_sum($this->learners) / $all,
            share: $this->setting->bell === null ? null : $this->done / $all,
            idle: array_sum($this->idle) / $all / 60,
            queue: $this->queued / $all / 60,
            busy: $helperSeconds > 0.0 ? $this->served / $helperSeconds : 0.0,
            holds: array_map(static fn (float $s): float => $s / $runs, array_values($this->holds)),
            waits: array_map(static fn (float $s): float => $s / $all, array_values($this->idle)),
            wave: $this->wave($finishes[$runs - 1]),
            learners: array_map(static fn (int $p): float => Answer::quantile($learners, $p / 100), range(0, 100)),
        );
    }

    /**
     * Pooled over learners and runs: a learner who has done k steps is at step k + 1; who is done, beyond the last.
     *
     * @return list<array{t_s: float, slowest: int, middle: int, fastest: int}>
     */
    private function wave(float $until): array
    {
        $bands = ['slowest' => [], 'middle' => [], 'fastest' => []];
        foreach ($this->times as $k => $times) {
            sort($times);
            // nine tenths, half and a tenth of the room have done it
            $bands['slowest'][$k] = Answer::quantile($times, 0.9);
            $bands['middle'][$k] = Answer::quantile($times, 0.5);
            $bands['fastest'][$k] = Answer::quantile($times, 0.1);
        }
        $wave = [];
        for ($i = 0; $i <= self::WAVE_POINTS; $i++) {
            $t = $until * $i / self::WAVE_POINTS;
            $at = static fn (array $ends): int => 1 + count(array_filter(
                $ends,
                static fn (float $end): bool => $end <= $t,
            ));
            $wave[] = [
                't_s' => round($t, 3),
                'slowest' => $at($bands['slowest']),
                'middle' => $at($bands['middle']),
                'fastest' => $at($bands['fastest']),
            ];
        }

        return $wave;
    }
}
