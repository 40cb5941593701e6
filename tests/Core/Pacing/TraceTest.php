<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Pacing\Rehearsal\Cast;
use Cathedra\Core\Pacing\Rehearsal\Course;
use Cathedra\Core\Pacing\Rehearsal\PacedStep;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use Cathedra\Core\Pacing\Rehearsal\Trace;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** One run as what happens in the room. */
final class TraceTest extends TestCase
{
    /**
     * Two learners without spread, one helper, two steps of 10 s shown and 30 s folded; everybody is stuck at the first
     * (20 s of help). Shown 0 to 10, folded at 40; helped one at 60, the other at 80. The second needs both, is shown
     * 80 to 90, and both fold it by 120.
     */
    public function testAnHourIsToldInOrder(): void
    {
        $setting = new RehearsedRoom(
            learners: 2,
            helpers: 1,
            gate: 1.0,
            between: 0.0,
            within: 0.0,
            factor: 1.0,
            miss: 2.0,
            bell: null,
            steps: [
                new PacedStep(demo: 10, fold: 30, stuck: 1.0, help: 20, checkpoint: false),
                new PacedStep(demo: 10, fold: 30, stuck: 0.0, help: 20, checkpoint: false),
            ],
        );
        $cast = Cast::of($setting, Rehearsal::chance($setting, 1, 7), 0);
        self::assertEqualsWithDelta([[30.0, 30.0], [30.0, 30.0]], $cast->seconds, 1e-9);
        self::assertSame([[true, false], [true, false]], $cast->stuck);
        $told = array_map(
            static fn (array $h): string => round($h['t']).' '.$h['kind']->value.' '.$h['step']
                .($h['learner'] === null ? '' : " by {$h['learner']}"),
            Trace::of($setting, $cast),
        );
        self::assertSame([
            '0 moved 0', '40 help 0 by 0', '40 help 0 by 1', '60 helped 0 by 0', '60 done 0 by 0', '80 helped 0 by 1',
            '80 done 0 by 1', '80 moved 1', '120 done 1 by 0', '120 done 1 by 1',
        ], $told);
    }

    /**
     * The same two learners: the first waits from 60 to 80 for the second step, the second from 40 to 60 for help; each
     * 20 s of the two learners' minutes. By any rule it takes 120 s, and the one that waits for both costs no more.
     */
    public function testHowItWentInFigures(): void
    {
        $setting = new RehearsedRoom(
            learners: 2,
            helpers: 1,
            gate: 1.0,
            between: 0.0,
            within: 0.0,
            factor: 1.0,
            miss: 2.0,
            bell: null,
            steps: [
                new PacedStep(demo: 10, fold: 30, stuck: 1.0, help: 20, checkpoint: false),
                new PacedStep(demo: 10, fold: 30, stuck: 0.0, help: 20, checkpoint: false),
            ],
        );
        $cast = Cast::of($setting, Rehearsal::chance($setting, 1, 7), 0);
        $course = Course::of($setting, $cast);
        self::assertEqualsWithDelta(
            [120.0, 20 / 60 / 2, 20 / 60 / 2],
            [$course->finish, $course->idle, $course->queue],
            1e-9,
        );
        // Going on when one of them has it: shown 60 to 70, the first done at 100; the second missed it, 80 to 110.
        $half = Course::of($setting->with(['gate' => 0.5]), $cast);
        self::assertEqualsWithDelta([110.0, 0.0], [$half->finish, $half->idle], 1e-9);
        self::assertEquals($half, Course::best($setting, $cast));
    }

    /** On the same draws the last learner finishes when the fast rehearsal says, in any room. */
    public function testItAgreesWithTheRehearsalRunByRun(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        $float = static fn (float $most): float => $most * $chance->getInt(0, 1000) / 1000;
        for ($room = 0; $room < 40; $room++) {
            $steps = array_map(
                // nobody folds in a block, and nobody is stuck at it
                static fn (): PacedStep => $chance->getInt(0, 5) === 0 ? new PacedStep(
                    demo: $float(40),
                    fold: 0,
                    stuck: 0,
                    help: 0,
                    checkpoint: false,
                ) : new PacedStep(
                    demo: $float(40),
                    fold: 5 + $float(90),
                    stuck: $float(0.5),
                    help: $float(60),
                    checkpoint: $chance->getInt(0, 4) === 0,
                ),
                range(1, $chance->getInt(1, 9)),
            );
            $setting = new RehearsedRoom(
                learners: $chance->getInt(1, 14),
                helpers: $chance->getInt(0, 3),
                gate: 0.1 + $float(0.9),
                between: $float(0.5),
                within: $float(0.4),
                factor: 0.5 + $float(2),
                miss: 1 + $float(2),
                bell: null,
                steps: $steps,
            );
            $draws = Rehearsal::chance($setting, 5, $room);
            $ends = [];
            for ($run = 0; $run < 5; $run++) {
                $happenings = Trace::of($setting, Cast::of($setting, $draws, $run));
                $times = array_column($happenings, 't');
                $sorted = $times;
                sort($sorted);
                self::assertSame($sorted, $times, 'in order of time');
                $done = array_filter($happenings, static fn (array $h): bool => $h['kind'] === EventKind::Done);
                self::assertCount($setting->learners * count($steps), $done, 'everybody does every step once');
                $ends[] = max([0.0, ...$times]);
            }
            sort($ends);
            self::assertEqualsWithDelta(Rehearsal::of($setting, $draws)->finishes, $ends, 1e-6, "room $room");
        }
    }
}
