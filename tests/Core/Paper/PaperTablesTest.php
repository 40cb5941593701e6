<?php

declare(strict_types=1);

namespace Tests\Core\Paper;

use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\DisplayString;
use Cathedra\Core\Paper\Length;
use Cathedra\Core\Paper\Preparation;
use Cathedra\Core\Paper\RulerReading;
use Cathedra\Core\Paper\Spares;
use Cathedra\Core\Paper\SquareCheck;
use Cathedra\Core\Paper\Squaring;
use Cathedra\Core\Paper\Stock;
use Cathedra\Core\Paper\WillItFold;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The rules of paper at and beside their limits, each number worked out beside it. */
final class PaperTablesTest extends TestCase
{
    private const LIMITS = [
        'stack_mm' => 2.0,
        'stack_most_mm' => 3.2,
        'dexterity_mm' => 4.0,
        'dexterity_least_mm' => 2.5,
        'table_mm' => 450.0,
        'soft_mm' => 320.0,
    ];

    /** @return iterable<string, array{int, float, float, int}> learners, chance to spoil one, risk, spares */
    public static function spares(): iterable
    {
        // P(X > 0) of one learner at 0.04 is 0.04: within 0.05, but at least one is always had
        yield 'one careful learner' => [1, 0.04, 0.05, 1];
        // 10 at 0.1: P(X <= 2) = 0.930, P(X <= 3) = 0.987
        yield 'ten at a tenth' => [10, 0.1, 0.05, 3];
        // the same with a risk of 0.07: 1 - 0.9298 = 0.0702 is still over it; of 0.071: two are enough
        yield 'ten, a risk just too small' => [10, 0.1, 0.07, 3];
        yield 'ten, a risk just large enough' => [10, 0.1, 0.071, 2];
        // 2 at 0.5: P(X <= 1) = 0.75, so one is enough at a risk of 0.25 exactly
        yield 'two at a half, on the limit' => [2, 0.5, 0.25, 1];
        yield 'two at a half, under it' => [2, 0.5, 0.24, 2];
        // never more than there are learners
        yield 'everybody spoils one' => [3, 0.999, 0.0001, 3];
        // 30 at 0.18: P(X <= 8) = 0.9237, P(X <= 9) = 0.9677
        yield 'thirty, a hard model' => [30, 0.18, 0.05, 9];
    }

    #[DataProvider('spares')]
    public function testSparesAreTheSmallestThatWillDo(int $learners, float $rate, float $risk, int $spares): void
    {
        self::assertSame($spares, Spares::needed($learners, $rate, $risk));
        $enough = static fn (int $k): bool => self::chanceOfAtMost($k, $learners, $rate) >= 1 - $risk - 1e-12;
        self::assertTrue($enough($spares) || $spares === $learners);
        self::assertTrue($spares === 1 || ! $enough($spares - 1), 'one less would not do');
    }

    /** P(X <= k) of the binomial distribution, by plain summing of its terms. */
    private static function chanceOfAtMost(int $k, int $n, float $p): float
    {
        $sum = 0.0;
        for ($i = 0; $i <= $k; $i++) {
            $ways = 1.0;
            for ($j = 0; $j < $i; $j++) {
                $ways *= ($n - $j) / ($j + 1);
            }
            $sum += $ways * $p ** $i * (1 - $p) ** ($n - $i);
        }

        return $sum;
    }

