<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Pacing\Timeline;
use Cathedra\Core\Rules\PolicyTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Sheets;

/** The blocks of a lesson in any order that makes sense. */
final class TimelineTest extends TestCase
{
    /** @return iterable<string, array{list<string>, array<string, int>, string}> */
    public static function refused(): iterable
    {
        $all = Timeline::BLOCKS;
        yield 'a block left out' => [array_slice($all, 1), [], 'each once'];
        yield 'a block twice' => [[...$all, 'talk'], [], 'each once'];
        yield 'a block nobody knows' => [[...array_slice($all, 1), 'dance'], [], 'each once'];
        yield 'squares after folding' => [
            ['arrive', 'talk', 'hand-out', 'folding', 'squaring', 'decorate', 'display', 'clear'],
            [],
            'Squares are made before',
        ];
        yield 'paper after folding' => [
            ['arrive', 'talk', 'squaring', 'folding', 'hand-out', 'decorate', 'display', 'clear'],
            [],
            'handed out before',
        ];
        yield 'minutes of the folding' => [$all, ['folding' => 30], 'no block "folding" whose minutes'];
        yield 'minutes of nothing' => [$all, ['dance' => 30], 'no block "dance"'];
        yield 'less than none' => [$all, ['talk' => -1], '0 to 180 minutes, not -1'];
        yield 'four hours' => [$all, ['talk' => 240], '0 to 180 minutes, not 240'];
    }

    /**
     * @param  list<string>  $order
     * @param  array<string, int>  $minutes
     */
    #[DataProvider('refused')]
    public function testWhatIsNoOrder(array $order, array $minutes, string $reason): void
    {
        $this->expectException(BadPlan::class);
        $this->expectExceptionMessage($reason);
        Timeline::of($order, $minutes);
    }

    public function testDecoratingStandsWhereItIsDone(): void
    {
        $usual = Timeline::usual('before');
        self::assertSame(['arrive', 'talk', 'hand-out', 'squaring', 'decorate'], $usual->before());
        self::assertSame(['display', 'clear'], $usual->after());
        self::assertSame(['decorate', 'display', 'clear'], $usual->decorating('after')->after());
        self::assertEquals($usual, $usual->decorating('none'), 'not in the lesson: where it is does not matter');
        // where it stands already on that side it is left
        $late = Timeline::of(
            ['arrive', 'talk', 'hand-out', 'squaring', 'folding', 'display', 'decorate', 'clear'],
            [],
        );
        self::assertEquals($late, $late->decorating('after'));
    }

    /**
     * Whatever the order, the lesson is as long, and its lines follow it; 60 + 30 + 50 s round the folding of 50.
     */
    public function testAnyOrderIsAsLong(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        $model = new ModelLoad([new StepLoad('valley', 1, false, false)]);
        $tried = 0;
        while ($tried < 60) {
            $order = $chance->shuffleArray(Timeline::BLOCKS);
            $at = array_flip($order);
            if ($at['squaring'] > $at['folding'] || $at['hand-out'] > $at['folding']) {
                continue;
            }
            $tried++;
            $timeline = Timeline::of($order, ['talk' => 2, 'display' => 1]);
            $decorate = $at['decorate'] < $at['folding'] ? 'before' : 'after';
            $sheet = Sheets::sheet(Sheets::plan(
                room: new Room(5, 1, 'adult'),
                models: [$model],
                minutes: 60,
                squaring: 100,
                decorate: $decorate,
                policies: null,
                timeline: $timeline,
            ));
            self::assertSame(60 + 120 + 30 + 100 + 50 + 200 + 60 + 50, $sheet->needed, implode(' ', $order));
            self::assertSame(
                array_map(static fn (string $key): string => $key === 'folding' ? 'valley' : $key, $order),
                array_column($sheet->lines, 'key'),
            );
        }
    }

    /** From cards nobody waits for anybody: two folds in a row each, the lead helps, one line for all of it. */
    public function testFromCardsTheLeadHelpsAndTheSheetHasOneLine(): void
    {
        $policies = Policies::of(
            PolicyTable::fromArray((array) Yaml::parseFile(Sheets::LIBRARY.'/policies.yaml')),
            ['show' => 'cards'],
        );
        $steps = [new StepLoad('valley', 1, false, true), new StepLoad('tuck', 1, false, false)];
        $plan = Sheets::plan(
            room: new Room(6, 0, 'adult'),
            models: [new ModelLoad($steps)],
            minutes: 30,
            squaring: 0,
            decorate: 'none',
            policies: $policies,
        );
        $sheet = Sheets::sheet($plan);
        self::assertSame(['arrive', 'hand-out', 'self-paced', 'clear'], array_column($sheet->lines, 'key'));
        self::assertSame(80, array_column($sheet->lines, 'seconds', 'key')['self-paced']);
        self::assertSame([], $sheet->whys);
        self::assertSame(1, $plan->setting(Sheets::times())->helpers);
        self::assertSame(1, $plan->setting(Sheets::times())->needed(3), 'no gate');
    }
}
