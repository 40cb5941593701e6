<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Pacing\Live\LiveForecast;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Rules\PolicyTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Effort;
use Tests\Support\Folds;
use Tests\Support\Sheets;
use Tests\Support\TaughtRoom;

/** How a lesson under way goes on, said from its log: held against rooms that the rehearsal played to their end. */
final class LiveForecastTest extends TestCase
{
    private const MODELS = ['drinking-cup', 'swan', 'crane'];

    /** @return iterable<string, array{float}> */
    public static function paces(): iterable
    {
        yield 'a room as planned' => [1.0];
        yield 'a room that takes 1.3 times as long' => [1.3];
    }

    /**
     * 40 rooms of 8 to 18 learners, looked at when a quarter, half and three quarters of the steps are begun. Of 40
     * bands that hold 80 % a binomial has 26 to 38 in 98 of 100 cases (400 rooms of each pace, played once: 78 to 82
     * %). The band narrows as the lesson goes on.
     */
    #[DataProvider('paces')]
    public function testTheBandHoldsTheTruthInEightOfTenRooms(float $slower): void
    {
        $times = self::times();
        $held = $width = [4 => 0.0, 2 => 0.0, 1 => 0.0];
        for ($seed = 1; $seed <= 40; $seed++) {
            $plan = self::plan([8, 12, 18][$seed % 7 % 3], self::MODELS[$seed % 3], $seed % 3);
            $room = TaughtRoom::played($plan, $times, $slower, 100 + $seed);
            foreach ([4 => 0.25, 2 => 0.5, 1 => 0.75] as $key => $share) {
                [$soFar, $now] = $room->at(max(2, (int) ceil($share * $room->steps)));
                $forecast = LiveForecast::of($plan, $times, $soFar, $now);
                self::assertNotNull($forecast);
                [$early, $late] = [$forecast->end(0.1), $forecast->end(0.9)];
                $held[$key] += (int) ($room->finish >= $early && $room->finish <= $late);
                $width[$key] += $late - $early;
            }
        }
        foreach ($held as $key => $of) {
            self::assertTrue($of >= 26 && $of <= 38, "$of of 40 with $key of four quarters to go");
        }
        self::assertGreaterThan($width[2], $width[4]);
        self::assertGreaterThan($width[1], $width[2]);
    }

    /**
     * Without chance the pace is exact. All fold alike and nobody is stuck, so every step takes its showing and its
     * fold, 1.3 times as long as planned; so does the rest: the forecast is the truth, to the second.
     */
    public function testWithoutChanceThePaceIsExact(): void
    {
        $times = self::times(['slowest_spread' => 0, 'own_spread' => 0], ['stuck_rate' => 0]);
        $plan = self::plan(10, 'drinking-cup', 1);
        $room = TaughtRoom::played($plan, $times, 1.3, 1);
        [$soFar, $now] = $room->at(3);
        $forecast = LiveForecast::of($plan, $times, $soFar, $now);
        self::assertNotNull($forecast);
        self::assertEqualsWithDelta(1.3, $forecast->pace, 0.001);
        foreach ([0.1, 0.5, 0.9] as $quantile) {
            self::assertEqualsWithDelta($room->finish, $forecast->end($quantile), 1.0);
        }
        self::assertSame(array_fill(0, 10, 1.0), $forecast->chances);
        self::assertNull($forecast->until);
    }

    /** Step 16 of a crane: learner 3 is at step 12 and learner 5 waits for help at 15; all others are as one. */
    public function testWhoIsBehindIsLessLikelyToBeDoneByTheBell(): void
    {
        $plan = self::plan(12, 'crane', 1, minutes: 58);
        $lines = ['1 started marks:exception', '2 moved @1 t:420'];
        for ($step = 2; $step <= 16; $step++) {
            $lines[] = ($step + 1)." moved @$step t:".(420 + 150 * ($step - 1));
        }
        $behind = [...$lines, '18 not-yet 3 @12 t:2680', '19 help 5 @15 t:2680'];
        $of = static fn (string ...$said): LiveForecast => LiveForecast::of(
            $plan,
            self::times(),
            TaughtRoom::soFar(array_values($said), 17, 12, 2690),
            2690,
        ) ?? self::fail('nothing is said');
        [$all, $some] = [$of(...$lines), $of(...$behind)];
        $others = array_diff_key($some->chances, [3 => 0, 5 => 0]);
        self::assertLessThan(min([1.0, ...$others]), $some->chances[3]);
        self::assertLessThan($some->chances[5], $some->chances[3]);
        self::assertGreaterThan($all->end(0.5), $some->end(0.5), 'the last of them is done later');
        // of whom nothing is said nobody is another's better
        self::assertLessThan(0.12, max([0.0, ...$all->chances]) - min([1.0, ...$all->chances]));
        // who is away is not waited for
        $away = $of(...$behind, ...['20 away 3 t:2681', '21 left 5 t:2682']);
        self::assertSame([0, 1, 2, 4, 6, 7, 8, 9, 10, 11], array_keys($away->chances));
        self::assertLessThan($some->end(0.5), $away->end(0.5));
    }