    /** @return iterable<string, array{array<string, mixed>, string, list<string>, float|null}> */
    public static function judgements(): iterable
    {
        // 20 layers of 0.1 mm are 2.0 mm, the limit on a square of 150
        yield 'thick, on the limit' => [['layers' => 20], 'fits', [], null];
        // 21 layers: 2.1 / 2.0 x 150 = 157.5, rounded up
        yield 'thick, beyond it' => [['layers' => 21], 'hard', ['thick'], 158.0];
        yield 'as thick as can be' => [['layers' => 32], 'hard', ['thick'], 240.0];
        yield 'thicker' => [['layers' => 33], 'no', ['thick'], 248.0];
        // limits grow with the side: 21 layers fit on 300
        yield 'thick on a large sheet' => [['layers' => 21, 'side' => 300.0], 'fits', [], null];
        // 0.02 of 200 is 4.0 mm, the limit of these hands; of 199 it is 3.98
        yield 'narrow, on the limit' => [['narrow' => 0.02, 'side' => 200.0], 'fits', [], null];
        yield 'narrow, under it' => [['narrow' => 0.02, 'side' => 199.0], 'hard', ['narrow'], 200.0];
        // 0.02 of 125 is 2.5, where hands still can; of 124 it is 2.48
        yield 'as narrow as can be' => [['narrow' => 0.02, 'side' => 125.0], 'hard', ['narrow'], 200.0];
        yield 'narrower' => [['narrow' => 0.02, 'side' => 124.0], 'no', ['narrow'], 200.0];
        // what would do must come out of this stock
        yield 'no sheet of the stock would do' => [
            ['narrow' => 0.02, 'side' => 150.0, 'largest' => 199.0],
            'hard',
            ['narrow'],
            null,
        ];
        yield 'as large as a place' => [['side' => 450.0, 'largest' => 500.0], 'fits', [], null];
        // a sheet that is too large has a smaller one that fits: 4 layers of 0.1 need 0.4 / 2 x 150 = 30
        yield 'larger than a place' => [['side' => 451.0, 'largest' => 500.0], 'hard', ['large'], 30.0];
        yield 'as small as it may be' => [['side' => 120.0, 'least' => 120.0], 'fits', [], null];
        yield 'a little small' => [['side' => 119.0, 'least' => 120.0], 'hard', ['small'], 120.0];
        yield 'three quarters of the least' => [['side' => 90.0, 'least' => 120.0], 'hard', ['small'], 120.0];
        yield 'less than that' => [['side' => 89.0, 'least' => 120.0], 'no', ['small'], 120.0];
        // 0.1 mm bears itself up to 320
        yield 'stiff enough' => [['side' => 320.0, 'stiff' => true], 'fits', [], null];
        yield 'soft' => [['side' => 321.0, 'stiff' => true], 'hard', ['soft'], 30.0];
        yield 'soft, but it need not stand' => [['side' => 321.0], 'fits', [], null];
        // one bad reason is enough, and further ones do not make it better
        yield 'thick and narrow' => [
            ['layers' => 33, 'narrow' => 0.02],
            'no',
            ['thick', 'narrow'],
            248.0,
        ];
    }

    /**
     * @param  array<string, mixed>  $of
     * @param  list<string>  $reasons
     */
    #[DataProvider('judgements')]
    public function testWillItFold(array $of, string $verdict, array $reasons, ?float $better): void
    {
        $judged = WillItFold::judge(
            layers: $of['layers'] ?? 4,
            narrowestPerSide: $of['narrow'] ?? null,
            caliper: 0.1,
            side: $of['side'] ?? 150.0,
            largest: $of['largest'] ?? 400.0,
            limits: self::LIMITS,
            least: $of['least'] ?? null,
            stiff: $of['stiff'] ?? false,
        );
        self::assertSame([$verdict, $reasons, $better], [$judged->verdict, $judged->reasons, $judged->better]);
        if ($better !== null) {
            $again = WillItFold::judge(
                layers: $of['layers'] ?? 4,
                narrowestPerSide: $of['narrow'] ?? null,
                caliper: 0.1,
                side: $better,
                largest: 400.0,
                limits: self::LIMITS,
                least: $of['least'] ?? null,
                stiff: $of['stiff'] ?? false,
            );
            self::assertSame('fits', $again->verdict, 'what is offered does');
        }
    }

    /** @return iterable<string, array{float, float, float, string}> predicted, read, mm of paper at the rim, why */
    public static function readings(): iterable
    {
        yield 'the same' => [100.0, 100.0, 0.0, 'same'];
        // 3 % of 100
        yield 'three per cent' => [100.0, 103.0, 0.0, 'same'];
        yield 'a little more' => [100.0, 103.1, 0.0, 'larger'];
        yield 'a little less' => [100.0, 96.9, 0.0, 'smaller'];
        // a millimetre is as well as rulers are read: 3 % of 20 is only 0.6
        yield 'a millimetre of a small one' => [20.0, 21.0, 0.0, 'same'];
        yield 'more than a millimetre' => [20.0, 21.1, 0.0, 'larger'];
        yield 'the paper at the rim' => [100.0, 105.0, 5.0, 'same'];
        // 10.0 read for 100 mm: cm; 3.94 x 25.4 = 100.1: inches; 1000 for 100: mm read as cm
        yield 'centimetres' => [100.0, 10.0, 0.0, 'other-unit'];
        yield 'inches' => [100.0, 3.94, 0.0, 'other-unit'];
        // 3 mm of closeness are 76.2 in inches read as mm: 6.93 x 25.4 = 176.0, 6.94 x 25.4 = 176.3
        yield 'inches, just' => [100.0, 6.93, 0.0, 'other-unit'];
        yield 'inches no more' => [100.0, 6.94, 0.0, 'wild'];
        yield 'ten times' => [100.0, 1000.0, 0.0, 'other-unit'];
        yield 'a quarter more' => [100.0, 125.0, 0.0, 'larger'];
        yield 'beyond a quarter' => [100.0, 125.1, 0.0, 'wild'];
        yield 'beyond a quarter less' => [100.0, 74.9, 0.0, 'wild'];
    }

