<?php

declare(strict_types=1);

namespace Tests\Core\Lesson;

use Cathedra\Core\Lesson\BadEvent;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Lesson;
use Cathedra\Core\Lesson\Slot;
use Cathedra\Core\Lesson\WayChange;
use Cathedra\Core\Lesson\WaysFolded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Logs;

/** A way that changes while it is taught: how steps are counted then, when it may be, and who folded which. */
final class WayChangeTest extends TestCase
{
    /** Steps 3 and 4 give way to one, and step 7 to three; the model begins with step 2 of the lesson. */
    private const SPANS = [['first' => 3, 'was' => 2, 'now' => 1], ['first' => 7, 'was' => 1, 'now' => 3]];

    /** @return iterable<string, array{int, int, int}> step by the old count, then done and at by the new */
    public static function counts(): iterable
    {
        yield 'before the first' => [0, 0, 0];
        yield 'before they part' => [2, 2, 2];
        yield 'first that gives way' => [3, 2, 3];
        yield 'the last that gives way: all of it is folded' => [4, 3, 3];
        yield 'between' => [5, 4, 4];
        yield 'the last between' => [6, 5, 5];
        yield 'one for three' => [7, 8, 6];
        yield 'behind all' => [8, 9, 9];
        yield 'far behind' => [20, 21, 21];
    }

    #[DataProvider('counts')]
    public function testStepsAreCountedAnew(int $step, int $done, int $at): void
    {
        $way = self::way(self::SPANS);
        self::assertSame([$done, $at], [$way->done($step), $way->at($step)]);
    }

    public function testStepsThatFallAway(): void
    {
        $way = self::way([['first' => 2, 'was' => 2, 'now' => 0], ['first' => 5, 'was' => 1, 'now' => 0]]);
        // nothing of this model is done, and nothing of the one before by it
        self::assertSame([0, 2], [$way->done(3), $way->at(3)]);
        self::assertSame([2, 2], [$way->done(4), $way->at(4)]);
        // 5 fell away: what both had in common before it is done, and that is where somebody at it is
        self::assertSame([2, 2], [$way->done(5), $way->at(5)]);
        self::assertSame(-3, $way->more());
    }

    public function testTheOrderOfStepsStaysWhateverChanges(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        for ($i = 0; $i < 400; $i++) {
            $spans = [];
            $next = 2;
            for ($n = $chance->getInt(1, 4); $n > 0; $n--) {
                $first = $next + $chance->getInt(0, 3);
                $was = $chance->getInt(0, 3);
                $spans[] = ['first' => $first, 'was' => $was, 'now' => $chance->getInt($was === 0 ? 1 : 0, 3)];
                $next = $first + $was;
            }
            $way = self::way($spans);
            for ($step = 2; $step < $next + 3; $step++) {
                self::assertLessThanOrEqual($way->done($step + 1), $way->done($step));
                self::assertLessThanOrEqual($way->at($step + 1), $way->at($step));
                self::assertGreaterThanOrEqual($way->at($step) - 1, max($way->done($step), 1));
            }
            self::assertSame($next + 2 + $way->more(), $way->done($next + 2), 'behind all, nothing is lost');
        }
    }

    public function testWhatIsNoChangeIsRefused(): void
    {
        foreach ([[], [['first' => 1, 'was' => 1, 'now' => 1]], [['first' => 3, 'was' => 0, 'now' => 0]],
            [['first' => 5, 'was' => 2, 'now' => 1], ['first' => 6, 'was' => 1, 'now' => 1]]] as $spans) {
            self::assertNotNull(self::refusal(static fn () => self::way($spans)));
        }
        self::assertNotNull(self::refusal(
            static fn () => WayChange::of(
                model: 'crane',
                passage: 'legs',
                from: 'pages',
                option: 'pages',
                begins: 2,
                spans: self::SPANS,
            ),
        ));
    }

