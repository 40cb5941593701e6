<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Block;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Forecast;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Pacing\StepTimes;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Rules\PolicyTable;
use Cathedra\Core\Rules\TeachingRules;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;
use Tests\Support\Sheets;

/** A lesson as a room: what its steps take, how it will go, and what would help. */
final class ForecastTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../../library';

    /**
     * Valley 40 s, on both sides 1.8 x 40 = 72; through six layers 40 (1 + 4 x 0.1) = 56. A repetition of the first two
     * takes 0.7 (40 + 72) = 78.4 and is shown in 0.5 (10 + 10). Stuck: by the level of the step (here 0.1 for 1, 0.4
     * for 5), less where the fold's weight is under 1; a repetition half of the likeliest of what it repeats.
     */
    public function testARepetitionIsTimedByWhatItRepeats(): void
    {
        $all = StepTimes::of(new ModelLoad([
            new StepLoad('valley', 1, false, false),
            new StepLoad('valley', 2, true, false),
            new StepLoad(fold: 'valley', layers: 6, twice: false, checkpoint: false, repeats: [], level: 5),
            new StepLoad(fold: 'repeat', layers: 1, twice: false, checkpoint: false, repeats: [1, 2]),
            new StepLoad(fold: 'repeat', layers: 1, twice: false, checkpoint: false, repeats: [4, 3]),
        ]), Sheets::times(['stuck_rate' => [1 => 0.1, 2 => 0.1, 3 => 0.1, 4 => 0.1, 5 => 0.4]]));
        self::assertEqualsWithDelta(
            [40.0, 72.0, 56.0, 78.4, 0.7 * (78.4 + 56)],
            array_map(static fn (StepTimes $t): float => $t->fold, $all),
            1e-9,
        );
        self::assertEqualsWithDelta(
            [10.0, 10.0, 10.0, 10.0, 10.0],
            array_map(static fn (StepTimes $t): float => $t->show, $all),
            1e-9,
        );
        self::assertEqualsWithDelta(
            [0.1, 0.1, 0.4, 0.05, 0.2],
            array_map(static fn (StepTimes $t): float => $t->stuck, $all),
            1e-9,
        );
    }

    /** Of the library's own numbers: more folds of the hands take longer, and hardly anybody is stuck at a turn. */
    public function testTheHandsCountMoreThanTheName(): void
    {
        $fold = static fn (string $kind): StepTimes => StepTimes::of(
            new ModelLoad([new StepLoad($kind, 1, false, false)]),
            self::times(),
        )[0];
        self::assertGreaterThan($fold('valley')->fold * 1.5, $fold('kite')->fold);
        self::assertGreaterThan($fold('kite')->fold * 1.5, $fold('blintz')->fold);
        self::assertLessThan($fold('petal')->fold, $fold('inside-reverse')->fold);
        self::assertLessThan($fold('valley')->fold / 1.5, $fold('turn-over')->fold);
        self::assertLessThan(0.01, $fold('turn-over')->stuck);
        // A squash of 8 + 16 x 2 x 1.2 = 46.4 s, shown in 6 + 9 x 2 x 1.2 = 27.6
        self::assertEqualsWithDelta([46.4, 27.6], [$fold('squash')->fold, $fold('squash')->show], 1e-9);
    }

    /** A second side or a repetition takes 0.6 to 0.85 of what it repeats, in every model and every way. */
    public function testNoRepetitionTakesLongerThanWhatItRepeats(): void
    {
        $seen = 0;
        foreach (Folds::slugs() as $slug) {
            $model = self::load($slug);
            $all = StepTimes::of($model, self::times());
            foreach ($model->steps as $i => $step) {
                if ($step->repeats !== []) {
                    $first = array_sum(array_map(static fn (int $n): float => $all[$n - 1]->fold, $step->repeats));
                    self::assertGreaterThanOrEqual(0.6, $all[$i]->fold / $first, "$slug ".($i + 1));
                    self::assertLessThanOrEqual(0.85, $all[$i]->fold / $first);
                    $seen++;
                }
                self::assertTrue($all[$i]->stuck >= 0 && $all[$i]->stuck <= 0.6);
            }
        }
        self::assertGreaterThan(10, $seen);
    }

    /** Whatever is changed, the steps stand in the same places: what is left out takes no time. */
    public function testEveryChangeKeepsThePlacesOfTheSteps(): void
    {
        $plan = self::plan(slug: 'crane', learners: 12, helpers: 1, squaring: 600, decorate: 'before');
        $setting = $plan->setting(self::times());
        $numbers = self::numbers($plan);
        self::assertSame(range(1, 17), array_values(array_filter($numbers)));
        foreach (['squaring' => 0, 'decorate' => 'none', 'room' => new Room(12, 3, 'adult')] as $what => $value) {
            $changed = $plan->with([$what => $value]);
            self::assertSame($numbers, self::numbers($changed));
            self::assertCount(count($setting->steps), $changed->setting(self::times())->steps);
        }
        $changed = $plan->with(['policies' => Policies::of(self::policies(), [], 6)]);
        $other = $changed->setting(self::times());
        self::assertSame($numbers, self::numbers($changed));
        $folding = static fn ($s): float => array_sum(array_map(static fn ($t): float => $t->fold, $s->steps));
        self::assertLessThan($folding($setting), $folding($other));
        // 90 minutes less 4 for clearing up
        self::assertSame(60.0 * 86, $setting->bell);
    }

    public function testWhatHelpsComesMostUsefulFirstAndIsTrueWithOtherSeeds(): void
    {
        $plan = self::plan('crane', 24, 1, squaring: 900);
        $forecast = Forecast::of($plan, self::times(), self::policies());
        $names = array_map(static fn ($l): string => $l->name, $forecast->levers);
        self::assertContains('squares', $names);
        self::assertContains('helper', $names);
        self::assertContains('prepared', $names);
        self::assertNotContains('decorate', $names, 'nothing is decorated');
        $shares = array_map(static fn ($l): float => $l->share, $forecast->levers);
        $falling = $shares;
        rsort($falling);
        self::assertSame($falling, $shares);
        $now = $plan->setting(self::times());
        $helped = $now->with(['helpers' => 2]);
        $right = 0;
        for ($seed = 100; $seed < 120; $seed++) {
            $chance = Rehearsal::chance($now, 60, $seed);
            $right += Answer::quantile(Rehearsal::of($helped, $chance)->finishes, 0.9)
                < Answer::quantile(Rehearsal::of($now, $chance)->finishes, 0.9) ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(19, $right, 'the sign of a lever, by 20 fresh seeds');
    }

    /** Squares cut before: exactly the time of squaring, for nothing else changes and all wait for it. */
    public function testCuttingBeforeGainsWhatCuttingTakes(): void
    {
        $forecast = Forecast::of(self::plan('house', 10, 2, squaring: 600), self::times(), self::policies());
        $squares = array_values(array_filter($forecast->levers, static fn ($l): bool => $l->name === 'squares'))[0];
        self::assertEqualsWithDelta(10.0, $squares->minutes, 1.0);
        self::assertNull($squares->steps);
    }

    public function testOneAdultAloneAndASecondHelperComeOutSane(): void
    {
        $alone = Forecast::of(self::plan('crane', 1, 1), self::times(), self::policies());
        // 6.5 minutes of arriving and handing out, 3 of checkpoints, the rest is folding; it was said to take 55
        self::assertLessThan(38 * 60, Answer::quantile($alone->now->answer->finishes, 0.5));
        self::assertGreaterThan(22 * 60, Answer::quantile($alone->now->answer->finishes, 0.5));
        $twenty = static fn (int $helpers): float => Answer::quantile(Forecast::of(
            self::plan('crane', 20, $helpers),
            self::times(),
            self::policies(),
        )->now->answer->finishes, 0.9);
        self::assertGreaterThan(60.0, $twenty(1) - $twenty(2), 'a second helper is felt by twenty');
    }

    public function testHoldsAreStepsOfTheLessonLongestFirst(): void
    {
        $forecast = Forecast::of(self::plan('crane', 20, 1), self::times(), self::policies());
        self::assertNotSame([], $forecast->now->holds);
        self::assertLessThanOrEqual(2, count($forecast->now->holds));
        $minutes = array_column($forecast->now->holds, 'wait');
        self::assertSame(max($minutes ?: [0]), $minutes[0]);
        foreach (array_column($forecast->now->holds, 'step') as $step) {
            self::assertTrue($step >= 1 && $step <= 17);
        }
    }

    /** Sixty learners, five models twice over: less often, but answered. */
    public function testALongLessonIsPlayedLessOften(): void
    {
        $plan = self::plan('crane', 60, 3);
        $model = new ModelLoad($plan->models[0]->steps, [], 3);
        $forecast = Forecast::of($plan->with(['models' => array_fill(0, 5, $model)]), self::times(), self::policies());
        self::assertLessThan(Forecast::RUNS, count($forecast->now->answer->finishes));
        self::assertGreaterThanOrEqual(40, count($forecast->now->answer->finishes));
        self::assertSame(0.0, $forecast->now->answer->share);
    }

    /** One learner and sixty, nobody to help, ten minutes and three hours: figures a lead could believe. */
    public function testTheEdgesComeOutSane(): void
    {
        $rooms = [[1, 0, 10], [1, 1, 180], [8, 0, 120], [60, 0, 10], [60, 2, 180], [60, 20, 180]];
        foreach ($rooms as [$n, $helpers, $slot]) {
            $plan = self::plan('crane', $n, $helpers)->with(['minutes' => $slot]);
            $forecast = Forecast::of($plan, self::times(), self::policies());
            $answer = $forecast->now->answer;
            [$early, $middle, $late] = array_map($forecast->now->end(...), [0.1, 0.5, 0.9]);
            self::assertTrue($early > 0 && $early <= $middle && $middle <= $late, "$n $helpers");
            self::assertLessThan($n === 60 && $helpers === 0 ? 5 * 3600 : 3 * 3600, $late, "$n with $helpers");
            self::assertTrue($answer->share >= 0 && $answer->share <= 1 && $answer->busy >= 0 && $answer->busy <= 1);
            self::assertTrue($answer->idle >= 0 && $answer->queue >= 0);
            self::assertSame($slot === 10 ? 0.0 : 1.0, round($answer->share ?? -1, 1), "$n learners in $slot minutes");
            foreach ($forecast->levers as $lever) {
                self::assertGreaterThan(0, $lever->minutes);
                self::assertGreaterThanOrEqual(-0.02, $lever->share, $lever->name);
            }
            self::assertNull($forecast->now->until, 'done, or no checkpoint so soon');
        }
    }

    public function testAnUnknownAgeIsRefused(): void
    {
        $this->expectException(BadPlan::class);
        $this->expectExceptionMessage('no age band called "ancient"');
        $plan = self::plan('house', 5, 1)->with(['room' => new Room(5, 1, 'ancient')]);
        Forecast::of($plan, self::times(), self::policies());
    }

    /** @param  'none'|'before'|'after'  $decorate */
    private static function plan(
        string $slug,
        int $learners,
        int $helpers,
        int $squaring = 0,
        string $decorate = 'none',
    ): Plan {
        return Plan::of(
            room: new Room($learners, $helpers, 'adult'),
            models: [self::load($slug)],
            minutes: 90,
            squaring: $squaring,
            decorate: $decorate,
            policies: Policies::usual(),
            rules: TeachingRules::fromArray(self::yaml('teaching-rules')),
        );
    }

    private static function load(string $slug): ModelLoad
    {
        return new ModelLoad(Folds::loads($slug));
    }

    /** @return list<int|null> */
    private static function numbers(Plan $plan): array
    {
        return array_map(
            static fn (Block $block): ?int => $block->kind === 'step' ? $block->step : null,
            $plan->blocks(self::times()),
        );
    }

    private static function times(): BaseTimes
    {
        return BaseTimes::fromArray(self::yaml('base-times'), FoldTable::fromArray(self::yaml('folds')));
    }

    private static function policies(): PolicyTable
    {
        return PolicyTable::fromArray(self::yaml('policies'));
    }

    /** @return array<string, mixed> */
    private static function yaml(string $name): array
    {
        return (array) Yaml::parseFile(self::LIBRARY."/$name.yaml");
    }
}
