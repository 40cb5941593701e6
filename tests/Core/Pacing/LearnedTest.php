<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Origin;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Pacing\Learning\Learned;
use Cathedra\Core\Pacing\Learning\Mark;
use Cathedra\Core\Pacing\Learning\Marks;
use Cathedra\Core\Pacing\Rehearsal\Cast;
use Cathedra\Core\Pacing\Rehearsal\PacedStep;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use Cathedra\Core\Pacing\Rehearsal\Trace;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Logs;
use Tests\Support\Sheets;

/** What is learned of times from taught lessons. */
final class LearnedTest extends TestCase
{
    private const STEPS = [1 => ['fold' => 'valley', 'show' => 10.0, 'expected' => 40.0],
        ['fold' => 'tuck', 'show' => 10.0, 'expected' => 40.0]];

    /**
     * One learner, one mark of ln 2, spreads 0.3 and 0.4: the fold has (0.09 + 0.16) / 2 = 0.125, the group 0.2^2 =
     * 0.04, the lesson 3 x 0.04 x (1 + 20 / 1) = 2.52, the mark itself 0.25; together 2.935. Of ln 2 the fold takes
     * 0.125 / 2.935 and the group 0.04 / 2.935.
     */
    public function testOneMarkMovesAnEstimateByItsWorth(): void
    {
        $times = Sheets::times(['slowest_spread' => 0.3, 'own_spread' => 0.4]);
        $learned = Learned::of([new Mark(fold: 'valley', group: 'g', lesson: 'l', learner: '1', ln: log(2))], $times);
        self::assertEqualsWithDelta(2 ** (0.125 / 2.935), $learned->folds['valley']->middle, 1e-9);
        self::assertEqualsWithDelta(2 ** (0.04 / 2.935), $learned->pace('g'), 1e-9);
        // variance after it: 0.125 - 0.125^2 / 2.935
        self::assertEqualsWithDelta(
            exp(0.125 / 2.935 * log(2) + 1.2815515655 * sqrt(0.125 - 0.125 ** 2 / 2.935)),
            $learned->folds['valley']->high,
            1e-6,
        );
        self::assertSame([1, 1], [$learned->folds['valley']->marks, $learned->marks]);
        self::assertSame(1.0, $learned->pace('others'));
        self::assertEqualsWithDelta(exp(1.2815515655 * sqrt(0.125)), Learned::before($times)->high, 1e-6);
    }

    public function testNothingSeenChangesNothing(): void
    {
        $learned = Learned::of([], Sheets::times(['slowest_spread' => 0.3, 'own_spread' => 0.4]));
        self::assertSame([[], [], 0], [$learned->folds, $learned->groups, $learned->marks]);
    }

    /** Two late taps: a child who was marked at two steps only, each six times as long as expected. */
    public function testTwoMarksOfASloppyLessonMoveNothingToSpeakOf(): void
    {
        $times = Sheets::times(['slowest_spread' => 0.35, 'own_spread' => 0.25]);
        $two = [new Mark(
            fold: 'valley',
            group: 'g',
            lesson: 'l',
            learner: '1',
            ln: log(6),
        ), new Mark(fold: 'tuck', group: 'g', lesson: 'l', learner: '1', ln: log(6))];
        self::assertLessThan(1.05, Learned::of($two, $times)->pace('g'));
        self::assertGreaterThan(1.0, Learned::of($two, $times)->pace('g'));
    }

    /** An expected pace is worth three lessons: one, of however many marks, goes a quarter of the way, three half. */
    public function testAPaceIsWorthThreeLessons(): void
    {
        $times = Sheets::times(['slowest_spread' => 0.001, 'own_spread' => 0.001, 'full_marks' => 0]);
        foreach ([1 => 1 / 4, 3 => 1 / 2, 9 => 3 / 4] as $lessons => $share) {
            $marks = [];
            for ($i = 0; $i < $lessons; $i++) {
                foreach (range(1, 40) as $learner) {
                    $marks[] = new Mark(fold: 'valley', group: 'g', lesson: "l$i", learner: "$learner", ln: log(1.5));
                }
            }
            $pace = Learned::of($marks, $times)->pace('g');
            self::assertEqualsWithDelta(1.5 ** $share, $pace, 1e-3, "$lessons lessons");
        }
    }

