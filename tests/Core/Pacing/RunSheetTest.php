<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Numeric\Normal;
use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Forecast;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Pacing\StepWhy;
use Cathedra\Core\Rules\BaseTimes;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Folds;
use Tests\Support\Sheets;

final class RunSheetTest extends TestCase
{
    public function testWithoutSpreadOrHelpItIsThePlainSum(): void
    {
        // 60 arrive + 30 hand out + 2 x (10 show + 40 fold) + 20 checkpoint + 50 clear = 260 s
        $plan = $this->plan(
            new Room(12, 0, 'adult'),
            [new ModelLoad([new StepLoad('valley', 1, false, true), new StepLoad('valley', 1, false, false)])],
            $this->times(0.0, 0.0),
        );
        self::assertSame(260, $plan->needed);
        self::assertSame(480 * 60 - 260, $plan->spare());
        self::assertSame([0, 60, 90, 140, 160, 210], array_column($plan->lines, 'start'));
        self::assertSame(['block', 'block', 'step', 'checkpoint', 'step', 'block'], array_column($plan->lines, 'kind'));
    }

    public function testLinesFollowOneAnotherWithoutAGap(): void
    {
        $plan = $this->plan(new Room(17, 1, 'junior'), [$this->helmet()], $this->times(0.35, 0.12), 90);
        $at = 0;
        foreach ($plan->lines as $line) {
            self::assertSame($at, $line['start']);
            $at += $line['seconds'];
        }
        self::assertSame($at, $plan->needed);
    }

    /** All but the buffer is the mean of the rehearsal; with it the lesson is long enough in nine of ten rooms. */
    public function testTheBufferMakesItEnoughInNineOfTenRooms(): void
    {
        $times = $this->times(0.35, 0.12);
        $plan = Sheets::plan(new Room(17, 1, 'junior'), [$this->helmet()], 60);
        $answer = Forecast::rehearse($plan, $times);
        $sheet = RunSheet::of($plan, $answer, $times);
        $seconds = array_column($sheet->lines, 'seconds', 'key');
        self::assertGreaterThan(0, $seconds['buffer']);
        self::assertSame(['buffer', 'clear'], array_slice(array_column($sheet->lines, 'key'), -2));
        self::assertEqualsWithDelta($answer->mean() + 50, $sheet->needed - $seconds['buffer'], 1.0);
        self::assertEqualsWithDelta(Answer::quantile($answer->finishes, 0.9) + 50, $sheet->needed, 1.0);
        $late = array_filter($answer->finishes, static fn (float $end): bool => $end + 50 > $sheet->needed + 1);
        self::assertEqualsWithDelta(0.1, count($late) / count($answer->finishes), 0.01);
    }

    public function testMoreLearnersNeverMuchSoonerMoreHelpersNeverLater(): void
    {
        $times = $this->times(0.35, 0.12);
        $before = 0;
        foreach ([1, 4, 10, 20, 40, 60] as $learners) {
            $needed = $this->plan(new Room($learners, 1, 'adult'), [$this->helmet()], $times)->needed;
            self::assertGreaterThan($before, $needed);
            $before = $needed;
        }
        foreach (range(1, 8) as $helpers) {
            $needed = $this->plan(new Room(60, $helpers, 'adult'), [$this->helmet()], $times)->needed;
            self::assertLessThanOrEqual($before, $needed);
            $before = $needed;
        }
    }

    public function testNormalQuantiles(): void
    {
        foreach (
            [
                '0.5' => 0.0,
                '0.975' => 1.959963985,
                '0.05' => -1.644853627,
                '0.999' => 3.090232306,
                '0.01' => -2.326347874,
            ] as $p => $z
        ) {
            self::assertEqualsWithDelta($z, Normal::quantile((float) $p), 1e-6);
        }
        $this->expectException(\LogicException::class);
        Normal::quantile(1.0);
    }

    public function testLoadsComeFromGeometry(): void
    {
        $loads = Folds::loads('helmet');
        // One sheet, one sheet, the doubled corner, the doubled flaps that lie side by side.
        self::assertSame([1, 1, 2, 2], array_column(array_slice($loads, 0, 4), 'layers'));
        self::assertTrue($loads[2]->twice);
        self::assertSame('rotate', $loads[0]->fold);
    }

