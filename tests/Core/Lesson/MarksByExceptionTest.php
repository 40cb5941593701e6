<?php

declare(strict_types=1);

namespace Tests\Core\Lesson;

use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\Outcome;
use Cathedra\Core\Lesson\Outcomes;
use Cathedra\Core\Lesson\SeatStanding;
use Cathedra\Core\Lesson\Standing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Logs;

/** Design 15a, row by row: what an event says of a seat, and how a learner ended. A cup of 3 steps, a crane of 4. */
final class MarksByExceptionTest extends TestCase
{
    private const MODELS = [['slug' => 'cup', 'steps' => 3], ['slug' => 'crane', 'steps' => 4]];

    /**
     * A seat in a word each: "here" or "away", steps done, of those looked at, "<3" behind at 3, "?" waiting for help.
     *
     * @return iterable<string, array{list<string>, string, string}> lines after the start, seat of 1, seat of 2
     */
    public static function byException(): iterable
    {
        yield 'nothing was said' => [[], 'here 0 0', 'here 0 0'];
        yield 'a step on presumes the one before' => [['2 moved @1', '3 moved @3'], 'here 2 0', 'here 2 0'];
        yield 'a step back takes nothing away' => [['2 moved @4', '3 moved @2'], 'here 3 0', 'here 3 0'];
        yield 'who is away is not presumed' => [['2 away 1', '3 moved @3'], 'away 0 0', 'here 2 0'];
        yield 'who left keeps what is done' => [['2 moved @3', '3 left 1', '4 moved @4'], 'away 2 0', 'here 3 0'];
        yield 'who comes before the second step is along' => [['2 away 1', '3 moved @1', '4 came 1', '5 moved @2'],
            'here 1 0', 'here 1 0'];
        yield 'who comes later is behind at the first step' => [['2 away 1', '3 moved @3', '4 came 1', '5 moved @4'],
            'here 0 0 <1', 'here 3 0'];
        yield 'who comes back is behind where he left' => [
            ['2 moved @3', '3 left 1', '4 moved @4', '5 came 1', '6 moved @5'], 'here 2 0 <3', 'here 4 0'];
        yield 'who comes twice stays behind where she was' => [
            ['2 moved @2', '3 not-yet 1 @1', '4 came 1'], 'here 0 0 <1', 'here 1 0'];
        yield 'who comes back stays behind at the step that was said, not at the one after the last that is done' => [
            ['2 moved @2', '3 not-yet 1 @4', '4 left 1', '5 moved @6', '6 came 1'], 'here 1 0 <4', 'here 5 0'];
        yield 'a done is looked at' => [['2 moved @2', '3 done 1 @2'], 'here 2 2', 'here 1 0'];
        yield 'a done ends being behind at it' => [['2 not-yet 1 @2', '3 done 1 @2'], 'here 2 2', 'here 0 0'];
        yield 'a done before it does not' => [['2 not-yet 1 @3', '3 done 1 @2'], 'here 2 2 <3', 'here 0 0'];
        yield 'a done brings who was away' => [['2 away 1', '3 done 1 @1'], 'here 1 1', 'here 0 0'];
        yield 'all have it' => [['2 moved @2', '3 all-done @2'], 'here 2 2', 'here 2 2'];
        yield 'all have it, but not who is away' => [['2 away 1', '3 all-done @2'], 'away 0 0', 'here 2 2'];
        yield 'a table has it' => [['2 table-done @2 of:1,3'], 'here 2 2', 'here 0 0'];
        yield 'a table has it, but not who is away' => [['2 away 1', '3 table-done @2 of:1,2'], 'away 0 0', 'here 2 2'];
        yield 'not yet takes back what was presumed' => [['2 moved @4', '3 not-yet 1 @2'], 'here 1 0 <2', 'here 3 0'];
        yield 'not yet takes back what was seen' => [['2 done 1 @3', '3 not-yet 1 @2'], 'here 1 1 <2', 'here 0 0'];
        yield 'who is behind stays behind' => [['2 moved @2', '3 not-yet 1 @2', '4 moved @5'],
            'here 1 0 <2', 'here 4 0'];
        yield 'help is not yet, and waits' => [['2 moved @3', '3 help 1 @3'], 'here 2 0 <3 ?', 'here 2 0'];
        yield 'who was helped is still behind' => [['2 moved @3', '3 help 1 @3', '4 helped 1 @3', '5 moved @4'],
            'here 2 0 <3', 'here 3 0'];
        yield 'not yet leaves who waits waiting' => [['2 help 1 @2', '3 not-yet 1 @2'], 'here 0 0 <2 ?', 'here 0 0'];
        yield 'along again has what the others have' => [
            ['2 moved @2', '3 help 1 @2', '4 moved @4', '5 along 1'], 'here 3 0', 'here 3 0'];
        yield 'away ends waiting' => [['2 help 1 @2', '3 away 1'], 'away 0 0 <2', 'here 0 0'];
        yield 'finished early has the whole model' => [['2 moved @2', '3 finished-early 1 @2'], 'here 3 3', 'here 1 0'];
        yield 'shown changes nothing' => [['2 moved @2', '3 shown @2'], 'here 1 0', 'here 1 0'];
        yield 'the end at the last step of a model has it' => [['2 moved @3', '3 ended'], 'here 3 0', 'here 3 0'];
        yield 'the end in the middle does not' => [['2 moved @2', '3 ended'], 'here 1 0', 'here 1 0'];
        yield 'a beginning that was none: nothing is presumed of it, who is away stays away' => [
            ['2 away 1', '3 moved @3', '4 unbegun', '5 started marks:exception', '6 moved @1'],
            'away 0 0', 'here 0 0'];
        yield 'taken back, it was not said' => [
            ['2 moved @3', '3 not-yet 1 @3', '4 taken-back cancels:k3', '5 moved @4'],
            'here 3 0', 'here 3 0'];
    }