    /** A slow group does not make its fold slow where a quick one folds it too. */
    public function testAGroupsPaceIsNotTheFolds(): void
    {
        $times = Sheets::times(['slowest_spread' => 0.1, 'own_spread' => 0.1]);
        $marks = [];
        foreach (['slow' => log(1.5), 'quick' => -log(1.5)] as $group => $ln) {
            for ($i = 0; $i < 360; $i++) {
                foreach (['valley', 'tuck'] as $fold) {
                    $marks[] = new Mark(
                        fold: $fold,
                        group: $group,
                        lesson: "$group/".intdiv($i, 12),
                        learner: "$i",
                        ln: $ln,
                    );
                }
            }
        }
        $learned = Learned::of($marks, $times);
        self::assertEqualsWithDelta(1.0, $learned->folds['valley']->middle, 0.01);
        self::assertGreaterThan(1.35, $learned->pace('slow'));
        self::assertLessThan(1 / 1.35, $learned->pace('quick'));
    }

    /** From the end of the demonstration, or of the own step before; a pause stands still. */
    public function testWhatALogSaysOfTimes(): void
    {
        $log = $this->log([
            [0, EventKind::Moved, null, 1],
            [50, EventKind::Done, 1, 1], // 40 s after it was shown: as expected
            [90, EventKind::Done, 2, 1], // 80
            [100, EventKind::Moved, null, 2], // shown until 110
            [150, EventKind::Done, 1, 2], // 40
            [160, EventKind::Paused, null, null],
            [460, EventKind::Resumed, null, null],
            [470, EventKind::Done, 2, 2], // 60, without the pause
        ]);
        $marks = Marks::of($log, self::STEPS, 'g', 'l');
        self::assertSame(
            ['valley', 'tuck', 'valley', 'tuck'],
            array_map(static fn (Mark $m): string => $m->fold, $marks),
        );
        self::assertEqualsWithDelta(
            [0.0, 0.0, log(2), log(1.5)],
            array_map(static fn (Mark $m): float => $m->ln, $marks),
            1e-9,
        );
        self::assertSame(
            [['l', '1'], ['l', '1'], ['l', '2'], ['l', '2']],
            array_map(static fn (Mark $m): array => [$m->lesson, $m->learner], $marks),
        );
    }

    public function testWhatTeachesNothing(): void
    {
        $none = fn (array $lines): array => Marks::of($this->log($lines), self::STEPS, 'g', 'l');
        $moved = [0, EventKind::Moved, null, 1];
        self::assertSame([], $none([$moved, [30, EventKind::Help, 1, 1], [90, EventKind::Done, 1, 1]]), 'was helped');
        self::assertSame([], $none([$moved, [11, EventKind::Done, 1, 1]]), 'a second after it was shown');
        self::assertSame([], $none([$moved, [900, EventKind::Done, 1, 1]]), 'a quarter of an hour');
        self::assertSame([], $none([$moved, ...array_map(
            static fn (int $i): array => [60, EventKind::Done, $i, 1],
            [1, 2, 3, 4],
        )]), 'four at once');
        self::assertSame([], $none([[60, EventKind::Done, 1, 1]]), 'never shown');
        self::assertCount(1, $none([$moved, [60, EventKind::Done, 1, 1]]));
        // sent four minutes late by a device without a line: it counts when it happened
        $late = $none([$moved, [60, EventKind::Done, 1, 1, 240]]);
        self::assertEqualsWithDelta(log(50 / 40), $late[0]->ln, 1e-9);
    }

