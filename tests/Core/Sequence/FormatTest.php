<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Run\FoldedModel;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Every way of docs/fold-sequence.md to say a fold, with a number derived by hand, from a square of 100 mm. */
final class FormatTest extends TestCase
{
    public function testPointOntoALineThroughAPoint(): void
    {
        // A swings about D (radius 100) onto the middle line x = 50: y = 100 - sqrt(100^2 - 50^2) = 13.397460.
        $model = $this->fold(
            "  - {fold: crease, bring: edge left, to: edge right, name: middle}\n"
                ."  - {fold: valley, bring: A, to: crease middle, through: D, layers: all}\n",
        );
        self::assertEqualsWithDelta(0.0, $this->at($model, 0, 0)->distanceTo(new Point(50, 13.39746)), 1e-5);
    }

    public function testSquareToAnEdge(): void
    {
        // Perpendicular to the bottom edge at a quarter: A comes to (50, 0).
        $model = $this->fold("  - {fold: valley, square_to: edge bottom, through: 1/4 from A to B, move: A}\n");
        self::assertEqualsWithDelta(0.0, $this->at($model, 0, 0)->distanceTo(new Point(50, 0)), 1e-9);
        self::assertEqualsWithDelta(75.0, $model->end()->box()->width(), 1e-9);
    }

    public function testAStripAndAThird(): void
    {
        $model = $this->fold(
            "  - {fold: valley, strip: edge top, wide: 1/8}\n"
                .'  - {fold: mountain, bring: corner bottom-left, to: 2/3 from corner bottom-left to corner '
                ."bottom-right, layers: all}\n",
        );
        self::assertEqualsWithDelta(87.5, $model->end()->box()->height(), 1e-9, 'an eighth of 100 mm is turned over');
        self::assertEqualsWithDelta(100 - 100 / 3, $model->end()->box()->width(), 1e-6);
    }

    public function testALineThroughMarkedPointsAndCrossings(): void
    {
        $model = $this->fold(
            "  - {fold: crease, along: line A to C, move: D, name: rise}\n"
                .'  - {fold: crease, along: line B to D, move: A, name: fall, as: mountain, layers: all, marks: '
                ."{heart: where crease rise meets crease fall}}\n"
                ."  - {fold: valley, bring: C, to: mark heart, layers: all}\n",
        );
        self::assertEqualsWithDelta(0.0, $this->at($model, 1, 1)->distanceTo(new Point(50, 50)), 1e-9);
    }

    public function testUnfoldingAnEarlierStepLeavesLaterCreases(): void
    {
        $model = $this->fold(
            "  - {fold: valley, bring: edge right, to: edge left}\n"
                ."  - {fold: crease, bring: edge top, to: edge bottom, layers: all}\n  - {fold: unfold, step: 1}\n",
        );
        self::assertSame(
            [4, 0],
            [$model->end()->faceCount(), count($model->end()->order->pairs())],
            'flat, with a cross of creases',
        );
        self::assertEqualsWithDelta(100.0, $model->end()->box()->width(), 1e-9);
    }

    public function testOnceMoreOnTheOtherSideAndBehind(): void
    {
        // A blintz by its first corner, repeated; then the cupboard doors again behind give the same as with "also".
        $side = $this->fold(
            "  - {fold: crease, bring: edge left, to: edge right, name: middle}\n"
                ."  - {fold: valley, bring: edge left, to: crease middle, layers: all}\n"
                ."  - {fold: repeat, steps: [2], on: other side}\n",
        );
        self::assertEqualsWithDelta(50.0, $side->end()->box()->width(), 1e-9);
        $behind = $this->fold(
            "  - {fold: valley, bring: edge right, to: edge left}\n"
                .'  - {fold: valley, bring: corner top-left, to: 1/4 from corner top-left to corner bottom-right, '
                ."layers: top}\n  - {fold: repeat, steps: [2], on: behind}\n",
        );
        $also = $this->fold(
            "  - {fold: valley, bring: edge right, to: edge left}\n"
                .'  - {fold: valley, bring: corner top-left, to: 1/4 from corner top-left to corner bottom-right, '
                ."layers: top, also: behind}\n",
        );
        self::assertEquals($also->end()->order, $behind->end()->order);
        self::assertEqualsWithDelta(0.0, $this->at($also, 0, 1)->distanceTo($this->at($behind, 0, 1)), 1e-9);
        self::assertEqualsWithDelta(
            0.0,
            $this->at($also, 0, 1)->distanceTo($this->at($also, 1, 1)),
            1e-9,
            'both raw corners meet, one in front and one behind',
        );
    }

    public function testAFlapNamedByItsCornerAndLandingInside(): void
    {
        // Folded in half, C lies on D on top. Only the flap that holds D goes in between the two layers.
        $model = $this->fold(
            "  - {fold: valley, bring: edge right, to: edge left}\n"
                .'  - {fold: valley, along: line (1/4 from corner top-left to corner bottom-left) to (1/2 from corner '
                ."top-left to corner top-right), move: corner top-left, layers: flap D, lands: inside}\n",
        );
        $state = $model->end();
        $moved = $state->faceCount() - 1;
        $stack = array_map(static fn (int $f): ?bool => $state->order->above($f, $moved), range(0, $moved - 1));
        self::assertContains(true, $stack, 'a layer lies over the point');
        self::assertContains(false, $stack, 'a layer lies under it');
    }

    public function testTurningAndRoundingChangeNamesNotPaper(): void
    {
        $model = $this->fold(
            "  - {fold: turn-over, axis: level}\n  - {fold: rotate, by: 90}\n"
                ."  - {fold: valley, bring: corner top-left, to: corner bottom-right}\n",
        );
        // Turned over top to bottom, A is top-left; a quarter clockwise makes it top-right, so D (bottom-left) is top-
        // left now.
        self::assertEqualsWithDelta(
            0.0,
            $this->at($model, 0, 1)->distanceTo($this->at($model, 1, 0)),
            1e-9,
            'D lies on B',
        );
    }

    public function testHalfACorridorOfDivisions(): void
    {
        $model = $this->fold(
            '  - {fold: valley, bring: corner bottom-left, to: 0.25 from (middle of edge left) to centre, layers: '
                ."all}\n",
        );
        self::assertEqualsWithDelta(0.0, $this->at($model, 0, 0)->distanceTo(new Point(12.5, 50)), 1e-9);
    }

    private function fold(string $steps): FoldedModel
    {
        $model = Folds::steps($steps);
        foreach ($model->steps as $step) {
            Folds::assertPaper($step->after, "step {$step->step->number}");
        }

        return $model;
    }

    private function at(FoldedModel $model, float $u, float $v): Point
    {
        return $model->end()->positionOf($model->end()->sheet->at($u, $v)) ??
            throw new \LogicException('Nothing was cut away.');
    }
}
