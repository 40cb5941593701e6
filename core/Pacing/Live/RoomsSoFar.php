<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Live;

use Cathedra\Core\Numeric\Normal;
use Cathedra\Core\Pacing\Rehearsal\Chance;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use Cathedra\Core\Pacing\Rehearsal\Run;
use Cathedra\Core\Pacing\Rehearsal\StepDraws;
use Cathedra\Core\Rules\BaseTimes;

/**
 * Rooms that could have taken as long as a lesson under way has, and the pace at which each of them would.
 *
 * The pace of run r: with T seconds taught so far, of which the run shows D and folds H at pace 1, ln f = ln((T - D) /
 * H). Over the runs that is a draw of the pace given T with nothing known before. What is known before, ln f ~ N(0,
 * tau^2) with tau^2 = group_spread^2 (1 + prior_lessons), a group's pace and what one lesson has of its own as in
 * `Learned`, weighs 1 - w with w = tau^2 / (tau^2 + Var ln f): ln f' = w ln f + (1 - w) tau z (conditioning a normal by
 * a draw of it, Matheron's rule).
 */
final readonly class RoomsSoFar
{
    /** Runs from which the pace is found roughly. */
    private const FEW = 12;

    /** A pace beyond is a slip of the log, not of hands. */
    private const QUICKEST = 0.2;

    private const SLOWEST = 5.0;

    /** @var array<int, float> factor of a learner's pace, by level */
    private array $between;

    public function __construct(
        private RehearsedRoom $setting,
        private Chance $chance,
        private StepDraws $steps,
        private TaughtBlocks $course,
    ) {
        $this->between = Chance::factors($setting->between);
    }

    /** A room at its beginning. */
    public function at(int $r, float $factor): Run
    {
        $pace = [];
        foreach ($this->chance->pace[$r] as $level) {
            $pace[] = $factor * $this->between[$level];
        }

        return new Run($this->steps, $this->chance->draws[$r], $pace, $this->setting->helpers);
    }

    /**
     * ln of the pace of each run.
     *
     * @return list<float>
     */
    public function levels(BaseTimes $times): array
    {
        $runs = $this->chance->runs();
        $tau = sqrt($times->groupSpread ** 2 * (1 + $times->priorLessons));
        // help does not either: twice from a few runs, so that all are played near the pace they come to
        $near = 1.0;
        for ($i = 0; $this->course->seconds > 0.0 && $i < 2; $i++) {
            $near = exp(array_sum($this->paces($near, min(self::FEW, $runs))) / min(self::FEW, $runs));
        }
        $prior = array_map(static fn (int $r): float => $tau * self::z($r, $runs), range(0, $runs - 1));
        if ($this->course->seconds <= 0.0) {
            return $prior;
        }
        $found = $this->paces($near, $runs);
        $mean = array_sum($found) / $runs;
        $variance = array_sum(array_map(static fn (float $ln): float => ($ln - $mean) ** 2, $found)) / $runs;
        $w = $tau ** 2 / ($tau ** 2 + $variance);

        return array_map(static fn (float $ln, float $own): float => $w * $ln + (1 - $w) * $own, $found, $prior);
    }

    /** @return list<float> ln of the pace of the first rooms, found from when they are played at nearly that pace */
    private function paces(float $near, int $runs): array
    {
        $found = [];
        for ($r = 0; $r < $runs; $r++) {
            $all = $this->course->playedSoFar($this->at($r, $near));
            // what is shown does not go with the pace
            $pace = $near * ($this->course->seconds - $all['seconds'] + $all['held']) / max(1.0, $all['held']);
            $found[] = log(max(self::QUICKEST, min(self::SLOWEST, $pace)));
        }

        return $found;
    }

    /** A standard normal for run r, spread evenly over them (golden ratio, so that neighbours differ). */
    private static function z(int $r, int $runs): float
    {
        $at = fmod(0.5 / $runs + $r * 0.6180339887498949, 1.0);

        return Normal::quantile(min(0.999, max(0.001, $at)));
    }
}
