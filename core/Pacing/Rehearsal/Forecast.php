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
     * @param  list<array{step: int, minutes: float}>  $holds  the longest waits, mean minutes a learner
     * @param  list<Lever>  $levers  most useful first
     * @param  list<int|null>  $numbers  by step of the answer, the step of the lesson; null for blocks
     * @param  list<float>  $demos  by step of the answer, seconds of its demonstration, or of its block
     */
    private function __construct(
        public Answer $answer,
        public float $after,
        public array $holds,
        public array $levers,
        public array $numbers,
        public array $demos,
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

        return new self($answer, $plan->after($times), self::holds($answer, $numbers), $levers, $numbers, array_map(
            static fn (Step $step): float => $step->demo,
            $setting->steps,
        ));
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
     * @return list<array{step: int, minutes: float}>
     */
    private static function holds(Answer $answer, array $numbers): array
    {
        $holds = [];
        foreach ($answer->waits as $k => $seconds) {
            if ($numbers[$k] !== null && $seconds >= 60 * self::LONG) {
                $holds[] = ['step' => $numbers[$k], 'minutes' => $seconds / 60];
            }
        }
        usort($holds, static fn (array $a, array $b): int => $b['minutes'] <=> $a['minutes']);

        return array_slice($holds, 0, self::HOLDS);
    }
}
