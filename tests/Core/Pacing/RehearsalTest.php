<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Numeric\Normal;
use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Chance;
use Cathedra\Core\Pacing\Rehearsal\PacedStep;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\PlainRoom;

/** The room that is rehearsed: against what can be worked out by hand, and against a plain list of events. */
final class RehearsalTest extends TestCase
{
    /** Nobody differs and nobody gets stuck: 2 steps of 20 to show and 40 x 1.5 to fold are 80 each, 160 in all. */
    public function testWithoutChanceTheAnswerIsExact(): void
    {
        $answer = self::play(self::room(12, 3, [new PacedStep(
            demo: 20,
            fold: 40,
            stuck: 0,
            help: 30,
            checkpoint: false,
        ), new PacedStep(demo: 20, fold: 40, stuck: 0, help: 30, checkpoint: false)], [
            'factor' => 1.5,
            'bell' => 160.0,
        ]), 5);
        $said = $answer->toArray();
        self::assertSame(['mean' => 160.0, 'p10' => 160.0, 'p50' => 160.0, 'p90' => 160.0], $said['finish_s']);
        self::assertSame(160.0, $answer->learner);
        self::assertSame([60.0, 60.0], $answer->holds);
        self::assertSame([1.0, 0.0, 0.0, 0.0], [$answer->share, $answer->idle, $answer->queue, $answer->busy]);
        self::assertSame(['t_s' => 0.0, 'slowest' => 1, 'middle' => 1, 'fastest' => 1], $answer->wave[0]);
        self::assertSame(2, $answer->wave[20]['slowest'], 'at 80 s all are at the second step');
        self::assertSame([3, 2], [$answer->wave[40]['slowest'], $said['wave'][40]['slowest']], 'done; at the last');
        self::assertSame(0.0, self::play(self::room(4, 1, [new PacedStep(
            demo: 1,
            fold: 1,
            stuck: 0,
            help: 0,
            checkpoint: false,
        )], ['bell' => 1.9]), 2)->share);
    }

    /**
     * All five stuck at once, one helper of 30 s: shown 10, folded 40, then five services in a row, 50 + 5 x 30 = 200.
     * They wait 0, 30, 60, 90 and 120 s: 5 minutes in all, one minute each. The helper works 150 of 200 s.
     */
    public function testOneHelperServesThemOneAfterTheOther(): void
    {
        $step = new PacedStep(demo: 10, fold: 40, stuck: 1, help: 30, checkpoint: true);
        $answer = self::play(self::room(5, 1, [$step]), 3);
        self::assertSame(200.0, $answer->mean());
        self::assertEqualsWithDelta(1.0, $answer->queue, 1e-12);
        self::assertEqualsWithDelta(0.75, $answer->busy, 1e-12);
        self::assertEqualsWithDelta((80 + 110 + 140 + 170 + 200) / 5, $answer->learner, 1e-9);
        // with five helpers nobody waits; without any it takes twice as long as with one
        self::assertSame(80.0, self::play(self::room(5, 5, [new PacedStep(
            demo: 10,
            fold: 40,
            stuck: 1,
            help: 30,
            checkpoint: true,
        )]), 3)->mean());
        self::assertSame(350.0, self::play(self::room(5, 0, [new PacedStep(
            demo: 10,
            fold: 40,
            stuck: 1,
            help: 30,
            checkpoint: true,
        )]), 3)->mean());
    }

    /**
     * Only the paces differ and all wait for all: the end is the demonstrations and all folding at the slowest pace.
     * The mean of the slowest of 20 paces is worked out from the distribution of the largest of 20.
     */
    public function testTheSlowestPaceDecidesWhereAllWait(): void
    {
        $sigma = 0.35;
        $steps = [new PacedStep(
            demo: 20,
            fold: 60,
            stuck: 0,
            help: 0,
            checkpoint: false,
        ), new PacedStep(
            demo: 10,
            fold: 90,
            stuck: 0,
            help: 0,
            checkpoint: false,
        ), new PacedStep(demo: 5, fold: 30, stuck: 0, help: 0, checkpoint: true)];
        $answer = self::play(self::room(20, 2, $steps, ['gate' => 1.0, 'between' => $sigma]), 4000);
        $slowest = 0.0;
        for ($i = 0; $i < 20000; $i++) {
            // the p-quantile of the largest of n is the p^(1/n) quantile of one
            $slowest += exp($sigma * Normal::quantile((($i + 0.5) / 20000) ** (1 / 20))) / 20000;
        }
        // standard error of 4,000 maxima whose spread is about 0.3: 0.005
        self::assertEqualsWithDelta(35 + 180 * $slowest, $answer->mean(), 180 * 0.02);
        // idle: at the first step a learner waits 60 (slowest - mean pace) on average; the same for 90
        $pace = exp($sigma ** 2 / 2);
        self::assertEqualsWithDelta(150 * ($slowest - $pace) / 60, $answer->idle, 0.06);
    }

