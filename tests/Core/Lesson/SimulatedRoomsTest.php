<?php

declare(strict_types=1);

namespace Tests\Core\Lesson;

use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Lesson\Outcomes;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Rehearsal\Cast;
use Cathedra\Core\Pacing\Rehearsal\PacedStep;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\Trace;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\FoldTable;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;
use Tests\Support\Logs;
use Tests\Support\Sheets;
use Tests\Support\TwoMarkers;

/** Rooms of the rehearsal, marked by exception by a lead and a helper: what they say is what is kept, once. */
final class SimulatedRoomsTest extends TestCase
{
    /**
     * 200 lessons of 8 to 40 learners. The lead goes on, the helper says who is not along; what each of the two devices
     * had to send arrives late, twice and mixed. Whoever was said to be behind and never along again stopped there,
     * everybody else has finished, looked at only where somebody looked.
     */
    public function testWhatTwoMarkersSayIsKeptOnceAndSilenceIsPresumed(): void
    {
        $chance = new Randomizer(new Mt19937(24));
        $behind = $looked = 0;
        for ($lesson = 1; $lesson <= 200; $lesson++) {
            $learners = $chance->getInt(8, 40);
            $steps = $chance->getInt(5, 20);
            $happenings = TwoMarkers::room($learners, $steps, $lesson);
            [$lines, $left, $seen] = TwoMarkers::said($happenings, $learners, $steps, $chance);
            $events = Logs::plain('1 started marks:exception', ...$lines);
            $again = $chance->shuffleArray([...$events, ...array_slice($events, 0, intdiv(count($events), 3))]);
            $log = Logs::of(array_values($again));
            $programme = Programme::of([['slug' => 'cup', 'steps' => $steps]]);
            self::assertCount(count($events), $log->events, 'every deed once');
            $outcomes = Outcomes::of($log, $programme, range(0, $learners - 1));
            for ($learner = 0; $learner < $learners; $learner++) {
                $outcome = $outcomes->find($learner, 'cup') ?? self::fail("lesson $lesson, learner $learner");
                $stopped = $left[$learner] ?? null;
                $stopped === null
                    ? self::assertTrue($outcome->finish->isFinished(), "lesson $lesson, learner $learner")
                    : self::assertSame([Finish::Stopped, $stopped], [$outcome->finish, $outcome->step]);
                self::assertSame(isset($seen[$learner]) && $stopped === null, $outcome->seen);
            }
            $behind += count($left);
            $looked += count($seen);
        }
        self::assertGreaterThan(50, $behind, 'some were left behind');
        self::assertGreaterThan(50, $looked, 'some were looked at');
    }

    /** Nobody is tapped: everybody who is here has finished, and nobody looked. */
    public function testWithoutATapEverybodyHereHasFinished(): void
    {
        $log = Logs::of(Logs::plain('1 started marks:exception', '2 moved @1', '3 moved @9', '4 ended'));
        $outcomes = Outcomes::of($log, Programme::of([['slug' => 'cup', 'steps' => 8]]), range(1, 30));
        self::assertCount(30, $outcomes->records);
        foreach (range(1, 30) as $learner) {
            $one = $outcomes->find($learner, 'cup');
            self::assertSame([Finish::Alone, false], [$one?->finish, $one?->seen]);
        }
    }

    /**
     * A crane of 17 steps for 24 juniors, as the product expects them: the lead presses Next at each step, "All have
     * it" at each checkpoint, and taps who is two steps behind when the room goes on, once to say so and once (or
     * "needs help", twice) when along again. At most 40 taps on average of 60 rooms; every done tapped it is 408.
     */
    public function testACraneTakesFortyTaps(): void
    {
        $plan = Sheets::plan(new Room(24, 1, 'junior'), [new ModelLoad(Folds::loads('crane'), [])], 90, gate: 0.8);
        $read = static fn (string $name): array => Yaml::parseFile(Sheets::LIBRARY."/$name.yaml");
        $room = $plan->setting(BaseTimes::fromArray($read('base-times'), FoldTable::fromArray($read('folds'))));
        $folded = array_filter($room->steps, static fn (PacedStep $step): bool => $step->fold > 0.0);
        $checkpoints = count(array_filter($folded, static fn (PacedStep $step): bool => $step->checkpoint));
        $taps = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            $happenings = Trace::of($room, Cast::of($room, Rehearsal::chance($room, 1, $seed), 0));
            $done = array_fill(0, 24, 0);
            $behind = [];
            $at = 0;
            $taps += 1 + count($folded) + $checkpoints; // Begin, every Next, every checkpoint
            foreach ($happenings as $one) {
                if ($one['kind'] === EventKind::Moved) {
                    foreach ($done as $learner => $reached) {
                        if ($reached < $at - 1 && ! isset($behind[$learner])) {
                            $behind[$learner] = true;
                            $taps++;
                        }
                    }
                    $at = $one['step'] + 1;
                } elseif ($one['kind'] === EventKind::Done && $one['learner'] !== null) {
                    $done[$one['learner']] = $one['step'] + 1;
                    if (isset($behind[$one['learner']]) && $at <= $one['step'] + 1) {
                        unset($behind[$one['learner']]);
                        $taps += 2;
                    }
                }
            }
        }
        self::assertLessThanOrEqual(40.0, $taps / 60);
        self::assertGreaterThan(18.0, $taps / 60);
    }
}