    /**
     * Recovery: six lessons played with known true factors of folds, paces of groups and what each lesson has of its
     * own (some 70 marks each), drawn as they are expected; of many such courses the bands hold the truth in 70 to 90
     * of 100 cases.
     */
    public function testTheBandsHoldTheTruth(): void
    {
        $times = Sheets::times(['slowest_spread' => 0.35, 'own_spread' => 0.25]);
        $chance = new Randomizer(new Mt19937(2));
        $normal = static fn (float $s): float => $s * (array_sum(array_map(
            static fn (): float => $chance->getInt(0, 1_000_000) / 1_000_000,
            range(1, 12),
        )) - 6);
        $s = sqrt((0.35 ** 2 + 0.25 ** 2) / 2);
        $own = sqrt(3 * 0.2 ** 2 * (1 + 20 / 70));
        [$held, $all, $off, $before] = [0, 0, 0.0, 0.0];
        for ($course = 0; $course < 30; $course++) {
            $truth = [];
            foreach (['valley', 'mountain', 'crease', 'tuck'] as $fold) {
                $truth[$fold] = $normal($s);
            }
            $paces = ['a' => $normal(0.2), 'b' => $normal(0.2)];
            $marks = [];
            for ($lesson = 0; $lesson < 6; $lesson++) {
                $group = ['a', 'b'][$lesson % 2];
                $kinds = array_map(
                    static fn (): string => array_keys($truth)[$chance->getInt(0, 3)],
                    range(1, 8),
                );
                $pace = exp($paces[$group] + $normal($own));
                $setting = new RehearsedRoom(
                    learners: 10,
                    helpers: 2,
                    gate: 0.8,
                    between: 0.35,
                    within: 0.25,
                    factor: $pace,
                    miss: 2.0,
                    bell: null,
                    steps: array_map(
                        static fn (string $kind): PacedStep => new PacedStep(
                            demo: 20,
                            fold: 40 * exp($truth[$kind]),
                            stuck: 0.1,
                            help: 30,
                            checkpoint: false,
                        ),
                        $kinds,
                    ),
                );
                $cast = Cast::of($setting, Rehearsal::chance($setting, 1, 100 * $course + $lesson), 0);
                $lines = array_map(
                    static fn (array $h): array => [$h['t'], $h['kind'], $h['learner'], $h['step'] + 1],
                    Trace::of($setting, $cast),
                );
                $steps = array_map(
                    static fn (string $kind): array => ['fold' => $kind, 'show' => 20.0, 'expected' => 40.0],
                    $kinds,
                );
                array_push($marks, ...Marks::of(
                    $this->log($lines),
                    array_combine(range(1, 8), $steps),
                    $group,
                    "$course/$lesson",
                ));
            }
            $learned = Learned::of($marks, $times);
            foreach ([[$learned->folds, $truth], [$learned->groups, $paces]] as [$found, $true]) {
                foreach ($found as $name => $factor) {
                    $all++;
                    $held += $factor->low <= exp($true[$name]) && exp($true[$name]) <= $factor->high ? 1 : 0;
                    $off += abs(log($factor->middle) - $true[$name]);
                    $before += abs($true[$name]);
                }
            }
        }
        self::assertGreaterThan(150, $all);
        self::assertGreaterThanOrEqual(0.70, $held / $all, "held in $held of $all");
        self::assertLessThanOrEqual(0.90, $held / $all, "held in $held of $all");
        self::assertLessThan(0.6 * $before, $off, 'and what is learned is nearer than the estimate was');
    }

