<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Forecast;
use Cathedra\Core\Pacing\Rehearsal\PacedStep;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Rules\PolicyTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Sheets;

/** Small groups that fold one after the other. */
final class RotationTest extends TestCase
{
    /**
     * 60 s once, then steps of 10 + 40 and 20 + 30: a round takes 100. Three rounds with 15 s between: the first ends
     * at 160, the next at 275, the last at 390; learners at 275 in the mean; by the bell at 300 two groups of three.
     */
    public function testWithoutChanceItIsASum(): void
    {
        $setting = new RehearsedRoom(
            learners: 4,
            helpers: 0,
            gate: 1.0,
            between: 0.0,
            within: 0.0,
            factor: 1.0,
            miss: 1.0,
            bell: 300.0,
            steps: [
                new PacedStep(demo: 60.0, fold: 0.0, stuck: 0.0, help: 0.0, checkpoint: false),
                new PacedStep(demo: 10.0, fold: 40.0, stuck: 0.0, help: 0.0, checkpoint: false),
                new PacedStep(demo: 20.0, fold: 30.0, stuck: 0.0, help: 0.0, checkpoint: false),
            ],
            rounds: 3,
            once: 60.0,
            change: 15.0,
        );
        $answer = Rehearsal::of($setting, Rehearsal::chance($setting, 50, 1));
        self::assertEqualsWithDelta(390.0, $answer->mean(), 1e-9);
        self::assertEqualsWithDelta(275.0, $answer->learner, 1e-9);
        self::assertEqualsWithDelta(2 / 3, $answer->share, 1e-9);
        self::assertEqualsWithDelta(230.0, $answer->earlier, 1e-9);
        self::assertEqualsWithDelta(0.0, $answer->idle, 1e-9);
        self::assertSame(4, $answer->wave[count($answer->wave) - 1]['slowest'], 'all is done in the end');
        foreach ($answer->wave as ['slowest' => $slowest, 'middle' => $middle, 'fastest' => $fastest]) {
            self::assertLessThanOrEqual($middle, $slowest);
            self::assertLessThanOrEqual($fastest, $middle);
        }
    }

    /** With chance: as long as its rounds in the mean; the spread grows as independent rounds' does, by their root. */
    public function testChanceAddsUpRoundByRound(): void
    {
        $steps = array_fill(0, 6, new PacedStep(demo: 10.0, fold: 40.0, stuck: 0.1, help: 30.0, checkpoint: false));
        $one = new RehearsedRoom(
            learners: 6,
            helpers: 1,
            gate: 1.0,
            between: 0.3,
            within: 0.25,
            factor: 1.0,
            miss: 2.0,
            bell: null,
            steps: $steps,
        );
        $many = $one->with(['rounds' => 4, 'change' => 20.0]);
        $chance = Rehearsal::chance($one, 2000, 5);
        [$round, $all] = [Rehearsal::of($one, $chance), Rehearsal::of($many, $chance)];
        self::assertEqualsWithDelta(4 * $round->mean() + 60, $all->mean(), 1e-6 * $all->mean());
        self::assertEqualsWithDelta(2.0, self::spread($all->finishes) / self::spread($round->finishes), 0.25);
        self::assertSame($round->holds, $all->holds);
    }

    /** Whatever the number of runs, each group walks through every played round: the mean is exact. */
    public function testEveryPlayedRoundComesOnceToEachGroup(): void
    {
        foreach ([1, 2, 7, 40, 49, 91, 250] as $runs) {
            $steps = array_fill(0, 4, new PacedStep(demo: 5.0, fold: 30.0, stuck: 0.1, help: 20.0, checkpoint: false));
            $one = new RehearsedRoom(
                learners: 5,
                helpers: 1,
                gate: 1.0,
                between: 0.4,
                within: 0.3,
                factor: 1.0,
                miss: 2.0,
                bell: null,
                steps: $steps,
            );
            $chance = Rehearsal::chance($one, $runs, 3);
            $mean = Rehearsal::of($one, $chance)->mean();
            $all = Rehearsal::of($one->with(['rounds' => 12]), $chance);
            self::assertEqualsWithDelta(12 * $mean, $all->mean(), 1e-6 * $mean, "$runs runs");
        }
    }

    /** @return iterable<string, array{int, int}> learners, rounds of six at most */
    public static function rooms(): iterable
    {
        yield 'one' => [1, 1];
        yield 'a table full' => [6, 1];
        yield 'one more' => [7, 2];
        yield 'a class' => [24, 4];
        yield 'sixty' => [60, 10];
    }

    #[DataProvider('rooms')]
    public function testSoManyGroupsAsTablesAreNeeded(int $learners, int $rounds): void
    {
        $plan = Sheets::plan(
            new Room($learners, 1, 'junior'),
            [new ModelLoad(array_fill(0, 6, new StepLoad('valley', 1, false, false)))],
            60,
            policies: Policies::of(self::policies(), ['show' => 'groups']),
        );
        $times = Sheets::times();
        self::assertSame($rounds, $plan->rounds($times));
        $sheet = Sheets::sheet($plan);
        $keys = array_column($sheet->lines, 'key');
        self::assertSame($rounds > 1, in_array('other-groups', $keys, true));
        $together = $plan->with(['policies' => Policies::usual()]);
        $rounds === 1 || self::assertGreaterThan(
            1.5,
            Forecast::rehearse($plan, $times)->mean() / Forecast::rehearse($together, $times)->mean(),
        );
    }

    public function testFoldingTogetherIsALeverThen(): void
    {
        $plan = Sheets::plan(
            new Room(18, 1, 'junior'),
            [new ModelLoad(array_fill(0, 6, new StepLoad('valley', 1, false, false)))],
            40,
            policies: Policies::of(self::policies(), ['show' => 'groups']),
        );
        $levers = Forecast::of($plan, Sheets::times(), self::policies())->levers;
        self::assertContains('together', array_column($levers, 'name'));
    }

    /** @param  list<float>  $of */
    private static function spread(array $of): float
    {
        return Answer::quantile($of, 0.84) - Answer::quantile($of, 0.16);
    }

    private static function policies(): PolicyTable
    {
        return PolicyTable::fromArray(Yaml::parseFile(__DIR__.'/../../../library/policies.yaml'));
    }
}