    #[DataProvider('readings')]
    public function testAReading(float $predicted, float $read, float $stack, string $why): void
    {
        $reading = RulerReading::against($predicted, $read, $stack);
        self::assertSame($why, $reading->why);
        self::assertEqualsWithDelta($read - $predicted, $reading->difference(), 1e-9);
    }

    /** @return iterable<string, array{float, float, float, list<float>}> width, height, strip, squares of the strip */
    public static function sheets(): iterable
    {
        // A4: 297 - 210 = 87; from 87 x 210 two squares of 87, and 36 is under 40
        yield 'A4' => [210, 297, 87, [87.0, 87.0]];
        yield 'A4 across' => [297, 210, 87, [87.0, 87.0]];
        // A5: 210 - 148 = 62; two squares of 62, and 24 is under 40
        yield 'A5' => [148, 210, 62, [62.0, 62.0]];
        yield 'a square' => [150, 150, 0, []];
        // 40 x 200: strip 160 x 40, four squares of 40
        yield 'a ribbon' => [40, 200, 160, [40.0, 40.0, 40.0, 40.0]];
        yield 'a strip just too thin' => [210, 249, 39, []];
        yield 'a strip just thick enough' => [210, 250, 40, [40.0, 40.0, 40.0, 40.0, 40.0]];
    }

    /** @param  list<float>  $further */
    #[DataProvider('sheets')]
    public function testSquaring(float $width, float $height, float $strip, array $further): void
    {
        $squaring = Squaring::of($width, $height);
        self::assertSame([min($width, $height), $strip], [$squaring->side, $squaring->strip]);
        self::assertEquals($further, $squaring->further);
    }

    /** @return iterable<string, array{float, string, string, float}> mm, unit, as read, mm as read */
    public static function lengths(): iterable
    {
        yield 'mm' => [148.5, 'mm', '148.5 mm', 148.5];
        yield 'mm are cut off' => [148.59, 'mm', '148.5 mm', 148.5];
        yield 'whole mm' => [150.0, 'mm', '150 mm', 150.0];
        yield 'cm on a ruler of millimetres' => [148.9, 'cm', '14.8 cm', 148.0];
        yield 'cm, whole' => [150.0, 'cm', '15.0 cm', 150.0];
        // 148.5 / 25.4 x 16 = 93.5 sixteenths: 93 = 5 13/16, 147.6375 mm
        yield 'inches' => [148.5, 'in', '5 13/16 in', 147.6375];
        // 215.9 mm are 8 1/2 in exactly
        yield 'inches, a half' => [215.9, 'in', '8 1/2 in', 215.9];
        yield 'inches, whole' => [254.0, 'in', '10 in', 254.0];
        yield 'under an inch' => [19.05, 'in', '3/4 in', 19.05];
        yield 'under a sixteenth' => [1.5, 'in', '0 in', 0.0];
    }

    /** @param  'mm'|'cm'|'in'  $unit */
    #[DataProvider('lengths')]
    public function testALengthIsSaidAndReadDownward(float $mm, string $unit, string $said, float $down): void
    {
        self::assertSame($said, Length::say($mm, $unit));
        self::assertEqualsWithDelta($down, Length::down($mm, $unit), 1e-9);
        self::assertLessThanOrEqual($mm + 1e-9, Length::down($mm, $unit));
        if ($down > 0) {
            self::assertEqualsWithDelta($down, Length::parse($said, $unit), 1e-9, 'what is said can be written again');
        }
    }

    /** @return iterable<string, array{int, int, int, int}> cuts, kits, people, seconds */
    public static function preparations(): iterable
    {
        // a cut takes 60 s, a kit 20
        yield 'nothing' => [0, 0, 1, 0];
        yield 'one of each' => [1, 1, 1, 80];
        // ceil(7 / 3) = 3 goes of 60, ceil(10 / 3) = 4 of 20
        yield 'three people' => [7, 10, 3, 260];
        yield 'more people than cuts' => [2, 2, 5, 80];
        yield 'nobody is the lead' => [2, 2, 0, 160];
    }

