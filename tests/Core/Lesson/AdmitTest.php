<?php

declare(strict_types=1);

namespace Tests\Core\Lesson;

use Cathedra\Core\Lesson\BadEvent;
use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Lesson\Lesson;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\Origin;
use Cathedra\Core\Lesson\Outcome;
use Cathedra\Core\Lesson\Slot;
use Cathedra\Core\Lesson\WayChange;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Logs;

/** What may be said of a lesson: the form of each kind of event, and what a lesson takes into its log. */
final class AdmitTest extends TestCase
{
    private const HOUR = 3_600_000;

    /** What each kind needs; everything else is refused. */
    private const NEEDS = [
        'started' => [],
        'moved' => ['step'],
        'done' => ['learner', 'step'],
        'help' => ['learner', 'step'],
        'helped' => ['learner', 'step'],
        'away' => ['learner'],
        'came' => ['learner'],
        'left' => ['learner'],
        'taken-back' => ['cancels'],
        'paused' => [],
        'resumed' => [],
        'finished-early' => ['learner', 'step'],
        'ended' => [],
        'reopened' => [],
        'corrected' => ['learner', 'model', 'outcome'],
        'noted' => ['text'],
        'way-changed' => ['way'],
        'all-done' => ['step'],
        'table-done' => ['step', 'learners'],
        'not-yet' => ['learner', 'step'],
        'along' => ['learner'],
        'shown' => ['step'],
        'unbegun' => [],
    ];

