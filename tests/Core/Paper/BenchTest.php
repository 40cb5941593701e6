<?php

declare(strict_types=1);

namespace Tests\Core\Paper;

use Cathedra\Core\Cutting\LargestSquare;
use Cathedra\Core\Cutting\SquareGrid;
use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\DisplayString;
use Cathedra\Core\Paper\Length;
use Cathedra\Core\Paper\Preparation;
use Cathedra\Core\Paper\SquareCheck;
use Cathedra\Core\Paper\Stock;
use Cathedra\Core\Paper\WillItFold;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class BenchTest extends TestCase
{
    private const LIMITS = [
        'stack_mm' => 2.0,
        'stack_most_mm' => 3.0,
        'dexterity_mm' => 6.0,
        'dexterity_least_mm' => 4.0,
        'table_mm' => 500.0,
        'soft_mm' => 320.0,
    ];

    /** @return iterable<string, array{string, 'mm'|'cm'|'in', float}> */
    public static function lengths(): iterable
    {
        yield 'plain' => ['210', 'mm', 210.0];
        yield 'comma' => ['21,0', 'cm', 210.0];
        yield 'unit wins' => ['21.0 cm', 'in', 210.0];
        yield 'inches' => ['8.5in', 'mm', 215.9];
        yield 'ruler' => ['8 1/2', 'in', 215.9];
        yield 'ruler with unit' => ['8 1/2 in', 'mm', 215.9];
        yield 'hyphen' => ['8-1/2"', 'mm', 215.9];
        yield 'fraction alone' => ['3/4 in', 'mm', 19.05];
        yield 'sign' => ['8½"', 'mm', 215.9];
        yield 'spaces' => ['  297  mm ', 'cm', 297.0];
        yield 'metres' => ['0.5 m', 'mm', 500.0];
    }

    /** @param  'mm'|'cm'|'in'  $unit */
    #[DataProvider('lengths')]
    public function testLengthsAsPeopleWriteThem(string $text, string $unit, float $mm): void
    {
        self::assertEqualsWithDelta($mm, Length::parse($text, $unit), 1e-9);
    }

    public function testWhatIsNoLengthIsSaid(): void
    {
        foreach (
            [
                '',
                'x',
                '-5',
                '0',
                '8 1/0 in',
                '8 9/8 in',
                '8 1/2 mm',
                '8 1/2',
                '1.5 1/2 in',
                '1.234,5',
                '8 in 2',
                '1e9',
                '99999999',
                '5 kg',
                '½ mm',
                '8 /2 in',
            ] as $text
        ) {
            try {
                Length::parse($text, 'mm', '/side');
                self::fail("\"$text\" was read");
            } catch (BadPaper $e) {
                self::assertSame('/side', $e->pointer);
            }
        }
    }

    public function testRulerFractionsNeverMakeASquareBiggerThanTheSheet(): void
    {
        // 210 mm are 8.268 in: 8 4/16 = 8 1/4 in = 209.55 mm, 0.45 mm short.
        self::assertSame('8 1/4 in', Length::underRuler(210)['text']);
        self::assertEqualsWithDelta(0.45, Length::underRuler(210)['short_mm'], 1e-9);
        self::assertSame(
            ['8 1/2 in', '7/8 in', '0 in'],
            [Length::underRuler(215.9)['text'], Length::underRuler(22.3, 8)['text'], Length::underRuler(1.0)['text']],
        );
        $chance = new Randomizer(new Mt19937(3));
        for ($run = 0; $run < 500; $run++) {
            $mm = $chance->getInt(1, 2_000_000) / 1000;
            foreach ([8, 16] as $parts) {
                $under = Length::underRuler($mm, $parts);
                self::assertLessThanOrEqual($mm + 1e-9, $under['mm']);
                self::assertGreaterThan($mm - 25.4 / $parts - 1e-9, $under['mm']);
                if ($under['mm'] > 0) {
                    self::assertEqualsWithDelta(
                        $under['mm'],
                        Length::parse($under['text']),
                        1e-9,
                        'what is said can be read again',
                    );
                }
            }
        }
        self::assertSame(['21.0 cm', '148.5 mm'], [Length::say(210.04, 'cm'), Length::say(148.59, 'mm')]);
    }

    public function testARulerIsReadDownward(): void
    {
        // 148.5 mm are 5.846 in: 5 13/16, 147.6375 mm; 4.75 sixteenths of an inch are 4.
        self::assertEqualsWithDelta(
            [147.6375, 148.0, 148.5, 6.35],
            [
                Length::down(148.5, 'in'),
                Length::down(148.5, 'cm'),
                Length::down(148.55, 'mm'),
                Length::down((4.75 * 25.4) / 16, 'in'),
            ],
            1e-9,
        );
        for ($mm = 10.0; $mm < 600; $mm += 0.37) {
            foreach (['in' => 25.4 / 16, 'cm' => 1.0, 'mm' => 0.1] as $unit => $mark) {
                $down = Length::down($mm, $unit);
                self::assertTrue($down <= $mm + 1e-6 && $down > $mm - $mark - 1e-6, "$mm $unit");
                self::assertEqualsWithDelta($down, Length::down($down, $unit), 1e-9, 'a mark is read as itself');
            }
        }
    }

    public function testTheBiggestSquareForEveryone(): void
    {
        // 22 sheets of A4 and 26 learners: two from a sheet is 148.5; one from each would be 22 only.
        self::assertEqualsWithDelta(
            148.5,
            LargestSquare::from([Stock::of('A4', 210, 297, 22)], 26)['side_mm'] ?? 0,
            1e-9,
        );
        self::assertEqualsWithDelta(
            210.0,
            LargestSquare::from([Stock::of('A4', 210, 297, 26)], 26)['side_mm'] ?? 0,
            1e-9,
        );
        // With 10 A5 beside 22 A4: 148 gives 22 * 2 + 10 = 54; larger than 148 the A4 alone must do: 148.5.
        self::assertEqualsWithDelta(
            148.5,
            LargestSquare::from([Stock::of('A4', 210, 297, 22), Stock::of('A5', 148, 210, 10)], 30)['side_mm'] ?? 0,
            1e-9,
        );
        self::assertNull(LargestSquare::from([Stock::of('A4', 210, 297, 0)], 3));
    }

    public function testNoLargerSquareWouldDo(): void
    {
        $chance = new Randomizer(new Mt19937(9));
        for ($run = 0; $run < 60; $run++) {
            $pile = [];
            foreach (range(1, $chance->getInt(1, 3)) as $i) {
                $pile[] = Stock::of("s$i", $chance->getInt(80, 400), $chance->getInt(80, 400), $chance->getInt(0, 9));
            }
            $n = $chance->getInt(1, 40);
            $kerf = $chance->getInt(0, 2);
            $best = LargestSquare::from($pile, $n, $kerf);
            $makes = static fn (float $side): int => array_sum(
                array_map(
                    static fn (Stock $s): int => $s->count *
                        SquareGrid::on($s->width, $s->height, $side, $kerf)->count(),
                    $pile,
                ),
            );
            if ($best === null) {
                self::assertLessThan($n, $makes(Stock::MIN_MM));
            } else {
                self::assertGreaterThanOrEqual($n, $makes($best['side_mm']));
                self::assertLessThan($n, $makes($best['side_mm'] + 0.01));
            }
        }
    }

    public function testTheDiagonalsTell(): void
    {
        // sqrt(2) * 150 * sin(1 degree) = 3.70 mm.
        $check = SquareCheck::of(150, 212.1 + 1.85, 212.1 - 1.85, 0.5);
        self::assertEqualsWithDelta(1.0, $check['off_degrees'], 0.01);
        self::assertFalse($check['passes']);
        self::assertEqualsWithDelta(1.85, $check['allowed_mm'], 0.01);
        self::assertTrue(SquareCheck::of(150, 212.1, 212.1, 0.5)['passes']);
    }

    public function testWillItFold(): void
    {
        // Office paper of 80 g/m2 at 0.8 g/cm3 is 0.1 mm thick; 28 layers are 2.8 mm, over 2 on a square of 150.
        self::assertEqualsWithDelta(0.1, WillItFold::caliper(80, 0.8), 1e-9);
        $crane = WillItFold::judge(
            layers: 28,
            narrowestPerSide: 0.013,
            caliper: 0.1,
            side: 150,
            largest: 210,
            limits: self::LIMITS,
        );
        self::assertSame(
            ['no', ['thick', 'narrow']],
            [$crane->verdict, $crane->reasons],
            'and its narrowest point has only 1.95 mm',
        );
        self::assertNull($crane->better, '6 / 0.013 = 462 mm would be needed for the narrow point');
        $cup = WillItFold::judge(
            layers: 5,
            narrowestPerSide: 0.09,
            caliper: 0.1,
            side: 150,
            largest: 210,
            limits: self::LIMITS,
        );
        self::assertSame(['fits', null], [$cup->verdict, $cup->better]);
        $small = WillItFold::judge(
            layers: 8,
            narrowestPerSide: 0.0553,
            caliper: 0.1,
            side: 90,
            largest: 210,
            limits: self::LIMITS,
        );
        self::assertSame(['hard', ['narrow']], [$small->verdict, $small->reasons], '4.98 mm of 6');
        self::assertSame(109.0, $small->better, '6 / 0.0553 = 108.5 mm, rounded up');
        self::assertSame(
            'hard',
            WillItFold::judge(
                layers: 4,
                narrowestPerSide: null,
                caliper: 0.1,
                side: 600,
                largest: 700,
                limits: self::LIMITS,
            )->verdict,
            'larger than a place at the table',
        );
    }

    public function testItMustBeAbleToDoWhatItIsFor(): void
    {
        // A bird that flaps needs a sheet of 120: 100 is small, 80 (under three quarters of it, 90) is too small.
        $bird = static fn (float $side, float $caliper = 0.1, bool $stiff = false): WillItFold => WillItFold::judge(
            layers: 8,
            narrowestPerSide: null,
            caliper: $caliper,
            side: $side,
            largest: 400,
            limits: self::LIMITS,
            least: 120.0,
            stiff: $stiff,
        );
        self::assertSame(['hard', ['small'], 120.0], [$bird(100)->verdict, $bird(100)->reasons, $bird(100)->better]);
        self::assertSame(['no', ['small']], [$bird(80)->verdict, $bird(80)->reasons]);
        self::assertSame('fits', $bird(120)->verdict);
        // What stands must bear itself: 0.1 mm up to 320; newsprint of 0.07 up to 320 * 0.7^(2/3) = 252.3.
        self::assertEqualsWithDelta(252.28, WillItFold::softFrom(0.07, 320), 0.01);
        self::assertSame(['hard', ['soft']], [$bird(260, 0.07, true)->verdict, $bird(260, 0.07, true)->reasons]);
        self::assertSame('fits', $bird(250, 0.07, true)->verdict);
        self::assertSame('fits', $bird(260, 0.07)->verdict, 'a flat model may be soft');
    }

    public function testWhenToBegin(): void
    {
        // 22 cuts of a minute by 3 people: 8 rounds; 18 kits of 20 s by 3: 6 rounds. 480 + 120 s, and 300 in hand.
        $work = Preparation::of(cuts: 22, secondsPerCut: 60, kits: 18, secondsPerKit: 20, people: 3);
        self::assertSame([480, 120, 600], [$work->cutting, $work->sorting, $work->seconds()]);
        self::assertSame(10_000 - 900, $work->startBy(10_000));
    }

    public function testAStringOfModels(): void
    {
        // 10 of 75 mm with 9 gaps of 25: 975 mm, and 150 for knots. Each of 150 * 150 mm at 80 g/m2: 1.8 g.
        $string = DisplayString::of(
            models: 10,
            height: 75,
            gap: 25,
            knots: 150,
            sheetArea: 150 * 150,
            grammage: 80,
            goal: 100,
            perLesson: 14.5,
        );
        self::assertEqualsWithDelta([975.0, 1125.0, 18.0], [$string->drop, $string->length, $string->weight], 1e-9);
        self::assertSame([10, 7], [$string->beads, $string->lessons], '100 / 14.5 = 6.9');
        $this->expectException(BadPaper::class);
        DisplayString::of(
            models: 0,
            height: 75,
            gap: 25,
            knots: 150,
            sheetArea: 1,
            grammage: 80,
            goal: 1,
            perLesson: 1,
        );
    }
}