    /** @return iterable<string, array{int}> */
    public static function rooms(): iterable
    {
        for ($i = 1; $i <= 60; $i++) {
            yield "room $i" => [$i];
        }
    }

    /** Random rooms, run by run on the same draws: every figure agrees with the plain list of events. */
    #[DataProvider('rooms')]
    public function testItAgreesWithAPlainListOfEvents(int $number): void
    {
        $random = new Randomizer(new Mt19937($number));
        $any = static fn (float $least, float $most): float => $least
            + ($most - $least) * $random->getInt(0, 1_000_000) / 1_000_000;
        $steps = [];
        for ($k = $random->getInt(1, 12); $k > 0; $k--) {
            $steps[] = new PacedStep(
                demo: $any(0, 60),
                fold: $any(5, 120),
                stuck: $any(0, 0.6),
                help: $any(0, 90),
                checkpoint: $random->getInt(0, 5) === 0,
            );
        }
        $setting = self::room($random->getInt(1, 25), $random->getInt(0, 4), $steps, [
            'gate' => $any(0.1, 1),
            'between' => $any(0, 0.6),
            'within' => $any(0, 0.5),
            'factor' => $any(0.5, 2),
            'miss' => $any(1, 4),
            'bell' => $any(100, 2000),
        ]);
        $runs = 8;
        $chance = Rehearsal::chance($setting, $runs, $number);
        $answer = Rehearsal::of($setting, $chance);
        [$finishes, $idle, $waited, $served, $holds, $done, $learners] = [[], 0.0, 0.0, 0.0, [], 0, 0.0];
        for ($r = 0; $r < $runs; $r++) {
            $room = PlainRoom::sharing($setting, $chance, $r);
            $finishes[] = $room->finish();
            $idle += $room->idle();
            $waited += $room->waited;
            $served += $room->served;
            $last = $room->finished[count($steps) - 1];
            $learners += array_sum($last);
            $done += count(array_filter($last, static fn (float $t): bool => $t <= $setting->bell));
            $end = 0.0;
            foreach ($steps as $k => $step) {
                $end += $step->demo;
                $gate = $room->gates[$k] ?? $room->finish();
                $holds[$k] = ($holds[$k] ?? 0.0) + ($gate - $end) / $runs;
                $end = $gate;
            }
        }
        sort($finishes);
        $all = $runs * $setting->learners;
        self::assertEqualsWithDelta($finishes, $answer->finishes, 1e-6);
        self::assertEqualsWithDelta($idle / $all / 60, $answer->idle, 1e-9, 'idle');
        self::assertEqualsWithDelta($waited / $all / 60, $answer->queue, 1e-9, 'queue');
        self::assertEqualsWithDelta($served / max(1, $setting->helpers) / array_sum($finishes), $answer->busy, 1e-9);
        self::assertEqualsWithDelta($holds, $answer->holds, 1e-6, 'holds');
        self::assertEqualsWithDelta($done / $all, (float) $answer->share, 1e-12);
        self::assertEqualsWithDelta($learners / $all, $answer->learner, 1e-6);
    }

    /** Chance drawn by other means (Mersenne Twister, Box and Muller) gives the same means within their errors. */
    public function testItAgreesWithChanceOfAnotherKind(): void
    {
        $steps = array_fill(0, 8, new PacedStep(demo: 20, fold: 60, stuck: 0.15, help: 45, checkpoint: false));
        $setting = self::room(20, 1, $steps, ['gate' => 0.8, 'between' => 0.3, 'within' => 0.25, 'bell' => 1000.0]);
        $answer = self::play($setting, 2000);
        $random = new Randomizer(new Mt19937(5));
        $uniform = static fn (): float => ($random->getInt(0, 1 << 30) + 0.5) / (1 << 30);
        $normal = static fn (): float => sqrt(-2 * log($uniform())) * cos(2 * M_PI * $uniform());
        $finishes = [];
        for ($r = 0; $r < 600; $r++) {
            $pace = array_map(static fn (): float => exp(0.3 * $normal()), range(1, 20));
            $room = PlainRoom::run($setting, $pace, static fn (): array => [exp(0.25 * $normal()), $uniform()]);
            $finishes[] = $room->finish();
        }
        $mean = array_sum($finishes) / 600;
        $spread = sqrt(array_sum(array_map(static fn (float $f): float => ($f - $mean) ** 2, $finishes)) / 599);
        $error = $spread * sqrt(1 / 600 + 1 / 2000);
        self::assertEqualsWithDelta($mean, $answer->mean(), 3.5 * $error);
        sort($finishes);
        self::assertEqualsWithDelta(
            Answer::quantile($finishes, 0.9),
            Answer::quantile($answer->finishes, 0.9),
            6 * $error,
        );
    }

