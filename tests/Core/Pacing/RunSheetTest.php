<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Normal;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Pacing\StepWhy;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\FoldTable;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Folds;

final class RunSheetTest extends TestCase
{
    public function testWithoutSpreadOrHelpItIsThePlainSum(): void
    {
        // 60 arrive + 30 hand out + 2 x (10 show + 40 fold) + 20 checkpoint + 50 clear = 260 s
        $plan = RunSheet::plan(
            new Room(12, 0, 'adult'),
            [new ModelLoad([new StepLoad('valley', 1, false, true), new StepLoad('valley', 1, false, false)], 1)],
            30,
            0,
            $this->times(0.0, 0.0),
        );
        self::assertSame(260, $plan->needed);
        self::assertSame(1800 - 260, $plan->spare());
        self::assertSame([0, 60, 90, 140, 160, 210], array_column($plan->lines, 'start'));
        self::assertSame(['block', 'block', 'step', 'checkpoint', 'step', 'block'], array_column($plan->lines, 'kind'));
    }

    public function testLinesFollowOneAnotherWithoutAGap(): void
    {
        $plan = RunSheet::plan(new Room(17, 1, 'junior'), [$this->helmet()], 60, 90, $this->times(0.35, 0.12));
        $at = 0;
        foreach ($plan->lines as $line) {
            self::assertSame($at, $line['start']);
            self::assertGreaterThan(0, $line['seconds']);
            $at += $line['seconds'];
        }
        self::assertSame($at, $plan->needed);
    }

    public function testMoreLearnersNeverSoonerMoreHelpersNeverLater(): void
    {
        $times = $this->times(0.35, 0.12);
        $before = 0;
        foreach (range(1, 60) as $learners) {
            $needed = RunSheet::plan(new Room($learners, 0, 'adult'), [$this->helmet()], 60, 0, $times)->needed;
            self::assertGreaterThanOrEqual($before, $needed);
            $before = $needed;
        }
        foreach (range(0, 8) as $helpers) {
            $needed = RunSheet::plan(new Room(60, $helpers, 'adult'), [$this->helmet()], 60, 0, $times)->needed;
            self::assertLessThanOrEqual($before, $needed);
            $before = $needed;
        }
    }

    public function testTheSlowestOfNIsAQuantile(): void
    {
        // One learner: the median, factor 1. Spread 0.5 and 19 learners: z(0.95) = 1.6449, exp(0.82243) = 2.2760.
        $one = RunSheet::plan(
            new Room(1, 0, 'adult'),
            [new ModelLoad([new StepLoad('valley', 1, false, false)], 1)],
            30,
            0,
            $this->times(0.5, 0.0),
        );
        $many = RunSheet::plan(
            new Room(19, 0, 'adult'),
            [new ModelLoad([new StepLoad('valley', 1, false, false)], 1)],
            30,
            0,
            $this->times(0.5, 0.0),
        );
        self::assertSame(50, $one->lines[2]['seconds']);
        self::assertSame((int) round(10 + 40 * 2.276), $many->lines[2]['seconds']);
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
        $loads = array_map(static fn ($s): StepLoad => StepLoad::of($s, false), Folds::library('helmet')->steps);
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
            fn () => RunSheet::plan(new Room(5, 0, 'adult'), [], -60, 0, $this->times(0, 0)),
            fn () => RunSheet::plan(new Room(5, 0, 'elves'), [], 60, 0, $this->times(0, 0)),
            fn () => RunSheet::plan(
                new Room(5, 0, 'adult'),
                [new ModelLoad([new StepLoad('juggle', 1, false, false)], 1)],
                60,
                0,
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
            new ModelLoad([new StepLoad('valley', 1, false, false), new StepLoad('tuck', 1, false, false)], 1),
            new ModelLoad([new StepLoad('valley', 1, false, false)], 2),
        ];
        $plan = RunSheet::plan(new Room(12, 0, 'adult'), $models, 30, 0, $this->times(0.0, 0.0));
        self::assertSame(315, $plan->needed);
        self::assertSame(
            [null, null, 1, 2, null, 3, null],
            array_column($plan->lines, 'step'),
            'steps are numbered through',
        );
        self::assertSame('next-model', $plan->lines[4]['key']);
        foreach (['before' => 2, 'after' => 6] as $when => $place) {
            $with = RunSheet::plan(new Room(12, 0, 'adult'), $models, 30, 0, $this->times(0.0, 0.0), $when);
            self::assertSame([515, 'decorate'], [$with->needed, $with->lines[$place]['key']]);
        }
    }