    /**
     * A room that is marked by exception: five lessons of 18 learners with known true paces of folds and group, drawn
     * as they are expected; when the lead goes on, who has not the step is tapped, and is along again when he or she
     * has caught up. The pace is the right one within a tenth, on average of 40 such courses.
     */
    public function testByExceptionAPaceIsLearnedWithinATenth(): void
    {
        $times = Sheets::times(['slowest_spread' => 0.35, 'own_spread' => 0.25]);
        $chance = new Randomizer(new Mt19937(5));
        $normal = static fn (float $s): float => $s * (array_sum(array_map(
            static fn (): float => $chance->getInt(0, 1_000_000) / 1_000_000,
            range(1, 12),
        )) - 6);
        $s = sqrt((0.35 ** 2 + 0.25 ** 2) / 2);
        $kinds = ['valley', 'mountain', 'crease', 'tuck'];
        [$off, $before, $all] = [0.0, 0.0, 0];
        for ($course = 0; $course < 40; $course++) {
            $truth = array_combine($kinds, array_map(static fn (): float => $normal($s), $kinds));
            $pace = $normal(0.2);
            $marks = [];
            for ($lesson = 0; $lesson < 5; $lesson++) {
                $folds = array_map(static fn (int $k): string => $kinds[($k + $lesson) % 4], range(0, 11));
                $room = new RehearsedRoom(
                    learners: 18,
                    helpers: 2,
                    gate: 0.8,
                    between: 0.35,
                    within: 0.25,
                    factor: exp($pace),
                    miss: 2.0,
                    bell: null,
                    steps: array_map(static fn (string $fold): PacedStep => new PacedStep(
                        demo: 20,
                        fold: 40 * exp($truth[$fold]),
                        stuck: 0.05,
                        help: 30,
                        checkpoint: false,
                    ), $folds),
                );
                $cast = Cast::of($room, Rehearsal::chance($room, 1, 1000 * $course + $lesson), 0);
                $log = $this->byException(Trace::of($room, $cast), 18, count($folds));
                $programme = Programme::of([['slug' => 'cup', 'steps' => count($folds)]]);
                array_push($marks, ...Marks::ofTheRoom(
                    log: $log,
                    programme: $programme,
                    steps: array_combine(range(1, count($folds)), array_map(
                        static fn (string $fold): array => ['fold' => $fold, 'show' => 20.0, 'expected' => 40.0],
                        $folds,
                    )),
                    group: 'g',
                    lesson: "$lesson",
                    learners: 18,
                    times: $times,
                ));
            }
            $learned = Learned::of($marks, $times);
            // what a plan is made of: fold and group together
            foreach ($kinds as $fold) {
                $all++;
                $off += abs(log($learned->folds[$fold]->middle * $learned->pace('g')) - $truth[$fold] - $pace);
                $before += abs($truth[$fold] + $pace);
            }
        }
        self::assertLessThan(log(1.1), $off / $all);
        self::assertGreaterThan(2.0, $before / $off, 'and that is much nearer than the estimate was');
    }

    /**
     * What the lead of such a room says: where it goes on without somebody, and who has caught up again.
     *
     * @param  list<array{t: float, kind: EventKind, learner: int|null, step: int}>  $happenings
     */
    private function byException(array $happenings, int $learners, int $steps): Log
    {
        $done = array_fill(0, $learners, 0);
        $behind = [];
        $at = 0;
        $lines = [['1 started', 0.0]];
        $end = 0.0;
        foreach ($happenings as $one) {
            $end = $one['t'];
            if ($one['kind'] === EventKind::Moved) {
                foreach ($done as $learner => $reached) {
                    if ($at > 0 && $reached < $at && ! isset($behind[$learner])) {
                        $behind[$learner] = true;
                        $lines[] = ["not-yet {$learner} @$at", $one['t']];
                    }
                }
                $at = $one['step'] + 1;
                $lines[] = ["moved @$at", $one['t']];
            } elseif ($one['kind'] === EventKind::Done && $one['learner'] !== null) {
                $done[$one['learner']] = $one['step'] + 1;
                if (isset($behind[$one['learner']]) && $at <= $one['step'] + 1) {
                    unset($behind[$one['learner']]);
                    $lines[] = ["along {$one['learner']}", $one['t']];
                }
            }
        }
        $lines[] = ['moved @'.($steps + 1), $end];
        $events = [];
        foreach ($lines as $i => [$line, $t]) {
            $plain = Logs::plain(($i + 1).' '.preg_replace('/^\d+ /', '', $line));
            $events[] = ['at_ms' => (int) round(1000 * $t)] + ($i === 0 ? ['marks' => 'exception'] : []) + $plain[0];
        }

        return Logs::of($events);
    }

    /** @param  array<array{float, EventKind, int|null, int|null, 4?: float}>  $lines  seconds; how late */
    private function log(array $lines): Log
    {
        $events = [];
        foreach (array_values($lines) as $i => $line) {
            [$t, $kind, $learner, $step] = $line;
            $ms = (int) round(1000 * $t);
            $events[] = Event::of(
                key: "e$i",
                kind: $kind,
                origin: new Origin('tablet', $ms, 0, 1),
                number: $i + 1,
                atMs: $ms + (int) (1000 * ($line[4] ?? 0)),
                with: ['learner' => $learner, 'step' => $step],
            );
        }

        return Log::of($events);
    }
}
