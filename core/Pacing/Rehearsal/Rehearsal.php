<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Pacing\BadPlan;

/**
 * Plays a lesson many times (`Run` is one of them) and says what it comes to over all runs.
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

    private function __construct(private readonly RehearsedRoom $setting, private readonly Chance $chance)
    {
        $steps = count($setting->steps);
        $this->holds = $this->idle = array_fill(0, $steps, 0.0);
        $this->times = array_fill(0, $steps, []);
    }

    /** @throws BadPlan when that would take too long */
    public static function chance(RehearsedRoom $setting, int $runs, int $seed): Chance
    {
        $work = $setting->learners * count($setting->steps) * $runs;
        if ($runs < 1 || $runs > RehearsedRoom::MAX_RUNS || $work > RehearsedRoom::MAX_WORK) {
            throw new BadPlan(sprintf(
                '"runs" must lie between 1 and %d, and learners times steps times runs be at most %d, not %d; '
                    .'1,000 runs are plenty.',
                RehearsedRoom::MAX_RUNS,
                RehearsedRoom::MAX_WORK,
                $work,
            ));
        }

        return Chance::of($setting->learners, count($setting->steps), $runs, $seed);
    }

    /** @param  Chance  $chance  of as many learners and steps */
    public static function of(RehearsedRoom $setting, Chance $chance): Answer
    {
        $self = new self($setting, $chance);
        $self->play();

        return $setting->rounds === 1 ? $self->answer() : Rotation::of($self->answer(), $setting);
    }

    private function play(): void
    {
        $steps = StepDraws::of($this->setting);
        $between = Chance::factors($this->setting->between);
        foreach ($this->chance->draws as $r => $draws) {
            $pace = [];
            foreach ($this->chance->pace[$r] as $level) {
                $pace[] = $between[$level];
            }
            $run = new Run($steps, $draws, $pace, $this->setting->helpers);
            for ($m = 0; $m <= $steps->last; $m++) {
                $this->idle[$m] += $run->step($m);
                $this->holds[$m] += $run->held;
            }
            $this->ended($run, $r < self::WAVE_RUNS);
        }
    }

    /** @param  bool  $keep  whether the wave is drawn from this run too */
    private function ended(Run $run, bool $keep): void
    {
        $this->queued += $run->queued;
        $this->served += $run->served;
        $this->finishes[] = $run->end;
        array_push($this->learners, ...$run->finish);
        if ($this->setting->bell !== null) {
            foreach ($run->finish as $t) {
                $t <= $this->setting->bell && $this->done++;
            }
        }
        if ($keep) {
            foreach ($run->times as $k => $times) {
                array_push($this->times[$k], ...$times);
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
