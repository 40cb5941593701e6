<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Pacing\Timeline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Sheets;

/** Each rule of the run sheet alone, with its number worked out beside it. Spread 0: everybody folds at the median. */
final class RunSheetTableTest extends TestCase
{
    /** arrive 60, hand out 30, clear 50: what every lesson has, seconds. */
    private const FRAME = 140;

    /** @return iterable<string, array{array<string, mixed>, int}> */
    public static function rules(): iterable
    {
        // a valley fold is 10 s to show and 40 s to fold
        yield 'one step' => [[], 50];
        yield 'two layers are as one' => [['layers' => 2], 50];
        // 40 x (1 + 0.1 x (3 - 2)) = 44
        yield 'three layers' => [['layers' => 3], 54];
        // 40 x (1 + 0.1 x (7 - 2)) = 60
        yield 'seven layers' => [['layers' => 7], 70];
        // 40 x 1.8 = 72
        yield 'on both sides' => [['twice' => true], 82];
        // 40 x 1.8 x 1.1 = 79.2
        yield 'on both sides through three layers' => [['twice' => true, 'layers' => 3], 89];
        // showing takes as long for everybody; 40 x 2.5 = 100
        yield 'young hands' => [['age' => 'young'], 110];
        yield 'a checkpoint' => [['checkpoint' => true], 70];
        yield 'squaring in the lesson' => [['squaring' => 75], 125];
        yield 'one second of squaring' => [['squaring' => 1], 51];
        yield 'decorating before' => [['decorate' => 'before'], 250];
        yield 'decorating after' => [['decorate' => 'after'], 250];
        // 20 learners x 0.1 stuck = 2 visits of 30 s by the lead = 60; an easy step has half of it
        // everybody is stuck, and one helper sees them one after the other: 3 x 30 s
        yield 'help for three by one' => [['learners' => 3, 'stuck' => 1.0, 'helpers' => 1], 140];
        // two at a time, then one: 2 x 30 s
        yield 'help for three by two' => [['learners' => 3, 'stuck' => 1.0, 'helpers' => 2], 110];
        // without a helper a neighbour leaves off, which takes twice as long, one after the other: 2 x 60 s
        yield 'help for two by a neighbour' => [['learners' => 2, 'stuck' => 1.0], 170];
        // 40 x 1.25, since 0.1 of a square of 150 mm is less than 20 mm
        yield 'a short crease' => [['shortest' => 0.1], 60];
        yield 'the same on a large square' => [['shortest' => 0.1, 'side' => 250.0], 50];
        // 40 x 0.8
        // 40 x 1.2; what has no crease is as quick
        yield 'paper that folds it hardly' => [['hard' => true, 'shortest' => 0.5], 58];
        yield 'the same where nothing is creased' => [['hard' => true], 50];
        yield 'a fold they know' => [['knows' => ['valley']], 42];
        yield 'another fold they know' => [['knows' => ['tuck']], 50];
        yield 'a quick group' => [['pace' => 0.5], 30];
        yield 'as long as the lead says, whatever their age' => [['own' => [1 => 95], 'age' => 'young'], 105];
        yield 'a talk of three minutes' => [['minutes' => ['talk' => 3]], 230];
        yield 'no time to arrive' => [['minutes' => ['arrive' => 0]], -10];
        // two models: 50 + 25 to take the next square + 50
        yield 'two models' => [['models' => 2], 125];
        yield 'three models' => [['models' => 3], 200];
    }