    /** Where all wait for all, one more helper never makes any run later; what is drawn stays the same. */
    public function testMoreHelpersAreNeverLaterRunByRun(): void
    {
        $steps = array_fill(0, 6, new PacedStep(demo: 20, fold: 60, stuck: 0.3, help: 60, checkpoint: false));
        $setting = self::room(15, 0, $steps, ['gate' => 1.0, 'between' => 0.3, 'within' => 0.3]);
        $chance = Rehearsal::chance($setting, 200, 3);
        $before = null;
        for ($helpers = 0; $helpers <= 4; $helpers++) {
            $now = array_map(
                static fn (int $r): float => PlainRoom::sharing(
                    $setting->with(['helpers' => $helpers]),
                    $chance,
                    $r,
                )->finish(),
                range(0, 19),
            );
            $sorted = $now;
            sort($sorted);
            foreach ($before ?? [] as $r => $was) {
                self::assertLessThanOrEqual($was + 1e-9, $now[$r], "run $r with $helpers helpers");
            }
            $before = $now;
        }
        $means = array_map(
            static fn (int $h): float => Rehearsal::of($setting->with(['helpers' => $h]), $chance)->mean(),
            [0, 1, 2, 3, 4],
        );
        $falling = $means;
        rsort($falling);
        self::assertSame($falling, $means);
    }

    /** A low gate leaves demonstrations missed; the finish is U-shaped in it once missing costs enough. */
    public function testALowGateIsNotAlwaysBest(): void
    {
        $steps = array_fill(0, 12, new PacedStep(demo: 20, fold: 60, stuck: 0.15, help: 60, checkpoint: false));
        $setting = self::room(20, 1, $steps, ['between' => 0.35, 'within' => 0.25, 'miss' => 3.0]);
        $chance = Rehearsal::chance($setting, 300, 2);
        $at = static fn (float $gate): float => Rehearsal::of($setting->with(['gate' => $gate]), $chance)->mean();
        self::assertLessThan($at(0.1), $at(0.8), 'missed demonstrations fill the queue');
        self::assertLessThan($at(1.0), $at(0.8), 'nor is waiting for all the quickest');
    }

    public function testTheGateIsCountedExactly(): void
    {
        $steps = [new PacedStep(
            demo: 0,
            fold: 0,
            stuck: 0,
            help: 0,
            checkpoint: false,
        ), new PacedStep(demo: 0, fold: 0, stuck: 0, help: 0, checkpoint: true)];
        $cases = [[0.55, 20, 11], [0.8, 20, 16], [0.1, 30, 3], [0.07, 100, 7], [0.001, 5, 1], [1.0, 7, 7]];
        foreach ($cases as [$gate, $learners, $needed]) {
            $setting = self::room($learners, 1, $steps, ['gate' => $gate]);
            self::assertSame([$needed, $learners], [$setting->needed(0), $setting->needed(1)]);
        }
    }

    /** The same seed is the same lesson on every machine; more runs leave the first as they are. */
    public function testASeedIsALesson(): void
    {
        $chance = Chance::of(3, 2, 2, 7);
        self::assertSame([[2905, 2380, 33], [3035, 3759, 403]], $chance->pace);
        self::assertSame($chance->draws, array_slice(Chance::of(3, 2, 5, 7)->draws, 0, 2));
        self::assertNotSame($chance->draws, Chance::of(3, 2, 2, 8)->draws);
        $factors = Chance::factors(0.4);
        $logs = array_map(static fn (float $f): float => log($f), $factors);
        self::assertEqualsWithDelta(0.0, array_sum($logs), 1e-9);
        $squares = array_map(static fn (float $l): float => $l * $l, $logs);
        self::assertEqualsWithDelta(0.16, array_sum($squares) / 4096, 1e-12);
    }