    /** @param  list<string>  $lines */
    #[DataProvider('byException')]
    public function testASeatByException(array $lines, string $first, string $second): void
    {
        $standing = self::standing('1 started marks:exception', ...$lines);
        self::assertSame([$first, $second], [self::seat($standing->seat(1)), self::seat($standing->seat(2))]);
    }

    /** @return iterable<string, array{list<string>, string, string}> */
    public static function close(): iterable
    {
        yield 'a step on presumes nothing' => [['2 moved @3'], 'here 0 0', 'here 0 0'];
        yield 'who comes late is not behind' => [['2 away 1', '3 moved @3', '4 came 1'], 'here 0 0', 'here 0 0'];
        yield 'along brings nothing' => [['2 moved @3', '3 not-yet 1 @2', '4 along 1'], 'here 0 0', 'here 0 0'];
        yield 'the end brings nothing' => [['2 moved @3', '3 ended'], 'here 0 0', 'here 0 0'];
        yield 'a done is done' => [['2 moved @3', '3 done 1 @3'], 'here 3 3', 'here 0 0'];
        yield 'all have it' => [['2 all-done @2'], 'here 2 2', 'here 2 2'];
    }

    /** @param  list<string>  $lines */
    #[DataProvider('close')]
    public function testASeatInACloseLesson(array $lines, string $first, string $second): void
    {
        $standing = self::standing('1 started marks:close', ...$lines);
        self::assertSame([$first, $second], [self::seat($standing->seat(1)), self::seat($standing->seat(2))]);
    }

    /**
     * Of learners 1, 2 and 3: the cup, then the crane. "-" is not recorded, "!" was looked at.
     *
     * @return iterable<string, array{string, list<string>, list<string>}>
     */
    public static function ends(): iterable
    {
        $cup = ['3 moved @1', '4 moved @2', '5 moved @3', '6 moved @4'];
        yield 'no tap at all' => ['exception', ['2 moved @1', '3 moved @4', '4 moved @8', '5 ended'],
            ['alone alone', 'alone alone', 'alone alone']];
        yield 'the crane was never begun' => ['exception', ['3 moved @1', '4 moved @3', '5 ended'],
            ['alone -', 'alone -', 'alone -']];
        yield 'looked at in the first, presumed in the second' => ['exception',
            ['3 moved @3', '4 all-done @3', '5 moved @4', '6 moved @8', '7 ended'],
            ['alone! alone', 'alone! alone', 'alone! alone']];
        yield 'ended in the middle: stopped at, for those along' => ['exception', [...$cup, '7 moved @6', '8 ended'],
            ['alone stopped/3', 'alone stopped/3', 'alone stopped/3']];
        yield 'a model that was passed over: nobody was there for it' => ['exception',
            ['2 moved @1', '3 moved @8', '4 ended'], ['alone away', 'alone away', 'alone away']];
        yield 'away in the first, late in the second' => ['exception',
            ['2 away 1', ...$cup, '7 came 1', '8 moved @5', '9 moved @8', '10 ended'],
            ['away stopped/1', 'alone alone', 'alone alone']];
        yield 'helped in the first' => ['exception',
            ['2 moved @1', '3 help 2 @1', '4 done 2 @1', '5 moved @4', '6 moved @8', '7 ended'],
            ['alone alone', 'help alone', 'alone alone']];
        yield 'a correction stands over it' => ['exception',
            ['2 moved @1', '3 moved @4', '4 moved @8', '5 ended', '6 corrected 2 finish:cup/stopped/2'],
            ['alone alone', 'stopped/2 alone', 'alone alone']];
        yield 'close, nobody tapped' => ['close', ['2 moved @1', '3 moved @4', '4 moved @8', '5 ended'],
            ['- -', '- -', '- -']];
        yield 'close, one tapped' => ['close', ['3 moved @1', '4 done 1 @3', '5 moved @4', '6 ended'],
            ['alone! stopped/1', '- -', '- -']];
        yield 'close, away from the beginning' => ['close',
            ['2 away 3', '3 moved @1', '4 done 1 @3', '5 moved @4', '6 ended'],
            ['alone! stopped/1', '- -', 'away away']];
    }