    #[DataProvider('preparations')]
    public function testWhenToBegin(int $cuts, int $kits, int $people, int $seconds): void
    {
        $work = Preparation::of(cuts: $cuts, secondsPerCut: 60, kits: $kits, secondsPerKit: 20, people: $people);
        self::assertSame($seconds, $work->seconds());
        self::assertSame(10_000 - $seconds - 300, $work->startBy(10_000), 'five minutes in hand');
    }

    public function testASquareByItsDiagonals(): void
    {
        // sqrt 2 x 150 x sin(1 degree) = 3.7022 mm apart are one degree
        foreach ([[3.70, true], [3.72, false]] as [$apart, $passes]) {
            $check = SquareCheck::of(150, 212 + $apart, 212, 1.0);
            self::assertSame($passes, $check['passes'], "$apart mm");
            self::assertEqualsWithDelta(3.7022, $check['allowed_mm'], 1e-3);
            self::assertEqualsWithDelta($apart, $check['trim_mm'], 1e-9);
        }
        self::assertEqualsWithDelta(90.0, SquareCheck::of(10, 500, 1, 1.0)['off_degrees'], 1e-9, 'no NaN');
    }

    public function testAString(): void
    {
        // 5 cranes of 80 mm with 20 between: 400 + 80 = 480, and 100 for knots; 5 x 0.0225 m2 x 80 g = 9 g
        $string = DisplayString::of(
            models: 5,
            height: 80,
            gap: 20,
            knots: 100,
            sheetArea: 150 * 150,
            grammage: 80,
            goal: 1000,
            perLesson: 30,
        );
        self::assertSame([480.0, 580.0, 5], [$string->drop, $string->length, $string->beads]);
        self::assertEqualsWithDelta(9.0, $string->weight, 1e-9);
        self::assertSame(34, $string->lessons, '1000 / 30 = 33.3');
        self::assertSame(1, DisplayString::of(
            models: 1,
            height: 80,
            gap: 0,
            knots: 0,
            sheetArea: 1,
            grammage: 1,
            goal: 30,
            perLesson: 30,
        )->lessons);
        self::assertNull(DisplayString::of(
            models: 1,
            height: 80,
            gap: 0,
            knots: 0,
            sheetArea: 1,
            grammage: 1,
            goal: 30,
            perLesson: 0,
        )->lessons);
        foreach ([[0, 80, 20], [5, 0, 20], [5, 80, -1]] as [$models, $height, $gap]) {
            try {
                DisplayString::of(
                    models: $models,
                    height: $height,
                    gap: $gap,
                    knots: 0,
                    sheetArea: 1,
                    grammage: 1,
                    goal: 1,
                    perLesson: 1,
                );
                self::fail("$models models of $height mm with $gap between");
            } catch (BadPaper $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    /** @return iterable<string, array{float, float, int|null, float, string|null}> */
    public static function stocks(): iterable
    {
        yield 'the smallest' => [10, 10, 0, 0, null];
        yield 'too small' => [9.9, 10, 0, 0, 's/width_mm'];
        yield 'the largest' => [2000, 2000, 1_000_000, 100, null];
        yield 'too large' => [2000, 2000.1, 1, 0, 's/height_mm'];
        yield 'too many' => [210, 297, 1_000_001, 0, 's/count'];
        yield 'less than none' => [210, 297, -1, 0, 's/count'];
        yield 'plenty' => [210, 297, null, 0, null];
        yield 'too much lost' => [210, 297, 1, 100.1, 's/trim_mm'];
        yield 'less than nothing lost' => [210, 297, 1, -0.1, 's/trim_mm'];
        yield 'no number' => [NAN, 297, 1, 0, 's/width_mm'];
        yield 'endless' => [210, INF, 1, 0, 's/height_mm'];
    }

    #[DataProvider('stocks')]
    public function testWhatPaperThereMayBe(float $w, float $h, ?int $count, float $trim, ?string $pointer): void
    {
        $refused = null;
        try {
            $stock = Stock::of(name: 'Paper', width: $w, height: $h, count: $count, pointer: 's', trim: $trim);
            self::assertSame(min($w, $h) - 2 * $trim, $stock->largest());
            self::assertNull($stock->plenty()->count);
            self::assertSame($count === null ? null : max(0, $count - 5), $stock->without(5)->count);
        } catch (BadPaper $e) {
            $refused = $e->pointer;
        }
        self::assertSame($pointer, $refused);
    }
}
