<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Folding\Reading\Flaps;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Folding\SimpleFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\FoldedStep;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

final class SimpleFoldTest extends TestCase
{
    private const BOOK = "  - {fold: valley, bring: edge right, to: edge left}\n";

    public function testABookFoldHalvesTheSheet(): void
    {
        $state = Folds::steps(self::BOOK)->end();
        self::assertSame([50.0, 100.0], [round($state->box()->width(), 9), round($state->box()->height(), 9)]);
        self::assertSame(2, $state->faceCount());
        // Front was up; the right half turned over onto the left one shows its back.
        self::assertSame(0.0, Anatomy::of($state)->frontShare());
        self::assertSame(0.0, Anatomy::of($state)->frontShare(fromAbove: false), 'the front is inside');
        Folds::assertPaper($state);
    }

    /**
     * Reference sizes in sheet sides, from 3-folding.md or derived here.
     *
     * @return iterable<string, array{string, float, float, int}>
     */
    public static function bases(): iterable
    {
        // Kite: the diagonal stays, sqrt(2); each raw edge of length 1 lies on it, leaving 2 tan(22.5 deg) = 0.828427
        // across.
        yield 'kite base' => [
            "  - {fold: rotate, by: 45}\n"
                ."  - {fold: crease, along: line corner top to corner bottom, move: corner left, name: middle}\n"
                ."  - {fold: valley, bring: edge bottom-left, to: crease middle, layers: all, also: other side}\n",
            0.828427,
            M_SQRT2,
            2,
        ];
        // Blintz: four corners to the centre leave the square of the side middles, side 1/sqrt(2), standing on its
        // corner here.
        yield 'blintz' => [
            "  - {fold: valley, bring: corner top-left, to: centre, also: other side}\n"
                ."  - {fold: valley, bring: corner bottom-left, to: centre, also: other side}\n",
            1.0,
            1.0,
            2,
        ];
        // Cupboard: both sides to the middle line, half as wide.
        yield 'cupboard' => [
            "  - {fold: crease, bring: edge left, to: edge right, name: middle}\n"
                ."  - {fold: valley, bring: edge left, to: crease middle, also: other side, layers: all}\n",
            0.5,
            1.0,
            2,
        ];
        // Two book folds: a quarter of the side each way, four layers.
        yield 'handkerchief' => [
            self::BOOK."  - {fold: valley, bring: edge top, to: edge bottom, layers: all}\n",
            0.5,
            0.5,
            4,
        ];
    }

    #[DataProvider('bases')]
    public function testBasesHaveTheirSizes(string $steps, float $width, float $height, int $layers): void
    {
        $model = Folds::steps($steps);
        $box = $model->end()->box();
        self::assertEqualsWithDelta($width * 100, $box->width(), 1e-4);
        self::assertEqualsWithDelta($height * 100, $box->height(), 1e-4);
        self::assertSame($layers, Anatomy::of($model->end())->mostLayers());
        foreach ($model->steps as $step) {
            Folds::assertPaper($step->after, "step {$step->step->number}");
        }
    }

    public function testBringTheLastTwoCornersOfTheBlintz(): void
    {
        $state = Folds::steps(
            "  - {fold: valley, bring: A, to: centre}\n  - {fold: valley, bring: B, to: centre}\n"
                ."  - {fold: valley, bring: C, to: centre}\n  - {fold: valley, bring: D, to: centre}\n",
        )->end();
        self::assertEqualsWithDelta(
            5000.0,
            Anatomy::of($state)->outline->area(),
            1e-6,
            'half the area of the sheet, so the side is 1/sqrt(2)',
        );
        self::assertEqualsWithDelta(0.0, Anatomy::of($state)->frontShare(), 1e-9, 'the front is inside');
    }

    public function testOneLayerOfAClosedEdgeCannotMoveAlone(): void
    {
        $state = Folds::steps(self::BOOK)->end();
        $line = Line::along(new Point(25, 0), new Point(0, 1));
        $closed = $line->distanceTo(new Point(50, 50)) > 0 ? $line : $line->reversed();
        $this->expectException(CannotFold::class);
        $this->expectExceptionMessage('joined along a fold');
        SimpleFold::apply(state: $state, line: $closed, valley: true, moving: [0], origin: 'x');
    }

    public function testALayerUnderAnotherCannotComeUpAlone(): void
    {
        $this->expectExceptionMessage('Other layers lie over the part that should move');
        Folds::steps(
            self::BOOK.
                '  - {fold: valley, along: line (middle of edge top) to (middle of edge bottom), move: corner '
                    ."top-left, layers: bottom}\n",
        );
    }

    public function testNothingBeyondTheCrease(): void
    {
        $flat = FoldedState::flat(Sheet::square(100), Side::Front);
        $line = Line::along(new Point(-5, 0), new Point(0, 1));
        self::assertSame(0, Flaps::beyond($flat, $line)->count());
        $this->expectExceptionMessage('does not cross the paper');
        SimpleFold::apply(state: $flat, line: $line, valley: true, moving: [], origin: 'x');
    }

