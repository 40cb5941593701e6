<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Rules\Unit;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Form\Solid;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Bodies: volumes from the lengths a ruler reads, and sizes that the folds give. */
final class SolidTest extends TestCase
{
    /** @return iterable<string, array{Solid, array<string, float>, float}> mm, mm3 */
    public static function bodies(): iterable
    {
        yield 'a box of office paper' => [
            Solid::Box,
            ['width' => 148.5, 'depth' => 105.0, 'height' => 52.5],
            148.5 * 105 * 52.5,
        ];
        // 30 x 30 on the floor, 20 high: 30 * 30 * 20 / 3.
        yield 'a pyramid' => [Solid::SquarePyramid, ['width' => 30.0, 'height' => 20.0, 'slope' => 25.0], 6000.0];
        // The corner of a cube of edge 100: a sixth of the cube; base side 100 * sqrt 2, height 100 / sqrt 3.
        yield 'a corner of a cube' => [
            Solid::TriangularPyramid,
            ['width' => 100 * M_SQRT2, 'height' => 100 / sqrt(3), 'slope' => 100 / M_SQRT2],
            1_000_000 / 6,
        ];
        yield 'a cube' => [Solid::Cube, ['width' => 37.5], 37.5 ** 3];
    }

    /** @param  array<string, float>  $sizes */
    #[DataProvider('bodies')]
    public function testVolumes(Solid $solid, array $sizes, float $volume): void
    {
        self::assertEqualsWithDelta($volume, $solid->volume($sizes), 1e-6 * $volume);
        self::assertNull($solid->objection($sizes), 'it can be');
        // Twice as long every way holds eight times as much.
        $double = array_map(static fn (float $mm): float => 2 * $mm, $sizes);
        self::assertEqualsWithDelta(8 * $volume, $solid->volume($double), 1e-6 * $volume);
    }

    /** @param  array<string, float>  $sizes */
    #[DataProvider('bodies')]
    public function testTheErrorIsThatOfReadingsAtHalfAMark(Solid $solid, array $sizes, float $volume): void
    {
        $mark = Unit::Millimetre->mark();
        $read = $sizes;
        foreach (array_keys($solid->powers()) as $length) {
            $read[$length] += $mark / 2;
        }
        // To first order, which for half a mm on some cm leaves a few hundredths of the error.
        self::assertEqualsWithDelta(
            $solid->volume($read) / $volume - 1,
            $solid->error($sizes, $mark),
            0.05 * $solid->error($sizes, $mark),
        );
        self::assertEqualsWithDelta(
            $solid->error($sizes, 1.0) * 25.4 / 16,
            $solid->error($sizes, Unit::Inch->mark()),
            1e-9,
        );
    }

    public function testASlopeThatIsNoSlope(): void
    {
        // Over a side of 30 and 20 high the slope is hypot(20, 15) = 25.
        self::assertSame(
            'a pyramid 20.0 mm high over a side of 30.0 mm has a slope of 25.0 mm, not 20.0 mm',
            Solid::SquarePyramid->objection(['width' => 30.0, 'height' => 20.0, 'slope' => 20.0]),
        );
    }

    /** @return iterable<string, array{string, array<string, string>, string}> model, what is changed, what is said */
    public static function faults(): iterable
    {
        $box = 'size: {width: w/2, depth: h/2, height: h/4}';
        yield 'the free rim for the floor' => [
            'oblong-box',
            [$box => 'size: {width: (w-h)/2, depth: h/2, height: h/4}'],
            'the creases show no floor of ',
        ];
        yield 'a floor that is too large' => [
            'square-box',
            ['width: s*sqrt(2)/4' => 'width: s*sqrt(2)/3'],
            'the creases show no floor of 70.7 x 53.0 mm round the middle of the sheet',
        ];
        yield 'walls that are too high' => [
            'square-box',
            ['height: s*sqrt(2)/8' => 'height: s*sqrt(2)/7'],
            'the creases show no walls of 30.3 mm beside the floor of 53.0 x 53.0 mm',
        ];
        yield 'a volume that is another' => [
            'oblong-box',
            [$box => 'size: {width: w/2, depth: h/2, height: h/4, volume: w*h*h/8}'],
            'a box of these sizes holds',
        ];
        yield 'a slope that is a height' => ['pyramid', ['slope: s/2' => 'slope: s/sqrt(6)'], 'has a slope of 75.0 mm'];
        yield 'a length left out' => ['pyramid', [', slope: s/2' => ''], '"size" lacks slope'];
        yield 'no such body' => ['oblong-box', ['solid: box' => 'solid: tub'], '"solid" must be'];
    }

    /** @param  array<string, string>  $change */
    #[DataProvider('faults')]
    public function testSizesThatTheFoldsDoNotGive(string $slug, array $change, string $said): void
    {
        $file = (string) file_get_contents(dirname(__DIR__, 3)."/library/models/$slug.yaml");
        $changed = strtr($file, $change);
        self::assertNotSame($file, $changed);
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage($said);
        Folds::fold($changed);
    }
}
