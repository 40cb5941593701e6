<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use Cathedra\Core\Space\MotionBetween;
use Cathedra\Core\Space\Tuck\TipLoop;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A tip that is rolled over and pushed into a pocket, seen from the side: no paper below the table, none half in. */
final class TipLoopTest extends TestCase
{
    /** @return iterable<string, array{float, float}> reach and side, mm */
    public static function tips(): iterable
    {
        foreach ([3.0, 12.0, 44.0, 53.0, 75.0] as $reach) {
            yield "$reach of 150" => [$reach, 150.0];
        }
        yield '90 of 600' => [90.0, 600.0];
    }

    #[DataProvider('tips')]
    public function testStripsGrowTowardTheTipAndEndThere(float $reach, float $side): void
    {
        $borders = TipLoop::of($reach, $side)->borders;
        self::assertSame([0.0, $reach], [$borders[0], $borders[count($borders) - 1]]);
        $width = 0.0;
        for ($i = 1; $i < count($borders); $i++) {
            self::assertGreaterThanOrEqual($width - 1e-6 * $side, $borders[$i] - $borders[$i - 1], "strip $i");
            $width = $borders[$i] - $borders[$i - 1];
        }
    }

    /**
     * It begins flat outside and ends flat inside. On the way no border is as far below the table as counts for paper
     * in paper, and one of them is that near to the mouth (while the last three strips are laid down, as near as they
     * are long): beyond it all lies in the pocket, level.
     */
    #[DataProvider('tips')]
    public function testAllThatIsBeyondTheMouthLiesLevelInThePocket(float $reach, float $side): void
    {
        $loop = TipLoop::of($reach, $side);
        $moments = $loop->moments();
        $n = count($loop->borders) - 1;
        self::assertSame(array_fill(0, $n, 0.0), $moments[0]);
        self::assertSame(array_fill(0, $n, M_PI), $moments[count($moments) - 1]);
        $near = max(MotionBetween::DEPTH * $side, $loop->borders[3]);
        $inside = 0;
        foreach ($moments as $k => $headings) {
            $places = $loop->places($headings);
            $lowest = min([0.0, ...array_column($places, 1)]);
            self::assertGreaterThan(-MotionBetween::DEPTH * $side, $lowest, "moment $k: below the table");
            // from the tip back, as long as strips lie level and point inward
            $level = $n;
            while ($level > 0 && $headings[$level - 1] === M_PI) {
                $level--;
            }
            self::assertGreaterThanOrEqual($inside, $n - $level, "moment $k: what is in stays in");
            $inside = $n - $level;
            if ($inside > 0) {
                [$y, $z] = $places[$level];
                self::assertLessThanOrEqual($near, hypot($y, $z), "moment $k: the mouth");
            }
        }
        self::assertSame($n, $inside);
    }

    public function testAPlaceBelongsToTheStripItLiesOn(): void
    {
        $loop = TipLoop::of(44.0, 150.0);
        self::assertSame(0, $loop->stripAt(0.0));
        self::assertSame(0, $loop->stripAt($loop->borders[1]));
        self::assertSame(7, $loop->stripAt(($loop->borders[7] + $loop->borders[8]) / 2));
        self::assertSame(count($loop->borders) - 2, $loop->stripAt(44.0));
    }
}