    public function testSeveralLayersWantAChoice(): void
    {
        $this->expectExceptionMessage('say which move');
        Folds::steps(
            self::BOOK.
                '  - {fold: valley, along: line (middle of edge top) to (middle of edge bottom), move: corner '
                    ."top-left}\n",
        );
    }

    public function testValleySeenFromTheBackIsAMountainOfTheSheet(): void
    {
        $of = static fn (string $up): array => array_values(
            array_filter(
                array_map(
                    static fn ($e) => $e->assignment->value,
                    Folds::steps(self::BOOK, $up)->end()->pattern->edges,
                ),
                static fn (string $a): bool => $a !== 'B',
            ),
        );
        self::assertSame(['V'], $of('front'));
        self::assertSame(['M'], $of('back'));
    }

    public function testTurnedLikeAPageTheCreaseOpens(): void
    {
        $state = Folds::steps(
            self::BOOK."  - {fold: valley, along: edge right, move: corner bottom-left, layers: top}\n",
        )->end();
        self::assertEqualsWithDelta(100.0, $state->box()->width(), 1e-9);
        self::assertSame([], $state->order->pairs());
    }

    public function testATuckedPointLiesBetween(): void
    {
        $cup = Folds::library('drinking-cup')->steps[5];
        self::assertSame('tuck', $cup->step->kind->value);
        $state = $cup->after;
        $tip = $state->positionOf($state->sheet->at(0, 0)) ?? $state->positionOf($state->sheet->at(1, 1));
        self::assertNotNull($tip);
        Folds::assertPaper($state);
        $moved = count($state->pattern->faces) - 1;
        $above = array_filter(
            range(0, $moved - 1),
            static fn (int $f): bool => $state->order->above($f, $moved) === true,
        );
        $below = array_filter(
            range(0, $moved - 1),
            static fn (int $f): bool => $state->order->above($f, $moved) === false,
        );
        self::assertNotEmpty($above, 'something lies over the tucked point');
        self::assertNotEmpty($below, 'something lies under it');
    }

    /**
     * Down the middle of the layer under which the pyramid's two points go runs an open crease, where four guides were
     * made: both points lie under their half of it, which reaches up to the tip of the model, 75 mm high.
     */
    public function testTuckedPointsLieUnderAWholeLayer(): void
    {
        $steps = Folds::library('square-pyramid', ['creases' => 'two'])->steps;
        $isTuck = static fn (FoldedStep $s): bool => $s->step->kind === FoldKind::Tuck;
        $tuck = array_values(array_filter($steps, $isTuck));
        self::assertCount(1, $tuck);
        $state = $tuck[0]->after;
        foreach ([70.0, 80.0] as $x) {
            $at = array_keys(array_filter(
                $state->polygons,
                static fn (Polygon $face): bool => $face->contains(new Point($x, 10.0)),
            ));
            usort($at, static fn (int $i, int $j): int => $state->order->above($i, $j) === true ? -1 : 1);
            $high = array_map(static fn (int $f): float => round($state->polygons[$f]->box()->top, 2), $at);
            self::assertSame([75.0, 31.07, 31.07, 75.0], array_slice($high, 0, 4), "at $x");
        }
    }

    /**
     * The point of a locked heart crosses layers of the triangle before it goes under one layer of the strip; on a
     * sheet of 210 x 297 the strip is 87 wide and halved: at the tip lie its lower half, the point, its other half.
     */
    public function testATuckedPointIsCountedAtItsTip(): void
    {
        $locked = array_values(array_filter(
            Folds::library('heart-locked')->steps,
            static fn (FoldedStep $s): bool => $s->step->kind === FoldKind::Tuck,
        ))[0]->after;
        $box = $locked->box();
        $stack = Stacks::facesAt($locked, new Point($box->centre()->x + 0.2, $box->bottom + 1));
        $height = array_map(
            static fn (int $f): float => $locked->pattern->polygon($f)->centroid()->y / $locked->sheet->height * 297,
            $stack,
        );
        self::assertGreaterThan(2, count($stack));
        self::assertLessThan(43.5, array_shift($height));
        self::assertGreaterThan(43.5, array_pop($height), 'the other half, and the back of the triangle with it');
        self::assertSame([], array_filter($height, static fn (float $at): bool => $at < 87));
    }

    public function testSheetsOutOfBounds(): void
    {
        foreach ([0.0, 3000.0, NAN, -5.0, 9.99] as $side) {
            try {
                Sheet::square($side);
                self::fail("a sheet of $side mm was accepted");
            } catch (CannotFold $e) {
                self::assertStringContainsString('between 10 mm and 2000 mm', $e->getMessage());
            }
        }
        $this->expectExceptionMessage('8 times as long as wide');
        Sheet::of(10, 100);
    }
}