    /**
     * A valley fold of 40 s, shown in 10, on both sides (1.8), through five layers (1 + 3 x 0.06), for three juniors
     * (1.6) whose slowest is exp(0.35 x 0.6745) = 1.2663 as slow; one of them waits 45 s for help: 10 + 172.1 + 45.
     */
    public function testEveryTimeSaysWhy(): void
    {
        $sheet = RunSheet::plan(
            new Room(3, 1, 'junior'),
            [new ModelLoad([
                new StepLoad('valley', 5, true, false),
                new StepLoad('tuck', 1, false, true),
            ], 3)],
            60,
            0,
            $this->times(0.35, 0.1),
        );
        self::assertSame([1, 2], array_map(static fn (StepWhy $w): int => $w->step, $sheet->whys));
        $first = $sheet->whys[0];
        self::assertEqualsWithDelta(
            ['sides' => 1.8, 'layers' => 1.18, 'age' => 1.6, 'slowest' => 1.2663],
            $first->factors,
            1e-4,
        );
        self::assertSame([10.0, 40.0, 45.0], [$first->show, $first->base, $first->wait]);
        self::assertEqualsWithDelta(227.1, $first->seconds(), 0.1);
        $lines = array_values(array_filter($sheet->lines, static fn (array $l): bool => $l['kind'] === 'step'));
        foreach ($sheet->whys as $i => $why) {
            self::assertEqualsWithDelta($lines[$i]['seconds'], $why->seconds(), 1.0);
        }
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
                    $chance->getInt(1, 5),
                ),
                range(1, $chance->getInt(1, 4)),
            );
            $decorate = ['none', 'before', 'after'][$chance->getInt(0, 2)];
            $squaring = $chance->getInt(0, 1) * 90;
            $room = new Room($chance->getInt(1, 30), $chance->getInt(0, 3), 'junior');
            $plan = RunSheet::plan($room, $models, 480, $squaring, $this->times(0.35, 0.12), $decorate);
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
                    fn (ModelLoad $m): int => RunSheet::plan($room, [$m], 480, 0, $this->times(0.35, 0.12))->needed -
                        140,
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
        return new ModelLoad(
            array_map(
                static fn ($s): StepLoad => StepLoad::of($s, $s->step->number === 3),
                Folds::library('helmet')->steps,
            ),
            3,
        );
    }

    private function times(float $spread, float $stuck): BaseTimes
    {
        $fold = ['fold' => 40, 'show' => 10, 'weight' => 1];
        $folds = array_fill_keys(['valley', 'mountain', 'crease', 'tuck', 'rotate'], $fold);

        return BaseTimes::fromArray([
            'age_factor' => [
                'adult' => ['label' => 'adults', 'factor' => 1.0],
                'junior' => ['label' => 'juniors', 'factor' => 1.6],
            ],
            'layers_factor' => 0.06,
            'slowest_spread' => $spread,
            'own_spread' => 0.25,
            'miss_factor' => 2,
            'repeat_factor' => 0.7,
            'also_factor' => 1.8,
            'help_seconds' => 45.0,
            'stuck_rate' => array_fill(1, 5, $stuck),
            'blocks' => [
                'arrive' => 60,
                'hand_out' => 30,
                'checkpoint' => 20,
                'clear' => 50,
                'next_model' => 25,
                'decorate' => 200,
            ],
            'source' => 'made up for the test',
        ], FoldTable::fromArray(['folds' => $folds, 'source' => 'made up for the test']));
    }
}