    /** @return iterable<string, array{int, int, int}> learners, helpers, minutes of a bell */
    public static function edges(): iterable
    {
        yield 'one learner' => [1, 1, 60];
        yield 'sixty learners' => [60, 3, 60];
        yield 'no helpers' => [20, 0, 60];
        yield 'ten minutes' => [20, 2, 10];
        yield 'three hours' => [20, 2, 180];
    }

    #[DataProvider('edges')]
    public function testItIsSaneAtTheEdges(int $learners, int $helpers, int $minutes): void
    {
        $steps = array_fill(0, 15, new PacedStep(demo: 25, fold: 50, stuck: 0.1, help: 45, checkpoint: false));
        $answer = self::play(self::room($learners, $helpers, $steps, [
            'between' => 0.35,
            'within' => 0.25,
            'bell' => 60.0 * $minutes,
        ]), 100);
        self::assertGreaterThan(15 * (25 + 20), $answer->finishes[0]);
        self::assertLessThan(3 * 3600, $answer->mean());
        self::assertSame($minutes >= 60, $answer->share > 0.9);
        self::assertLessThanOrEqual(1.0, $answer->busy);
        $slowest = array_column($answer->wave, 'slowest');
        $rising = $slowest;
        sort($rising);
        self::assertSame($rising, $slowest);
        foreach ($answer->wave as ['slowest' => $low, 'middle' => $mid, 'fastest' => $high]) {
            self::assertTrue($low <= $mid && $mid <= $high);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no steps' => [['steps' => []], '"steps (their number)" must lie between 1 and 1000'];
        yield 'steps that are no list' => [['steps' => 'all'], '"steps" must be a list'];
        yield 'half a learner' => [['learners' => 1.5], '"learners" must be a whole number'];
        yield 'a crowd' => [['learners' => 400], '"learners" must lie between 1 and 200'];
        yield 'nobody at the gate' => [['gate' => 0], '"gate" must lie between'];
        yield 'a text' => [['factor' => 'slow'], '"factor" must be a number'];
        yield 'a negative bell' => [['bell_s' => -1], '"bell_s" must lie between'];
        $step = ['demo_s' => 1, 'fold_s' => 1, 'stuck_chance' => 0, 'help_s' => 1, 'checkpoint' => false];
        yield 'too likely' => [['steps' => [['stuck_chance' => 1.2] + $step]], '"steps.0.stuck_chance" must lie'];
        yield 'a day' => [['steps' => [$step, ['fold_s' => 90000] + $step]], '"steps.1.fold_s" must lie'];
        yield 'no time' => [['steps' => [array_diff_key($step, ['demo_s' => 0])]], '"steps.0.demo_s" must be a number'];
        yield 'perhaps' => [['steps' => [['checkpoint' => 'yes'] + $step]], '"steps.0.checkpoint" must be true'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('wrong')]
    public function testAWrongSettingIsRefusedByItsPlace(array $change, string $says): void
    {
        $this->expectException(BadPlan::class);
        $this->expectExceptionMessage($says);
        RehearsedRoom::fromArray($change + [
            'learners' => 5, 'helpers' => 1, 'gate' => 0.8, 'sigma_between' => 0, 'sigma_within' => 0, 'factor' => 1,
            'miss_factor' => 2, 'bell_s' => null, 'steps' => [
                ['demo_s' => 1, 'fold_s' => 1, 'stuck_chance' => 0, 'help_s' => 1, 'checkpoint' => false],
            ],
        ]);
    }

    public function testTooMuchWorkIsRefused(): void
    {
        $setting = self::room(200, 1, array_fill(0, 300, new PacedStep(
            demo: 1,
            fold: 1,
            stuck: 0,
            help: 0,
            checkpoint: false,
        )));
        $this->expectException(BadPlan::class);
        $this->expectExceptionMessage('1,000 runs are plenty');
        Rehearsal::chance($setting, 10_000, 1);
    }

    /**
     * @param  list<PacedStep>  $steps
     * @param  array<string, mixed>  $more
     */
    private static function room(int $learners, int $helpers, array $steps, array $more = []): RehearsedRoom
    {
        return (new RehearsedRoom(
            learners: $learners,
            helpers: $helpers,
            gate: 0.8,
            between: 0.0,
            within: 0.0,
            factor: 1.0,
            miss: 2.0,
            bell: null,
            steps: $steps,
        ))->with($more);
    }

    private static function play(RehearsedRoom $setting, int $runs): Answer
    {
        return Rehearsal::of($setting, Rehearsal::chance($setting, $runs, 1));
    }
}
