<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Pacing\Learning\TaughtClock;
use Cathedra\Core\Pacing\Live\SeatSoFar;
use Cathedra\Core\Pacing\Live\SoFar;
use PHPUnit\Framework\TestCase;
use Tests\Support\Logs;
use Tests\Support\TaughtRoom;

/** What a log says of a room that is under way, in literal cases. Seconds; learners from 0. */
final class SoFarTest extends TestCase
{
    /** Step 1 from 100 to 160, step 2 from 160 with a pause of 40 to 260; another look at 1 is no new beginning. */
    public function testStepsTakeFromTheirShowingToTheNextWithoutPauses(): void
    {
        $soFar = self::soFar(
            300,
            '2 moved @1 t:100',
            '3 moved @2 t:160',
            '4 paused t:200',
            '5 resumed t:240',
            '6 moved @1 t:250',
            '7 moved @2 t:252',
            '8 moved @3 t:260',
        );
        self::assertSame([[1, 60.0, 4], [2, 60.0, 4]], self::taught($soFar));
        self::assertSame([3, 40.0], [$soFar->step, $soFar->atIt()]);
    }

    /** From 2 to 5 at once: nobody knows what 2, 3 and 4 took. */
    public function testAStepThatIsJumpedOverSaysNothing(): void
    {
        $soFar = self::soFar(100, '2 moved @1 t:10', '3 moved @2 t:30', '4 moved @5 t:40', '5 moved @6 t:90');
        self::assertSame([[1, 20.0, 4], [5, 50.0, 4]], self::taught($soFar));
    }

    /** A lead who went on without saying that the pause is over: it was over. */
    public function testGoingOnEndsAPause(): void
    {
        $soFar = self::soFar(200, '2 moved @1 t:10', '3 paused t:20', '4 moved @2 t:80', '5 moved @3 t:100');
        self::assertSame([[1, 10.0, 4], [2, 20.0, 4]], self::taught($soFar));
    }

    public function testInAPauseTheTimeStandsStill(): void
    {
        $lines = ['2 moved @1 t:10', '3 paused t:25'];
        self::assertSame([15.0, 15.0], [self::soFar(26, ...$lines)->atIt(), self::soFar(900, ...$lines)->atIt()]);
    }

    /** Who is behind when the room goes on was not waited for; who is away is not there; who is along again is. */
    public function testWhoIsBehindAwayAndAlong(): void
    {
        $soFar = self::soFar(
            100,
            '2 away 3 t:1',
            '3 moved @1 t:10',
            '4 not-yet 1 @1 t:20',
            '5 moved @2 t:30',
            '6 help 2 @2 t:35',
            '7 moved @3 t:50',
            '8 along 2 t:60',
        );
        self::assertSame([[1, 20.0, 2], [2, 20.0, 1]], self::taught($soFar));
        self::assertEquals([
            new SeatSoFar(learner: 0, behind: null, said: 50.0, waits: false, looked: 0),
            new SeatSoFar(learner: 1, behind: 1, said: 20.0, waits: false, looked: 0),
            new SeatSoFar(learner: 2, behind: null, said: 60.0, waits: false, looked: 0),
        ], $soFar->seats);
    }

    /** Where every done is tapped, whoever was not is behind as soon as the next step is at hand. */
    public function testInACloseLessonTapsSayWhoHasIt(): void
    {
        $soFar = TaughtRoom::soFar([
            '1 started marks:close',
            '2 moved @1 t:10',
            '3 done 0 @1 t:20',
            '4 done 1 @1 t:22',
            '5 moved @2 t:30',
            '6 done 0 @2 t:44',
            '7 moved @3 t:50',
        ], 9, 3, 60.0);
        self::assertSame([[1, 20.0, 2], [2, 20.0, 1]], self::taught($soFar));
        self::assertSame([null, 2, 1], array_map(static fn (SeatSoFar $s): ?int => $s->behind, $soFar->seats));
    }

    /** A device whose clock is an hour slow and that sent late: it happened when it happened. */
    public function testTheClockIsTheServersWhateverTheDeviceSays(): void
    {
        $events = Logs::of(Logs::plain('1 started marks:exception', '2 moved @1 t:10'))->events;
        self::assertSame(10.0, TaughtClock::of($events)->at($events[1]));
    }

    private static function soFar(float $now, string ...$lines): SoFar
    {
        return TaughtRoom::soFar(['1 started marks:exception', ...array_values($lines)], 9, 4, $now);
    }

    /** @return list<array{int, float, int}> */
    private static function taught(SoFar $soFar): array
    {
        return array_map(
            static fn (array $one): array => [$one['step'], $one['seconds'], $one['along']],
            $soFar->taught,
        );
    }
}