    /** @return iterable<string, array{EventKind}> */
    public static function kinds(): iterable
    {
        foreach (EventKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function testAKindKeepsExactlyWhatBelongsToIt(EventKind $kind): void
    {
        $needs = self::NEEDS[$kind->value];
        $whole = self::with($needs);
        $event = self::event($kind, $whole);
        foreach (array_keys(self::with()) as $field) {
            self::assertSame(in_array($field, $needs, true), ($event->$field ?? []) !== [], $field);
        }
        foreach ($needs as $field) {
            self::assertSame($field, self::refused(fn () => self::event($kind, array_diff_key($whole, [$field => 0]))));
        }
        foreach (array_diff_key(self::with(), $whole) as $field => $value) {
            self::assertSame($field, self::refused(fn () => self::event($kind, $whole + [$field => $value])));
        }
    }

    #[DataProvider('kinds')]
    public function testWhatCanBeTakenBack(EventKind $kind): void
    {
        $event = self::event($kind, self::with(self::NEEDS[$kind->value]));
        $back = self::event(EventKind::TakenBack, ['cancels' => $event->key], 2);
        $may = in_array($kind->value, [
            'done', 'help', 'helped', 'away', 'came', 'left', 'finished-early', 'corrected', 'noted',
            'all-done', 'table-done', 'not-yet', 'along',
        ], true);
        self::assertSame($may, $kind->mayBeTakenBack());
        self::assertSame(
            $may ? null : 'cancels',
            self::refused(static fn () => self::lesson()->admit($back, Log::of([$event]))),
        );
    }

    #[DataProvider('kinds')]
    public function testTheSameTwiceSaysTheSameAndAnythingElseDoesNot(EventKind $kind): void
    {
        $with = self::with(self::NEEDS[$kind->value]);
        $event = self::event($kind, $with);
        self::assertTrue($event->saysTheSameAs(self::event($kind, $with, 9)), 'number and time do not matter');
        foreach (array_keys($with) as $field) {
            $other = ['learner' => 8, 'step' => 3, 'cancels' => 'other', 'model' => 'hat', 'text' => 'Other.'];
            $other['outcome'] = Outcome::of(Finish::Stopped, 1);
            $other['learners'] = [7];
            $other['way'] = WayChange::of(
                model: 'cup',
                passage: 'half',
                from: 'once',
                option: 'twice',
                begins: 1,
                spans: [['first' => 3, 'was' => 1, 'now' => 2]],
            );
            self::assertFalse($event->saysTheSameAs(self::event($kind, [$field => $other[$field]] + $with)), $field);
        }
    }

    /** @return iterable<string, array{EventKind, array<string, mixed>, string|null}> */
    public static function places(): iterable
    {
        // the lesson: a cup of 3 steps, then a hat of 2; learners 7 and 8
        yield 'first step' => [EventKind::Done, ['learner' => 7, 'step' => 1], null];
        yield 'last step' => [EventKind::Done, ['learner' => 8, 'step' => 5], null];
        yield 'before the first' => [EventKind::Done, ['learner' => 7, 'step' => 0], 'step'];
        yield 'past the last' => [EventKind::Done, ['learner' => 7, 'step' => 6], 'step'];
        yield 'moved before the first' => [EventKind::Moved, ['step' => 0], null];
        yield 'moved past the last' => [EventKind::Moved, ['step' => 6], null];
        yield 'moved out of the lesson' => [EventKind::Moved, ['step' => 7], 'step'];
        yield 'moved backward out of it' => [EventKind::Moved, ['step' => -1], 'step'];
        yield 'a stranger' => [EventKind::Came, ['learner' => 9], 'learner'];
        yield 'a table' => [EventKind::TableDone, ['step' => 1, 'learners' => [7, 8]], null];
        yield 'a stranger at a table' => [EventKind::TableDone, ['step' => 1, 'learners' => [7, 9]], 'learners'];
        yield 'another model' => [
            EventKind::Corrected,
            ['learner' => 7, 'model' => 'boat', 'outcome' => Outcome::of(Finish::Alone)],
            'model',
        ];
        yield 'stopped at the last step of the hat' => [
            EventKind::Corrected,
            ['learner' => 7, 'model' => 'hat', 'outcome' => Outcome::of(Finish::Stopped, 2)],
            null,
        ];
        yield 'stopped past the hat' => [
            EventKind::Corrected,
            ['learner' => 7, 'model' => 'hat', 'outcome' => Outcome::of(Finish::Stopped, 3)],
            'finish_step',
        ];
        yield 'takes back what is not there' => [EventKind::TakenBack, ['cancels' => 'nothing'], 'cancels'];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('places')]
    public function testWhatALessonTakes(EventKind $kind, array $with, ?string $field): void
    {
        $refused = self::refused(static fn () => self::lesson()->admit(self::event($kind, $with), Log::of([])));
        self::assertSame($field, $refused);
    }

    public function testNothingIsTakenBackTwice(): void
    {
        $mark = self::event(EventKind::Done, ['learner' => 7, 'step' => 1]);
        $back = self::event(EventKind::TakenBack, ['cancels' => $mark->key], 2, 'back');
        $again = self::event(EventKind::TakenBack, ['cancels' => $mark->key], 3, 'again');
        self::assertNull(self::refused(static fn () => self::lesson()->admit($back, Log::of([$mark]))));
        self::assertSame(
            'cancels',
            self::refused(static fn () => self::lesson()->admit($again, Log::of([$mark, $back]))),
        );
    }

    public function testNoDeedIsRefusedForItsClock(): void
    {
        foreach ([0, self::HOUR + 1, -100 * self::HOUR, 4_102_444_800_000, PHP_INT_MIN, PHP_INT_MAX] as $clock) {
            $event = Event::of(
                key: 'k',
                kind: EventKind::Ended,
                origin: new Origin('d', $clock, 0, 1),
                number: 1,
                atMs: 1_000,
            );
            self::assertNull(self::refused(static fn () => self::lesson()->admit($event, Log::of([]))));
            self::assertGreaterThanOrEqual(1000, (int) gmdate('Y', intdiv($event->origin->deviceMs, 1000)));
            self::assertLessThanOrEqual(9999, (int) gmdate('Y', intdiv($event->origin->deviceMs, 1000)));
        }
    }

    public function testOnlyAStartSaysHowItIsMarkedAndNeedNot(): void
    {
        self::assertSame(Marking::Close, self::event(EventKind::Started, ['marks' => Marking::Close])->marks);
        self::assertNull(self::event(EventKind::Started, [])->marks);
        self::assertSame(
            'marks',
            self::refused(static fn () => self::event(EventKind::Ended, ['marks' => Marking::Close])),
        );
        $close = self::event(EventKind::Started, ['marks' => Marking::Close]);
        self::assertFalse($close->saysTheSameAs(self::event(EventKind::Started, [])));
    }

    public function testOutcomesAndSlotsOutOfBounds(): void
    {
        self::assertSame('step', self::refused(static fn () => Outcome::of(Finish::Stopped)));
        self::assertSame('step', self::refused(static fn () => Outcome::of(Finish::Stopped, 0)));
        foreach ([Finish::Alone, Finish::WithHelp, Finish::Away] as $finish) {
            self::assertSame('step', self::refused(static fn () => Outcome::of($finish, 1)), $finish->value);
        }
        foreach ([[4, 'minutes'], [5, null], [480, null], [481, 'minutes']] as [$minutes, $field]) {
            self::assertSame($field, self::refused(static fn () => Slot::of(0, $minutes)), "$minutes minutes");
        }
        self::assertSame(60_000 * 45 + 7, Slot::of(7, 45)->bellMs());
    }

    /** For ten minutes, and before anybody was marked at a step. */
    public function testWhenABeginningCanBeTakenBack(): void
    {
        $at = static fn (string ...$lines): ?string => self::refused(static fn () => self::lesson()->admit(
            Logs::event(Logs::plain((string) array_pop($lines))[0]),
            Logs::of(Logs::plain(...$lines)),
        ));
        self::assertNull($at('1 started t:0', '2 moved @1 t:5', '3 away 7 t:6', '9 unbegun t:600'));
        self::assertSame('kind', $at('1 started t:0', '9 unbegun t:601'), 'too late');
        self::assertSame('kind', $at('1 away 7', '9 unbegun'), 'never begun');
        self::assertSame('kind', $at('1 started', '2 ended', '9 unbegun'), 'over');
        self::assertSame('kind', $at('1 started', '2 done 7 @1', '9 unbegun'), 'somebody has a step');
        self::assertNull($at('1 started', '2 done 7 @1', '3 taken-back cancels:k2', '9 unbegun'));
        self::assertSame('kind', $at('1 started', '2 unbegun', '9 unbegun'), 'twice');
    }

    public function testANoteHasFourHundredSigns(): void
    {
        self::assertSame('text', self::refused(static fn () => self::event(
            EventKind::Noted,
            ['text' => str_repeat('ä', 401)],
        )));
        self::assertSame(400, mb_strlen((string) self::event(
            EventKind::Noted,
            ['text' => str_repeat('ä', 400)],
        )->text));
    }

    /** @return iterable<string, array{int, int, bool, bool, Finish, int|null}> */
    public static function ends(): iterable
    {
        // steps done of three, helped, seen
        yield 'never seen' => [0, 3, false, false, Finish::Away, null];
        yield 'never seen though helped' => [0, 3, true, false, Finish::Away, null];
        yield 'seen, nothing done' => [0, 3, false, true, Finish::Stopped, 1];
        yield 'two of three' => [2, 3, false, true, Finish::Stopped, 3];
        yield 'two of three with help' => [2, 3, true, true, Finish::Stopped, 3];
        yield 'all' => [3, 3, false, true, Finish::Alone, null];
        yield 'all with help' => [3, 3, true, true, Finish::WithHelp, null];
        yield 'more than all' => [4, 3, false, true, Finish::Alone, null];
    }

    #[DataProvider('ends')]
    public function testWhatMarksSay(int $done, int $of, bool $helped, bool $seen, Finish $finish, ?int $step): void
    {
        $outcome = Outcome::fromMarks($done, $of, $helped, $seen);
        self::assertSame([$finish, $step], [$outcome->finish, $outcome->step]);
        self::assertSame(in_array($finish, [Finish::Alone, Finish::WithHelp], true), $outcome->finish->isFinished());
    }

    public function testBetterEndsHideWorseOnes(): void
    {
        $ranks = array_map(
            static fn (Finish $f): int => $f->rank(),
            [Finish::Away, Finish::Stopped, Finish::WithHelp, Finish::Alone],
        );
        self::assertSame([0, 1, 2, 3], $ranks);
    }

    private static function lesson(): Lesson
    {
        $programme = Logs::programme([['slug' => 'cup', 'steps' => 3], ['slug' => 'hat', 'steps' => 2]]);

        return Lesson::of(Slot::of(0, 60), $programme, [7, 8]);
    }

    /**
     * @param  list<string>|null  $only
     * @return array<string, mixed>
     */
    private static function with(?array $only = null): array
    {
        $all = [
            'learner' => 7,
            'step' => 2,
            'cancels' => 'key',
            'model' => 'cup',
            'outcome' => Outcome::of(Finish::Alone),
            'text' => 'A note.',
            'way' => WayChange::of(
                model: 'cup',
                passage: 'half',
                from: 'once',
                option: 'twice',
                begins: 1,
                spans: [['first' => 2, 'was' => 1, 'now' => 2]],
            ),
            'learners' => [7, 8],
        ];

        return $only === null ? $all : array_intersect_key($all, array_flip($only));
    }

    /** @param  array<string, mixed>  $with */
    private static function event(EventKind $kind, array $with, int $number = 1, string $key = 'key-1'): Event
    {
        return Event::of(
            key: $key,
            kind: $kind,
            origin: new Origin('tablet', $number, 0, 1),
            number: $number,
            atMs: $number,
            with: $with,
        );
    }

    /** The field that a refusal names; null when nothing is refused. */
    private static function refused(callable $try): ?string
    {
        try {
            $try();
        } catch (BadEvent $e) {
            self::assertNotSame('', $e->getMessage());

            return $e->field;
        }

        return null;
    }
}
