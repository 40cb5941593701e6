<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Live;

use Cathedra\Core\Numeric\Normal;
use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Chance;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use Cathedra\Core\Pacing\Rehearsal\Run;
use Cathedra\Core\Pacing\Rehearsal\StepDraws;
use Cathedra\Core\Rules\BaseTimes;

/**
 * How a lesson that is under way goes on. The room is played from its beginning by the rules of the rehearsal, many
 * times; each run gets the pace by which its steps so far would have taken as long as they did, is put where the room
 * is now, and is played to the end.
 *
 * The pace of run r: with T seconds taught so far, of which the run shows D and folds H at pace 1, ln f = ln((T - D) /
 * H). Over the runs that is a draw of the pace given T with nothing known before. What is known before, ln f ~ N(0,
 * tau^2) with tau^2 = group_spread^2 (1 + prior_lessons), a group's pace and what one lesson has of its own as in
 * `Learned`, weighs 1 - w with w = tau^2 / (tau^2 + Var ln f): ln f' = w ln f + (1 - w) tau z (conditioning a normal by
 * a draw of it, Matheron's rule).
 */
final readonly class LiveForecast
{
    public const RUNS = 200;

    /** Runs from which the pace is found roughly. */
    private const FEW = 12;

    private const SEED = 1;

    /** A pace beyond is a slip of the log, not of hands. */
    private const QUICKEST = 0.2;

    private const SLOWEST = 5.0;

    /** Share of the runs in which a checkpoint must be reached by the bell to be named as a place to stop. */
    private const SAFE = 0.9;

    /**
     * @param  list<float>  $finishes  by run, sorted: when the last learner here has folded, seconds from the start of
     *     the slot
     * @param  float  $bell  when the folding must end so that what comes after it fits, seconds from the same
     * @param  array<int, float>  $chances  of each learner here to have folded by the bell
     * @param  int|null  $until  the last checkpoint that the room reaches by the bell in nine of ten runs; null where
     *     all are done by then, or none is reached
     * @param  float|null  $pace  middle of the pace of this room, 1 as planned; null while no step has ended
     */
    private function __construct(
        public array $finishes,
        public float $bell,
        public array $chances,
        public ?int $until,
        public ?float $pace,
    ) {
    }

    /**
     * @param  float  $now  seconds from the start of the slot
     * @return self|null nothing is said before the first step, without learners, and where nobody folds along with a
     *     room that goes on together
     */
    public static function of(Plan $plan, BaseTimes $times, SoFar $soFar, float $now): ?self
    {
        $isTogether = $plan->checks() && $plan->rounds($times) === 1;
        if (! $isTogether || $soFar->step < 1 || $soFar->seats === []) {
            return null;
        }
        $setting = $plan->setting($times)->with(['learners' => count($soFar->seats)]);
        $course = TaughtBlocks::of($plan->blocks($times), $soFar);
        $chance = Rehearsal::chance($setting, self::RUNS, self::SEED);
        $steps = $course->asTaught(StepDraws::of($setting));
        $levels = self::levels($setting, $chance, $steps, $course, $times);
        $runs = [];
        foreach ($levels as $r => $level) {
            $run = self::run($setting, $chance, $steps, $r, exp($level));
            $course->playedSoFar($run);
            $runs[] = PlacedRun::of($run, $course, $soFar, $now, $r)->toTheEnd();
        }

        return self::from($runs, $setting->bell ?? INF, $course, $levels);
    }

    /** When the last learner here has folded, in so many of ten such rooms; seconds from the start of the slot. */
    public function end(float $quantile): float
    {
        return Answer::quantile($this->finishes, $quantile);
    }

    /** Share of the runs in which everybody here has folded by the bell. */
    public function everybody(): float
    {
        return count(array_filter($this->finishes, fn (float $end): bool => $end <= $this->bell)) /
            count($this->finishes);
    }

    /**
     * ln of the pace of each run.
     *
     * @return list<float>
     */
    private static function levels(
        RehearsedRoom $setting,
        Chance $chance,
        StepDraws $steps,
        TaughtBlocks $course,
        BaseTimes $times,
    ): array {
        $tau = sqrt($times->groupSpread ** 2 * (1 + $times->priorLessons));
        $paces = static function (float $near, int $runs) use ($setting, $chance, $steps, $course): array {
            $found = [];
            for ($r = 0; $r < $runs; $r++) {
                $all = $course->playedSoFar(self::run($setting, $chance, $steps, $r, $near));
                // what is shown does not go with the pace
                $pace = $near * ($course->seconds - $all['seconds'] + $all['held']) / max(1.0, $all['held']);
                $found[] = log(max(self::QUICKEST, min(self::SLOWEST, $pace)));
            }

            return $found;
        };
        // help does not either: twice from a few runs, so that all are played near the pace they come to
        $near = 1.0;
        for ($i = 0; $course->seconds > 0.0 && $i < 2; $i++) {
            $near = exp(array_sum($paces($near, self::FEW)) / self::FEW);
        }
        $found = $course->seconds > 0.0 ? $paces($near, self::RUNS) : [];
        if ($found === []) {
            return array_map(static fn (int $r): float => $tau * self::z($r), range(0, self::RUNS - 1));
        }
        $mean = array_sum($found) / self::RUNS;
        $variance = array_sum(array_map(static fn (float $ln): float => ($ln - $mean) ** 2, $found)) / self::RUNS;
        $w = $tau ** 2 / ($tau ** 2 + $variance);

        return array_map(
            static fn (float $ln, int $r): float => $w * $ln + (1 - $w) * $tau * self::z($r),
            $found,
            array_keys($found),
        );
    }

    /** A standard normal for run r, spread evenly over the runs (golden ratio, so that neighbours differ). */
    private static function z(int $r): float
    {
        $at = fmod(0.5 / self::RUNS + $r * 0.6180339887498949, 1.0);

        return Normal::quantile(min(0.999, max(0.001, $at)));
    }

    private static function run(
        RehearsedRoom $setting,
        Chance $chance,
        StepDraws $steps,
        int $r,
        float $factor,
    ): Run {
        $between = Chance::factors($setting->between);

        return new Run(
            $steps,
            $chance->draws[$r],
            array_map(static fn (int $level): float => $factor * $between[$level], $chance->pace[$r]),
            $setting->helpers,
        );
    }

    /**
     * @param  list<PlacedRun>  $runs
     * @param  list<float>  $levels
     */
    private static function from(array $runs, float $bell, TaughtBlocks $course, array $levels): self
    {
        $finishes = array_map(static fn (PlacedRun $run): float => max($run->finishes), $runs);
        sort($finishes);
        $chances = [];
        foreach (array_keys($runs[0]->finishes) as $learner) {
            $by = array_filter($runs, static fn (PlacedRun $run): bool => $run->finishes[$learner] <= $bell);
            $chances[$learner] = count($by) / count($runs);
        }
        $until = null;
        foreach ($course->checkpoints() as $k => $step) {
            $by = array_filter($runs, static fn (PlacedRun $run): bool => $run->ends[$k] <= $bell);
            $until = count($by) >= self::SAFE * count($runs) ? $step : $until;
        }
        sort($levels);

        return new self(
            finishes: $finishes,
            bell: $bell,
            chances: $chances,
            until: Answer::quantile($finishes, self::SAFE) <= $bell ? null : $until,
            pace: $course->seconds > 0.0 ? exp(Answer::quantile($levels, 0.5)) : null,
        );
    }
}