    /**
     * @param  list<string>  $lines
     * @param  list<string>  $ends
     */
    #[DataProvider('ends')]
    public function testHowLearnersEnded(string $marks, array $lines, array $ends): void
    {
        $log = Logs::of(Logs::plain("1 started marks:$marks", ...$lines));
        $outcomes = Outcomes::of($log, Logs::programme(self::MODELS), [1, 2, 3]);
        $say = static fn (?Outcome $o): string => $o === null ? '-' : $o->finish->value
            .($o->step === null ? '' : "/$o->step").($o->seen ? '!' : '');
        // what is said by hand is seen, but the mark is left out in "stopped"
        self::assertSame($ends, array_map(
            static fn (int $l): string => $say($outcomes->find($l, 'cup')).' '.$say($outcomes->find($l, 'crane')),
            [1, 2, 3],
        ));
    }

    /** Taken back, a beginning has not been: no step, no time, no way of marking. */
    public function testABeginningIsTakenBackAsIfItHadNotBeen(): void
    {
        $standing = self::standing('1 started marks:close', '2 moved @2', '3 paused', '4 unbegun');
        self::assertSame([0, null, null, null], [
            $standing->step, $standing->startedMs, $standing->pauseMs, $standing->marks,
        ]);
        $lines = ['1 started marks:close', '2 moved @2', '3 unbegun', '4 started marks:exception', '5 moved @1'];
        $again = self::standing(...$lines);
        self::assertSame([1, 4000, Marking::Exception], [$again->step, $again->startedMs, $again->marks]);
        // a device that had waited: what it did before counts as it comes, after the taking back
        self::assertSame(3, self::standing('1 started', '2 unbegun', '3 moved @3 after:1 dev:B')->step);
    }

    /** The example of the design, as it is worked there. */
    public function testTheWorkedExample(): void
    {
        $lines = ['1 started marks:exception', '2 away 3', '3 moved @1', '4 moved @2', '5 not-yet 2 @2', '6 moved @3'];
        $of = static function (string ...$more) use ($lines): array {
            $log = Logs::of(Logs::plain(...$lines, ...$more));
            $records = Outcomes::of($log, Logs::programme([self::MODELS[0]]), [1, 2, 3])->toArray()['records'];

            return json_decode((string) json_encode($records), true);
        };
        self::assertSame(
            [1 => ['cup' => ['alone', null, false]], ['cup' => ['stopped', 2, false]],
                ['cup' => ['away', null, false]]],
            $of('7 moved @4', '8 ended'),
        );
        self::assertSame(['cup' => ['alone', null, false]], $of('7 along 2', '8 moved @4', '9 ended')[2]);
        self::assertSame(['cup' => ['alone', null, false]], $of('7 ended')[1]);
    }

    /** Whatever happens, what is looked at is done, and who is behind has not done that step nor a later one. */
    public function testWhatIsKnownOfASeatHangsTogether(): void
    {
        $seen = 0;
        for ($seed = 1; $seed <= 2000; $seed++) {
            $random = Logs::random($seed);
            $log = Logs::of($random['events']);
            $standing = Standing::of($log, Logs::programme($random['programme']));
            foreach ($log->marks === null ? [] : [$standing->others, ...$standing->seats] as $seat) {
                $seen++;
                self::assertLessThanOrEqual($seat->done, $seat->looked, "seed $seed");
                self::assertTrue($seat->helpMs === null || ! $seat->away, "seed $seed: who is away does not wait");
            }
            self::assertNull($standing->others->behind, 'nobody is behind of whom nothing was said');
        }
        self::assertGreaterThan(1000, $seen);
    }

    private static function standing(string ...$lines): Standing
    {
        return Standing::of(Logs::of(Logs::plain(...$lines)), Logs::programme(self::MODELS));
    }

    private static function seat(SeatStanding $seat): string
    {
        return implode(' ', [
            $seat->away ? 'away' : 'here',
            $seat->done,
            $seat->looked,
            ...($seat->behind === null ? [] : ["<$seat->behind"]),
            ...($seat->helpMs === null ? [] : ['?']),
        ]);
    }
}
