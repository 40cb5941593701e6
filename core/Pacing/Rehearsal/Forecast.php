<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Policies;
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

    /** Kinds of fold that leave the paper as flat as it was. */
    private const GUIDES = ['crease', 'pinch-mark', 'turn-over', 'rotate'];

    /** Minutes; a lever that gains less is not worth saying. */
    private const WORTH = 0.5;

    /** @param  list<Lever>  $levers  most useful first */
    private function __construct(public Outlook $now, public array $levers)
    {
    }

    /** @throws BadPlan */
    public static function rehearse(Plan $plan, BaseTimes $times): Answer
    {
        $setting = $plan->setting($times);

        return Rehearsal::of($setting, self::chance($setting));
    }

    /**
     * @param  list<array{string, Plan}>  $others  lessons that the lead may give instead, each with the name of its
     *     lever: way, easier
     *
     * @throws BadPlan
     */
    public static function of(Plan $plan, BaseTimes $times, PolicyTable $policies, array $others = []): self
    {
        $setting = $plan->setting($times);
        $chance = self::chance($setting);
        $now = Outlook::of($plan, Rehearsal::of($setting, $chance), $times);
        $levers = [];
        $try = static function (string $name, Plan $changed, ?int $other = null) use (
            &$levers,
            $now,
            $times,
            $setting,
            $chance,
        ): void {
            $then = $changed->setting($times);
            // other steps need other chance; what has the same steps is compared on the same
            $isSame = count($then->steps) === count($setting->steps) && $then->learners === $setting->learners;
            $drawn = $isSame ? $chance : self::chance($then);
            $outlook = Outlook::of($changed, Rehearsal::of($then, $drawn), $times);
            $gain = $now->end(0.9) - $outlook->end(0.9);
            if ($gain >= 60 * self::WORTH) {
                $levers[] = new Lever(
                    name: $name,
                    minutes: $gain / 60,
                    share: ($outlook->answer->share ?? 0.0) - ($now->answer->share ?? 0.0),
                    then: $outlook,
                    steps: match ($name) {
                        'prepared', 'guides' => $changed->policies->prepared,
                        'split' => count($changed->models[0]->steps),
                        default => null,
                    },
                    other: $other,
                );
            }
        };
        foreach (self::changes($plan, $policies, $now) as $name => $changed) {
            $try($name, $changed);
        }
        foreach ($others as $i => [$name, $other]) {
            $try($name, $other, $i);
        }
        usort($levers, static fn (Lever $a, Lever $b): int => [$b->share, $b->minutes] <=> [$a->share, $a->minutes]);

        return new self($now, $levers);
    }

    private static function chance(RehearsedRoom $setting): Chance
    {
        $size = $setting->learners * count($setting->steps);

        return Rehearsal::chance($setting, max(self::FEWEST, min(self::RUNS, intdiv(self::WORK, $size))), self::SEED);
    }

    /** @return array<string, Plan> by name of the lever */
    private static function changes(Plan $plan, PolicyTable $policies, Outlook $now): array
    {
        $room = $plan->room;
        $chosen = $plan->policies->chosen;
        $policy = static fn (array $with, ?int $prepared = null): array => [
            'policies' => Policies::of($policies, $with + $chosen, $prepared ?? $plan->policies->prepared),
        ];
        $changes = [];
        if (Bounds::holds(Bounds::HELPERS, $room->helpers + 1)) {
            $changes['helper'] = ['room' => $room->with(['helpers' => $room->helpers + 1])];
        }
        if ($plan->squaring > 0) {
            $changes['squares'] = ['squaring' => 0];
        }
        if ($plan->decorate !== 'none') {
            $changes['decorate'] = ['decorate' => 'none'];
        }
        $first = self::worthPreparing($plan);
        if ($first !== null && $first > $plan->policies->prepared) {
            $changes['prepared'] = $policy([], $first);
        }
        $guides = self::guides($plan);
        if ($guides > $plan->policies->prepared && $guides !== $first) {
            $changes['guides'] = $policy([], $guides);
        }
        $model = $plan->models[0];
        if ($now->until !== null && $now->until < count($model->steps) && count($plan->models) === 1) {
            $changes['split'] = ['models' => [$model->upTo($now->until)]];
        }
        if ($chosen['exact'] !== 'forgiving') {
            $changes['forgiving'] = $policy(['exact' => 'forgiving']);
        }
        if ($chosen['show'] === 'along') {
            $changes['twice'] = $policy(['show' => 'twice']);
        }
        if ($plan->policies->isInGroups()) {
            $changes['together'] = $policy(['show' => 'along']);
        }
        if (! $plan->policies->isSelfPaced() && $room->learners > 1) {
            $changes['cards'] = $policy(['show' => 'cards']);
        }
        if ($chosen['pace'] === 'everybody') {
            $changes['wait'] = $policy(['pace' => 'wait']);
        }

        return array_map(static fn (array $change): Plan => $plan->with($change), $changes);
    }

    /** The steps at the beginning of the first model that only crease: they can be creased by others beforehand. */
    private static function guides(Plan $plan): int
    {
        $steps = $plan->models[0]->steps;
        $creased = 0;
        foreach ($steps as $i => $step) {
            if (! in_array($step->fold, self::GUIDES, true)) {
                break;
            }
            $creased = $step->fold === 'crease' ? $i + 1 : $creased;
        }

        return $creased < count($steps) ? $creased : 0;
    }

    /** The steps to the last checkpoint in the first half of the first model; more would be folded by others. */
    private static function worthPreparing(Plan $plan): ?int
    {
        $steps = $plan->models[0]->steps;
        $best = null;
        foreach ($steps as $i => $step) {
            if ($step->checkpoint && 2 * ($i + 1) <= count($steps)) {
                $best = $i + 1;
            }
        }

        return $best;
    }
}
