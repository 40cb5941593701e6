<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Folding\Sameness;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\FoldKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Folds;

/** Whatever was folded can be unfolded again: the paper lies as before, with creases as marks. */
final class UnfoldTest extends TestCase
{
    private const TRIANGLE = "  - {fold: rotate, by: 45}\n  - {fold: valley, bring: corner bottom, to: corner top}\n";

    private const PRELIMINARY = '  - {fold: collapse, valley: [line (middle of edge left) to (middle of edge right), '
        .'line (middle of edge top) to (middle of edge bottom)], mountain: [line (corner top-left) to (corner '
        ."bottom-right)], stays: A}\n  - {fold: rotate, by: 45, way: counterclockwise}\n";

    /** @return iterable<string, array{string}> steps, the last of which is unfolded */
    public static function folds(): iterable
    {
        yield 'valley' => ["  - {fold: valley, bring: edge right, to: edge left}\n"];
        yield 'mountain' => ["  - {fold: mountain, bring: edge right, to: edge left}\n"];
        yield 'cupboard' => [
            "  - {fold: cupboard, bring: edge left, to: line (middle of edge top) to (middle of edge bottom)}\n",
        ];
        yield 'blintz' => ["  - {fold: blintz}\n"];
        yield 'pleat' => [
            '  - {fold: pleat, along: line (middle of edge top) to (middle of edge bottom), back: line (1/4 from '
                .'(corner top-left) to (corner top-right)) to (1/4 from (corner bottom-left) to (corner '
                ."bottom-right)), move: middle of edge left}\n",
        ];
        yield 'collapse' => [
            '  - {fold: collapse, valley: [line A to C, line B to D], mountain: [line (middle of edge left) to '
                ."(middle of edge right)], stays: paper 1/2 1/8}\n",
        ];
        yield 'squash' => [
            "  - {fold: valley, bring: edge top, to: edge bottom}\n"
                ."  - {fold: valley, bring: edge right, to: edge left, layers: all}\n"
                ."  - {fold: squash, bring: edge top, to: edge right}\n",
        ];
        yield 'petal' => [
            self::PRELIMINARY.
            '  - {fold: petal, lift: corner bottom, hinge: line (0.414213562373 from (corner left) to (corner top)) '
                ."to (0.414213562373 from (corner right) to (corner top))}\n",
        ];
        yield 'swivel' => [
            self::TRIANGLE.
            '  - {fold: swivel, lift: 1/5 from (corner right) to (corner top), hinge: line (middle of edge bottom) to '
                ."(1/2 from (corner right) to (corner top))}\n",
        ];
        yield 'rabbit ear' => [
            "  - {fold: rotate, by: 45}\n"
                ."  - {fold: rabbit-ear, tip: corner left, toward: corner top, away: corner bottom}\n",
        ];
        yield 'inside reverse' => [
            self::TRIANGLE.
            '  - {fold: inside-reverse, along: line (1/4 from (corner left) to (corner right)) to (1/4 from (corner '
                ."left) to (corner top)), move: corner left}\n",
        ];
        yield 'outside reverse' => [
            self::TRIANGLE.
            '  - {fold: outside-reverse, along: line (1/4 from (corner left) to (corner right)) to (1/2 from (corner '
                ."left) to (corner top)), move: corner left}\n",
        ];
        yield 'crimp' => [
            "  - {fold: valley, bring: edge bottom, to: edge top}\n"
                .'  - {fold: crimp, along: line (middle of edge top) to (middle of edge bottom), back: line (1/3 from '
                .'(corner top-right) to (corner top-left)) to (1/3 from (corner bottom-right) to (corner '
                ."bottom-left)), move: corner top-right}\n",
        ];
        yield 'tuck' => [
            "  - {fold: rotate, by: 45}\n"
                ."  - {fold: valley, bring: corner bottom, to: 1/10 from centre to (corner top)}\n"
                ."  - {fold: tuck, bring: corner top, to: 1/4 from centre to (corner top), under: 1}\n",
        ];
    }

    #[DataProvider('folds')]
    public function testFoldThenUnfoldRestores(string $steps): void
    {
        $model = Folds::steps($steps."  - {fold: unfold}\n");
        $count = count($model->steps);
        $before = $model->steps[$count - 2]->before;
        self::assertNull(Sameness::difference($before, $model->end()));
        self::assertNotNull(
            Sameness::difference($before, $model->steps[$count - 2]->after),
            'something had been folded',
        );
        self::assertGreaterThan($before->faceCount(), $model->end()->faceCount(), 'the creases are there');
        Folds::assertPaper($model->end());
    }

    public function testRandomReverseFoldsComeUndone(): void
    {
        $undone = 0;
        for ($seed = 1; $seed <= 40; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $kind = $chance->getInt(0, 1) === 0 ? FoldKind::InsideReverse : FoldKind::OutsideReverse;
            $steps =
                self::TRIANGLE.
                "  - {fold: {$kind->value}, along: line ({$chance->getInt(
                    1,
                    9,
                )}/20 from (corner left) to (corner right)) to ({$chance->getInt(
                    1,
                    9,
                )}/10 from (corner left) to (corner top)), move: corner left}\n";
            try {
                $model = Folds::steps($steps."  - {fold: unfold}\n");
            } catch (BadSequence $e) {
                self::assertSame(3, $e->step, 'if anything, the fold is refused, never the unfolding');

                continue;
            }
            self::assertNull(Sameness::difference($model->steps[2]->before, $model->end()), "seed $seed");
            $undone++;
        }
        self::assertGreaterThan(10, $undone);
    }

    public function testWhatWasFoldedSinceStaysFolded(): void
    {
        // Folded in half, then a corner of the top layer; the half is opened again, the corner is not.
        $model = Folds::steps(
            "  - {fold: valley, bring: edge right, to: edge left}\n"
                .'  - {fold: valley, bring: corner top-left, to: 1/4 from corner top-left to corner bottom-right, '
                ."layers: top}\n  - {fold: unfold, step: 1}\n",
        );
        Folds::assertPaper($model->end());
        self::assertEqualsWithDelta(100.0, $model->end()->box()->width(), 1e-6);
        self::assertCount(1, $model->end()->order->pairs(), 'one small triangle lies on the sheet');
    }
}
