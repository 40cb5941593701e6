<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\Bounds;
use Cathedra\Core\Rules\PolicyTable;

/** How a lesson is likely to go, where it will be held up, and what would help. */
final readonly class Forecast
{
    /** Enough for the sign of a lever with common chance; the answer itself is within a minute. */
    public const RUNS = 250;

    /** A very long lesson is played less often, so that its answer comes within a second or two. */
    private const WORK = 1_500_000;

    private const FEWEST = 40;

    private const SEED = 1;

    /** Minutes; a lever that gains less is not worth saying. */
    private const WORTH = 0.5;

    /** Holds that are named, and the minutes a learner must wait there at least, on average. */
    private const HOLDS = 2;

    private const LONG = 0.5;

    /**
     * @param  Answer  $answer  seconds from the beginning of the slot
     * @param  float  $after  seconds after the folding that are decorated
     * @param  float  $everybody  share of the runs in which all are done by the bell
     * @param  list<array{t: float, slowest: int, middle: int, fastest: int}>  $wave  by seconds, steps of the lesson
     *     that are done; until nine of ten have done all
     * @param  list<array{step: int, wait: float, to: float}>  $holds  the longest waits: step of the lesson, mean
     *     seconds a learner, and the end, seconds
     * @param  list<Lever>  $levers  most useful first
     */
    private function __construct(
        public Answer $answer,
        public float $after,
        public float $everybody,
        public array $wave,
        public array $holds,
        public array $levers,
    ) {
    }

    /** @throws BadPlan */
    public static function of(Plan $plan, BaseTimes $times, PolicyTable $policies): self
    {
        [$setting, $numbers] = $plan->setting($times);
        $size = $setting->learners * count($setting->steps);
        $runs = max(self::FEWEST, min(self::RUNS, intdiv(self::WORK, $size)));
        $chance = Rehearsal::chance($setting, $runs, self::SEED);
        $answer = Rehearsal::of($setting, $chance);
        $levers = [];
        foreach (self::changes($plan, $policies) as $name => $changed) {
            [$other] = $changed->setting($times);
            $then = Rehearsal::of($other, $chance);
            $gain = Answer::quantile($answer->finishes, 0.9) - Answer::quantile($then->finishes, 0.9)
                + $plan->after($times) - $changed->after($times);
            if ($gain >= 60 * self::WORTH) {
                $levers[] = new Lever(
                    $name,
                    $gain / 60,
                    ($then->share ?? 0.0) - ($answer->share ?? 0.0),
                    $name === 'prepared' ? $changed->policies->prepared : null,
                );
            }
        }
        usort($levers, static fn (Lever $a, Lever $b): int => [$b->share, $b->minutes] <=> [$a->share, $a->minutes]);

        return new self(
            $answer,
            $plan->after($times),
            $answer->allDoneBy($setting->bell ?? INF),
            self::waveOf($answer, $numbers),
            self::holdsOf($answer, $setting, $numbers),
            $levers,
        );
    }

    /** @return array<string, Plan> by name of the lever */
    private static function changes(Plan $plan, PolicyTable $policies): array
    {
        $room = $plan->room;
        $changes = [];
        if (Bounds::holds(Bounds::HELPERS, $room->helpers + 1)) {
            $changes['helper'] = ['room' => new Room($room->learners, $room->helpers + 1, $room->ageBand)];
        }
        if ($plan->squaring > 0) {
            $changes['squares'] = ['squaring' => 0];
        }
        if ($plan->decorate !== 'none') {
            $changes['decorate'] = ['decorate' => 'none'];
        }
        $first = self::worthPreparing($plan);
        if ($first !== null && $first > $plan->policies->prepared) {
            $changes['prepared'] = [
                'policies' => Policies::of($policies, $plan->policies->chosen, $first),
            ];
        }
        if ($plan->policies->chosen['exact'] !== 'forgiving') {
            $changes['forgiving'] = ['policies' => Policies::of(
                $policies,
                ['exact' => 'forgiving'] + $plan->policies->chosen,
                $plan->policies->prepared,
            )];
        }

        return array_map(static fn (array $change): Plan => $plan->with($change), $changes);
    }

    /** The steps to the last checkpoint in the first half of the first model; more would be folded by others. */
    private static function worthPreparing(Plan $plan): ?int
    {
        $steps = $plan->models[0]->steps ?? [];
        $best = null;
        foreach ($steps as $i => $step) {
            if ($step->checkpoint && 2 * ($i + 1) <= count($steps)) {
                $best = $i + 1;
            }
        }

        return $best;
    }

    /**
     * @param  list<int|null>  $numbers
     * @return list<array{t: float, slowest: int, middle: int, fastest: int}>
     */
    private static function waveOf(Answer $answer, array $numbers): array
    {
        $done = static fn (int $at): int => max([0, ...array_filter(array_slice($numbers, 0, $at - 1))]);
        $wave = [];
        foreach ($answer->wave as ['t_s' => $t, 'slowest' => $slowest, 'middle' => $middle, 'fastest' => $fastest]) {
            $wave[] = [
                't' => $t,
                'slowest' => $done($slowest),
                'middle' => $done($middle),
                'fastest' => $done($fastest),
            ];
            if ($slowest > count($numbers)) {
                break;
            }
        }

        return $wave;
    }

    /**
     * @param  list<int|null>  $numbers
     * @return list<array{step: int, wait: float, to: float}>
     */
    private static function holdsOf(Answer $answer, Setting $setting, array $numbers): array
    {
        $holds = [];
        $at = 0.0;
        foreach ($setting->steps as $k => $step) {
            $at += $step->demo + $answer->holds[$k];
            if ($numbers[$k] !== null && $answer->waits[$k] >= 60 * self::LONG) {
                $holds[] = ['step' => $numbers[$k], 'wait' => $answer->waits[$k], 'to' => $at];
            }
        }
        usort($holds, static fn (array $a, array $b): int => $b['wait'] <=> $a['wait']);

        return array_slice($holds, 0, self::HOLDS);
    }
}
