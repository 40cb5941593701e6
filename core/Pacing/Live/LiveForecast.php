<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Live;

use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\StepDraws;
use Cathedra\Core\Rules\BaseTimes;

/**
 * How a lesson that is under way goes on. The room is played from its beginning by the rules of the rehearsal, many
 * times; each run gets the pace by which its steps so far would have taken as long as they did, is put where the room
 * is now, and is played to the end.
 */
final readonly class LiveForecast
{
    private const RUNS = 200;

    /** Learners times blocks times runs; about a microsecond each. */
    private const WORK = 200_000;

    private const FEWEST = 60;

    private const SEED = 1;

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
        $size = $setting->learners * count($setting->steps);
        $runs = max(self::FEWEST, min(self::RUNS, intdiv(self::WORK, $size)));
        $chance = Rehearsal::chance($setting, $runs, self::SEED);
        $rooms = new RoomsSoFar($setting, $chance, $course->asTaught(StepDraws::of($setting)), $course);
        $levels = $rooms->levels($times);
        $played = [];
        foreach ($levels as $r => $level) {
            $run = $rooms->at($r, exp($level));
            $course->playedSoFar($run);
            $played[] = PlacedRun::of(run: $run, course: $course, soFar: $soFar, now: $now, r: $r)->toTheEnd();
        }

        return self::from($played, $setting->bell ?? INF, $course, $levels);
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
     * @param  list<PlacedRun>  $runs
     * @param  list<float>  $levels
     */
    private static function from(array $runs, float $bell, TaughtBlocks $course, array $levels): self
    {
        $finishes = array_map(static fn (PlacedRun $run): float => max([0.0, ...$run->finishes]), $runs);
        sort($finishes);
        $chances = [];
        foreach (array_keys($runs[0]->finishes) as $learner) {
            $by = array_filter($runs, static fn (PlacedRun $run): bool => $run->finishes[$learner] <= $bell);
            $chances[$learner] = (float) count($by) / count($runs);
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