    /** @param  array<string, mixed>  $of */
    #[DataProvider('rules')]
    public function testARule(array $of, int $seconds): void
    {
        $plan = $this->plan($of);
        self::assertSame(self::FRAME + $seconds, $plan->needed);
        self::assertSame(30 * 60 - $plan->needed, $plan->spare());
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function orders(): iterable
    {
        yield 'plain' => [[], ['arrive', 'hand-out', 'valley', 'clear']];
        yield 'squaring comes before decorating' => [
            ['squaring' => 60, 'decorate' => 'before'],
            ['arrive', 'hand-out', 'squaring', 'decorate', 'valley', 'clear'],
        ];
        yield 'decorating after comes before clearing' => [
            ['decorate' => 'after'],
            ['arrive', 'hand-out', 'valley', 'decorate', 'clear'],
        ];
        yield 'a checkpoint follows its step' => [
            ['checkpoint' => true],
            ['arrive', 'hand-out', 'valley', 'checkpoint', 'clear'],
        ];
        yield 'models one after the other' => [
            ['models' => 2],
            ['arrive', 'hand-out', 'valley', 'next-model', 'valley', 'clear'],
        ];
    }

    /**
     * @param  array<string, mixed>  $of
     * @param  list<string>  $keys
     */
    #[DataProvider('orders')]
    public function testTheOrderOfALesson(array $of, array $keys): void
    {
        self::assertSame($keys, array_column($this->plan($of)->lines, 'key'));
    }

    public function testStepsAreNumberedThroughTheLesson(): void
    {
        $steps = array_values(array_filter(
            $this->plan(['models' => 3])->lines,
            static fn (array $line): bool => $line['kind'] === 'step',
        ));
        self::assertSame([1, 2, 3], array_column($steps, 'step'));
    }

    /** @return iterable<string, array{int, bool}> */
    public static function slots(): iterable
    {
        yield 'four minutes' => [4, false];
        yield 'five minutes' => [5, true];
        yield 'eight hours' => [480, true];
        yield 'a minute more' => [481, false];
        yield 'none' => [0, false];
    }

    #[DataProvider('slots')]
    public function testHowLongASlotMayBe(int $minutes, bool $allowed): void
    {
        if (! $allowed) {
            $this->expectException(BadPlan::class);
            $this->expectExceptionMessage("not $minutes");
        }
        self::assertSame($minutes * 60 - 190, $this->plan(['slot' => $minutes])->spare());
    }

    /** @return iterable<string, array{int, int, bool}> */
    public static function rooms(): iterable
    {
        yield 'nobody' => [0, 0, false];
        yield 'one' => [1, 0, true];
        yield 'sixty' => [60, 0, true];
        yield 'sixty-one' => [61, 0, false];
        yield 'twenty helpers' => [10, 20, true];
        yield 'twenty-one helpers' => [10, 21, false];
        yield 'less than no helper' => [10, -1, false];
    }

    #[DataProvider('rooms')]
    public function testHowManyARoomHolds(int $learners, int $helpers, bool $allowed): void
    {
        if (! $allowed) {
            $this->expectException(BadPlan::class);
        }
        self::assertSame($learners, (new Room($learners, $helpers, 'adult'))->learners);
    }

    /** @param  array<string, mixed>  $of */
    private function plan(array $of): RunSheet
    {
        $step = new StepLoad(
            fold: 'valley',
            layers: $of['layers'] ?? 1,
            twice: $of['twice'] ?? false,
            checkpoint: $of['checkpoint'] ?? false,
            repeats: [],
            level: 1,
            shortest: $of['shortest'] ?? null,
        );
        $model = new ModelLoad(
            steps: [$step],
            diagonals: [],
            times: 1,
            side: $of['side'] ?? ModelLoad::SIDE,
            own: $of['own'] ?? [],
            hardPaper: $of['hard'] ?? false,
        );

        return Sheets::sheet(Sheets::plan(
            room: new Room(
                learners: $of['learners'] ?? 8,
                helpers: $of['helpers'] ?? 0,
                ageBand: $of['age'] ?? 'adult',
                knows: $of['knows'] ?? [],
                pace: $of['pace'] ?? 1.0,
            ),
            models: array_fill(0, $of['models'] ?? 1, $model),
            minutes: $of['slot'] ?? 30,
            squaring: $of['squaring'] ?? 0,
            decorate: $of['decorate'] ?? 'none',
            policies: null,
            timeline: Timeline::of(Timeline::BLOCKS, $of['minutes'] ?? []),
        ), Sheets::times(['stuck_rate' => [1 => $of['stuck'] ?? 0.0, 2 => 0, 3 => 0, 4 => 0, 5 => 0]]));
    }
}