    /** @return iterable<string, array{list<string>, string|null}> */
    public static function times(): iterable
    {
        yield 'before the lesson' => [[], null];
        yield 'at the step where the ways part, not folded yet' => [['1 moved @3'], null];
        yield 'one past it' => [['1 moved @4'], 'Go back to step 3'];
        yield 'gone back' => [['1 moved @4', '2 moved @3'], null];
        yield 'ended' => [['1 moved @3', '2 ended'], 'has ended'];
    }

    /** @param  list<string>  $log */
    #[DataProvider('times')]
    public function testAWayChangesWhileThePaperIsTheSame(array $log, ?string $refusal): void
    {
        $plain = Logs::plain(...$log);
        $number = count($plain) + 1;
        $event = Logs::event(['key' => 'w', 'kind' => EventKind::WayChanged->value, 'device' => 'A', 'after' => 9,
            'number' => $number, 'at_ms' => $number, 'way' => self::way(self::SPANS)->toArray()]);
        $lesson = Lesson::of(Slot::of(0, 60), Logs::programme(self::OLD), [1, 2, 3]);
        $said = self::refusal(static fn () => $lesson->admit($event, Logs::of($plain)));
        $refusal === null ? self::assertNull($said) : self::assertStringContainsString($refusal, (string) $said);
    }

    private const OLD = [['slug' => 'cup', 'steps' => 1], ['slug' => 'crane', 'steps' => 8]];

    public function testAMarkByTheOldCountIsTakenAfterTheChange(): void
    {
        // Of a lesson that has one step less now, the last step by the old count is the last by the new one.
        $way = self::way([['first' => 3, 'was' => 2, 'now' => 1]]);
        $lesson = Lesson::of(
            Slot::of(0, 60),
            Logs::programme([['slug' => 'cup', 'steps' => 1], ['slug' => 'crane', 'steps' => 7]]),
            [1, 2, 3],
        );
        $log = Logs::of([...Logs::plain('1 moved @2'), ['kind' => 'way-changed', 'way' => $way->toArray()]
            + Logs::plain('2 started')[0]]);
        self::assertNull(self::refusal(
            static fn () => $lesson->admit(Logs::event(Logs::plain('3 done 2 @9 dev:B after:1')[0]), $log),
        ));
        self::assertNotNull(self::refusal(
            static fn () => $lesson->admit(Logs::event(Logs::plain('3 done 2 @9 after:2')[0]), $log),
        ));
    }

    public function testTheRecordSaysWhichWayEachFolded(): void
    {
        $way = self::way([['first' => 4, 'was' => 2, 'now' => 1]])->toArray();
        $events = Logs::plain(
            '1 moved @4',
            '2 done 1 @5', // quick: has folded the passage the old way
            '3 done 2 @4 dev:B', // in the middle of it
            '4 started',
            '5 done 2 @4',
            '6 done 3 @3',
            '7 done 1 @6',
        );
        $events[3] = ['kind' => 'way-changed', 'way' => $way] + $events[3];
        $programme = Logs::programme([['slug' => 'cup', 'steps' => 1], ['slug' => 'crane', 'steps' => 5,
            'passages' => [['name' => 'legs', 'option' => 'reverse', 'last' => 3],
                ['name' => 'wings', 'option' => 'low', 'last' => 5]]]]);
        // Steps 4 and 5 of the lesson became step 4, the third of the crane.
        self::assertSame(
            [1 => ['crane' => ['legs' => 'pages', 'wings' => 'low']], 2 => ['crane' => ['legs' => 'reverse']], 3 => []],
            WaysFolded::of(Logs::of($events), $programme)->ways,
        );
    }

    /** @param  list<array{first: int, was: int, now: int}>  $spans */
    private static function way(array $spans): WayChange
    {
        return WayChange::of(
            model: 'crane',
            passage: 'legs',
            from: 'pages',
            option: 'reverse',
            begins: 2,
            spans: $spans,
        );
    }

    private static function refusal(callable $try): ?string
    {
        try {
            $try();
        } catch (BadEvent $e) {
            return $e->getMessage();
        }

        return null;
    }
}