    /** A crane of 17 steps that is at step 5 after a third of its hour: it stops at a checkpoint. */
    public function testWhereToStopIsSaidWhenNotAllAreDoneInTime(): void
    {
        $plan = self::plan(18, 'crane', 1, minutes: 60);
        $lines = ['1 started marks:exception'];
        for ($step = 1; $step <= 5; $step++) {
            $lines[] = ($step + 1)." moved @$step t:".(420 + 190 * ($step - 1));
        }
        $forecast = LiveForecast::of($plan, self::times(), TaughtRoom::soFar($lines, 17, 18, 1190), 1190);
        self::assertNotNull($forecast);
        self::assertGreaterThan(1.2, $forecast->pace);
        self::assertLessThan(0.05, $forecast->everybody());
        $checkpoints = array_keys(array_filter(array_column(Folds::loads('crane'), 'checkpoint')));
        self::assertContains($forecast->until, array_map(static fn (int $i): int => $i + 1, $checkpoints));
        // at the very end nothing more is reached, so none is named
        $late = LiveForecast::of($plan, self::times(), TaughtRoom::soFar($lines, 17, 18, 3590), 3590);
        self::assertNull($late?->until);
        self::assertLessThan(0.05, $late?->everybody());
    }

    /** All is shown: who is along has folded, and only those who are not are waited for. */
    public function testAfterTheLastStepOnlyThoseBehindAreWaitedFor(): void
    {
        $plan = self::plan(3, 'drinking-cup', 1);
        $steps = count(Folds::loads('drinking-cup'));
        $lines = ['1 started marks:exception', '2 moved @1 t:400', "3 not-yet 2 @$steps t:900",
            '4 moved @'.($steps + 1).' t:900'];
        $forecast = LiveForecast::of($plan, self::times(), TaughtRoom::soFar($lines, $steps, 3, 905), 905);
        self::assertNotNull($forecast);
        self::assertGreaterThan(905.0, $forecast->end(0.5));
        self::assertLessThan(1500.0, $forecast->end(0.9));
        $done = [...$lines, "5 done 2 @$steps t:910"];
        $all = LiveForecast::of($plan, self::times(), TaughtRoom::soFar($done, $steps, 3, 912), 912);
        self::assertEqualsWithDelta(905.0, $all?->end(0.9), 10.0);
    }

    public function testNothingIsSaidWhereNobodyGoesOnTogether(): void
    {
        $plan = self::plan(8, 'drinking-cup', 1);
        $none = TaughtRoom::soFar(['1 started marks:exception'], 8, 8, 10);
        self::assertNull(LiveForecast::of($plan, self::times(), $none, 10));
        $away = array_map(static fn (int $l): string => ($l + 3)." away $l", range(0, 7));
        $nobody = TaughtRoom::soFar(['1 started marks:exception', '2 moved @1', ...$away], 8, 8, 10);
        self::assertNull(LiveForecast::of($plan, self::times(), $nobody, 10));
        $policies = PolicyTable::fromArray((array) Yaml::parseFile(Sheets::LIBRARY.'/policies.yaml'));
        $cards = Sheets::plan(
            new Room(8, 1, 'junior'),
            [new ModelLoad(Folds::loads('drinking-cup'), [])],
            60,
            policies: Policies::of($policies, ['show' => 'cards']),
        );
        $begun = TaughtRoom::soFar(['1 started marks:exception', '2 moved @1'], 8, 8, 10);
        self::assertNull(LiveForecast::of($cards, self::times(), $begun, 10));
    }

    /** 40 learners at half of a crane: a third of a second of processor time. */
    public function testALargeRoomIsAnsweredWhileNobodyWaits(): void
    {
        $plan = self::plan(40, 'crane', 2);
        [$soFar, $now] = TaughtRoom::played($plan, self::times(), 1.0, 7)->at(9);
        $seconds = Effort::of(static fn (): ?LiveForecast => LiveForecast::of($plan, self::times(), $soFar, $now));
        self::assertLessThan(0.5, $seconds);
    }

    private static function plan(int $learners, string $model, int $helpers, int $minutes = 90): Plan
    {
        return Sheets::plan(
            new Room($learners, $helpers, 'junior'),
            [new ModelLoad(Folds::loads($model), [])],
            $minutes,
            gate: 0.8,
        );
    }

    /**
     * @param  array<string, float>  $changes
     * @param  array<string, float>  $all  every value of a map
     */
    private static function times(array $changes = [], array $all = []): BaseTimes
    {
        static $read = null;
        $read ??= array_map(
            static fn (string $name): array => Yaml::parseFile(Sheets::LIBRARY."/$name.yaml"),
            ['base-times', 'folds'],
        );
        $file = [...$read[0], ...$changes];
        foreach ($all as $map => $value) {
            $file[$map] = array_map(static fn (): float => $value, $file[$map]);
        }

        return BaseTimes::fromArray($file, FoldTable::fromArray($read[1]));
    }
}