    public function testRoomsAndSlotsOutOfBounds(): void
    {
        $bad = [
            static fn () => new Room(0, 0, 'adult'),
            static fn () => new Room(500, 0, 'adult'),
            static fn () => new Room(5, -1, 'adult'),
            static fn () => new Room(learners: 5, helpers: 0, ageBand: 'adult', knows: [], pace: 0.0),
            fn () => Sheets::plan(new Room(5, 0, 'adult'), [$this->helmet()], -60),
            static fn () => Sheets::plan(new Room(5, 0, 'adult'), []),
            static fn () => Sheets::plan(new Room(5, 0, 'adult'), [new ModelLoad([])]),
            static fn () => new ModelLoad(
                steps: [new StepLoad('valley', 1, false, false)],
                diagonals: [],
                times: 1,
                side: 150.0,
                own: [2 => 40],
            ),
            static fn () => new ModelLoad(
                steps: [new StepLoad('valley', 1, false, false)],
                diagonals: [],
                times: 1,
                side: 150.0,
                own: [1 => 0],
            ),
            fn () => $this->plan(new Room(5, 0, 'elves'), [$this->helmet()], $this->times(0, 0)),
            fn () => $this->plan(
                new Room(5, 0, 'adult'),
                [new ModelLoad([new StepLoad('juggle', 1, false, false)])],
                $this->times(0, 0),
            ),
        ];
        foreach ($bad as $i => $try) {
            try {
                $try();
                self::fail("case $i was accepted");
            } catch (BadPlan $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    public function testTwoModelsOneAfterTheOtherAndDecorating(): void
    {
        // 60 arrive + 30 hand out + 2 x 50 + 25 for the next model + 50 + 50 clear = 315; decorating adds 200, early or
        // late.
        $models = [
            new ModelLoad([new StepLoad('valley', 1, false, false), new StepLoad('tuck', 1, false, false)]),
            new ModelLoad([new StepLoad('valley', 1, false, false)]),
        ];
        $plan = $this->plan(new Room(12, 0, 'adult'), $models, $this->times(0.0, 0.0));
        self::assertSame(315, $plan->needed);
        self::assertSame(
            [null, null, 1, 2, null, 3, null],
            array_column($plan->lines, 'step'),
            'steps are numbered through',
        );
        self::assertSame('next-model', $plan->lines[4]['key']);
        foreach (['before' => 2, 'after' => 6] as $when => $place) {
            $with = $this->plan(
                room: new Room(12, 0, 'adult'),
                models: $models,
                times: $this->times(0.0, 0.0),
                squaring: 0,
                decorate: $when,
            );
            self::assertSame([515, 'decorate'], [$with->needed, $with->lines[$place]['key']]);
        }
    }

    /**
     * A valley fold of 40 s, shown in 10, on both sides (1.8), through five layers (1 + 3 x 0.1), for juniors (1.6):
     * 149.76; all three are stuck and one helper sees them one after the other, 45 s each: 135 more.
     */
    public function testEveryTimeSaysWhy(): void
    {
        $sheet = $this->plan(
            new Room(3, 1, 'junior'),
            [new ModelLoad([
                new StepLoad('valley', 5, true, true),
                new StepLoad('tuck', 1, false, true),
            ])],
            $this->times(0.0, 1.0),
        );
        self::assertSame([1, 2], array_map(static fn (StepWhy $w): int => $w->step, $sheet->whys));
        $first = $sheet->whys[0];
        self::assertEqualsWithDelta(['sides' => 1.8, 'layers' => 1.3, 'age' => 1.6], $first->factors, 1e-9);
        self::assertSame([10.0, 40.0, false], [$first->show, $first->base, $first->own]);
        self::assertEqualsWithDelta(149.76, $first->fold(), 1e-6);
        // at most 0.6 get stuck, however hard it is: of three, by the draws of 250 rooms, close to 1.8
        self::assertEqualsWithDelta(1.8 * 45, $first->wait, 6.0);
        $lines = array_values(array_filter($sheet->lines, static fn (array $l): bool => $l['kind'] === 'step'));
        foreach ($sheet->whys as $i => $why) {
            self::assertEqualsWithDelta($lines[$i]['seconds'], $why->seconds(), 1.0);
        }
    }

    /** What a lead says of a step stands, and the sheet says that it is the lead's. */
    public function testALeadMaySayHowLongAStepTakes(): void
    {
        $steps = [new StepLoad('valley', 5, true, false), new StepLoad('tuck', 1, false, false)];
        $sheet = $this->plan(
            new Room(3, 1, 'junior'),
            [new ModelLoad(steps: $steps, diagonals: [], times: 1, side: 150.0, own: [1 => 75])],
            $this->times(0.0, 0.0),
        );
        self::assertSame([true, false], array_map(static fn (StepWhy $w): bool => $w->own, $sheet->whys));
        self::assertSame([85, 74], array_column(array_slice($sheet->lines, 2, 2), 'seconds')); // 10 + 75; 10 + 40 x 1.6
    }

    public function testWhateverTheModelsTheRunHasThemAllInOrder(): void
    {
        for ($seed = 1; $seed <= 80; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $models = array_map(
                static fn (): ModelLoad => new ModelLoad(
                    array_map(
                        static fn (): StepLoad => new StepLoad(
                            ['valley', 'mountain', 'crease', 'tuck', 'rotate'][$chance->getInt(0, 4)],
                            $chance->getInt(1, 8),
                            $chance->getInt(0, 3) === 0,
                            $chance->getInt(0, 4) === 0,
                        ),
                        range(1, $chance->getInt(1, 12)),
                    ),
                ),
                range(1, $chance->getInt(1, 4)),
            );
            $decorate = ['none', 'before', 'after'][$chance->getInt(0, 2)];
            $squaring = $chance->getInt(0, 1) * 90;
            $room = new Room($chance->getInt(1, 30), $chance->getInt(0, 3), 'junior');
            $plan = $this->plan(
                room: $room,
                models: $models,
                times: $this->times(0.0, 0.0),
                squaring: $squaring,
                decorate: $decorate,
            );
            $steps = array_sum(array_map(static fn (ModelLoad $m): int => count($m->steps), $models));
            self::assertSame(
                range(1, $steps),
                array_column(array_filter($plan->lines, static fn (array $l): bool => $l['kind'] === 'step'), 'step'),
                "seed $seed",
            );
            $keys = array_column($plan->lines, 'key');
            self::assertSame(count($models) - 1, count(array_keys($keys, 'next-model', true)), "seed $seed");
            self::assertSame(
                [(int) ($decorate !== 'none'), (int) ($squaring > 0)],
                [count(array_keys($keys, 'decorate', true)), count(array_keys($keys, 'squaring', true))],
                "seed $seed",
            );
            $at = 0;
            foreach ($plan->lines as $line) {
                self::assertSame($at, $line['start'], "seed $seed: a gap");
                $at += $line['seconds'];
            }
            self::assertSame([$at, 480 * 60 - $at], [$plan->needed, $plan->spare()]);
            $apart = array_sum(
                array_map(
                    fn (ModelLoad $m): int => $this->plan($room, [$m], $this->times(0.0, 0.0))->needed - 140,
                    $models,
                ),
            );
            self::assertEqualsWithDelta(
                $apart + 140 + 25 * (count($models) - 1) + $squaring + ($decorate === 'none' ? 0 : 200),
                $plan->needed,
                2 * count($plan->lines),
                "seed $seed: models take as long together as apart, to the rounding of each line",
            );
        }
    }

    private function helmet(): ModelLoad
    {
        return new ModelLoad(Folds::loads('helmet', [3]));
    }

    private function times(float $spread, float $stuck): BaseTimes
    {
        return Sheets::times([
            'slowest_spread' => $spread,
            'own_spread' => $spread / 2,
            'stuck_rate' => array_fill(1, 5, $stuck),
            'help_seconds' => 45.0,
        ]);
    }

    /**
     * @param  list<ModelLoad>  $models
     * @param  'none'|'before'|'after'  $decorate
     */
    private function plan(
        Room $room,
        array $models,
        BaseTimes $times,
        int $squaring = 0,
        string $decorate = 'none',
    ): RunSheet {
        return Sheets::sheet(Sheets::plan(
            room: $room,
            models: $models,
            minutes: 480,
            squaring: $squaring,
            decorate: $decorate,
            policies: null,
            timeline: null,
            gate: 0.8,
        ), $times);
    }
}
