<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\BadSequence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Pockets opened to their end, and rolls. */
final class PocketTest extends TestCase
{
    /** A square of 100 mm folded in half, both closed corners to the middle below: a triangle 100 wide, 50 high. */
    private const HAT = "  - {fold: valley, bring: edge top, to: edge bottom}\n"
        ."  - {fold: valley, bring: corner top-left, to: middle of edge bottom, layers: all, also: other side}\n";

    private const OPEN = '  - {fold: open-pocket, bring: corner bottom-left, to: corner bottom-right, end: corner '
        ."top}\n";

    /**
     * The slopes of the triangle, 70.71 mm, come to lie on the middle line, one in front and one behind, and half its
     * base, 50 mm, is a side: a square of 50 mm on its corner, hanging from the end of the pocket at (50, 100).
     */
    public function testAPocketOpenedToItsEndIsASquareOnItsCorner(): void
    {
        $state = Folds::steps(self::HAT.self::OPEN)->end();
        Folds::assertPaper($state);
        $box = $state->box();
        self::assertEqualsWithDelta(50 * M_SQRT2, $box->width(), 1e-6);
        self::assertEqualsWithDelta(50 * M_SQRT2, $box->height(), 1e-6);
        self::assertEqualsWithDelta(50.0, $box->top, 1e-6);
        self::assertEqualsWithDelta(50.0, $box->centre()->x, 1e-6);
        // what hung on either wall still does: four layers everywhere beside the middle
        foreach ([-20, 20] as $aside) {
            self::assertCount(4, Stacks::facesAt($state, $box->centre()->plus(new Point($aside, 0))));
        }
    }

    /** The two corners of the mouth are the ends of the first crease; they lie on one another, in front and behind. */
    public function testItsCornersMeet(): void
    {
        $after = Folds::steps(self::HAT.self::OPEN)->end();
        $meets = [];
        foreach ([[0.0, 0.5], [1.0, 0.5]] as [$across, $up]) {
            $place = $after->positionOf($after->sheet->at($across, $up));
            self::assertNotNull($place);
            $meets[] = $place;
        }
        self::assertLessThan(1e-6, $meets[0]->distanceTo($meets[1]));
    }

    /** Opened twice it is as it was, but for the creases: its area is that of the first triangle again. */
    public function testOpenedAndOpenedBackItsOutlineIsTheFirst(): void
    {
        $once = Folds::steps(self::HAT)->end();
        $twice = Folds::steps(
            self::HAT.self::OPEN.
            "  - {fold: open-pocket, bring: corner left, to: corner right, end: corner top}\n",
        )->end();
        Folds::assertPaper($twice);
        self::assertEqualsWithDelta($once->box()->width(), $twice->box()->width(), 1e-6);
        self::assertEqualsWithDelta($once->box()->height(), $twice->box()->height(), 1e-6);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refusals(): iterable
    {
        yield 'an end that is not in the middle' => [
            self::HAT."  - {fold: open-pocket, bring: corner bottom-left, to: corner top, end: corner bottom-right}\n",
            'must lie in the middle between',
        ];
        yield 'no pocket, one layer' => [
            '  - {fold: open-pocket, bring: corner bottom-left, to: corner bottom-right, end: middle of edge '."top}\n",
            'No pocket opens between',
        ];
        yield 'layers that hang together below' => [
            "  - {fold: valley, bring: edge bottom, to: edge top}\n"
                .'  - {fold: open-pocket, bring: corner bottom-left, to: corner bottom-right, end: middle of edge '
                ."top}\n",
            'No pocket opens between',
        ];
        yield 'one corner only' => [
            self::HAT."  - {fold: open-pocket, bring: corner top, to: corner top, end: middle of edge bottom}\n",
            'are one point',
        ];
        yield 'a roll of one turn' => [
            "  - {fold: roll, along: line A to C, move: B, turns: 1}\n",
            'turns',
        ];
    }

    #[DataProvider('refusals')]
    public function testARefusalSaysWhy(string $steps, string $why): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage($why);
        Folds::steps($steps);
    }

    /** Rolled over by 50 mm in n turns: every turn takes 50 / n, the roll lies n + 1 thick on the paper that stays. */
    public function testARollHasTurnsOfOneWidth(): void
    {
        foreach ([2, 3, 6] as $turns) {
            $state = Folds::steps(
                '  - {fold: roll, along: line (middle of edge left) to (middle of edge right), move: corner '
                    ."bottom-left, turns: $turns}\n",
            )->end();
            Folds::assertPaper($state);
            self::assertEqualsWithDelta(50.0, $state->box()->height(), 1e-6);
            self::assertSame($turns + 1, $state->faceCount());
            $wide = 50.0 / $turns;
            self::assertCount($turns + 1, Stacks::facesAt($state, new Point(50.0, 50.0 + $wide / 2)));
            self::assertCount(1, Stacks::facesAt($state, new Point(50.0, 50.0 + $wide * 1.1)));
        }
    }
}
