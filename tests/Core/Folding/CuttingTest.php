<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Sequence\BadSequence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Scissors, from a square of 100 mm. */
final class CuttingTest extends TestCase
{
    private const BOOK = "  - {fold: valley, bring: edge right, to: edge left}\n";

    public function testASlitPartsFacesAndKeepsThePaper(): void
    {
        $state = Folds::steps("  - {fold: cut, along: line (middle of edge bottom) to centre}\n")->end();
        Folds::assertPaper($state);
        self::assertSame(0.0, $state->removedArea);
        // Both lips of the slit are cut edges of 50 mm; the rest of the line through the sheet is only a helping line.
        self::assertEqualsWithDelta(100.0, self::length($state, Assignment::Cut), 1e-6);
        $opened = Folds::steps(
            "  - {fold: cut, along: line (middle of edge bottom) to centre}\n"
                .'  - {fold: valley, along: line centre to (corner bottom-left), move: 1/10 from (middle of edge '
                ."bottom) to (corner bottom-left), layers: flap paper 1/3 1/10}\n",
        )->end();
        Folds::assertPaper($opened);
        self::assertGreaterThan(2, $opened->faceCount(), 'one lip can be folded without the other');
    }

    public function testACornerCutFromAFoldedSheetComesOffBothLayers(): void
    {
        // The corner is a right triangle with legs 25 and 50; it is cut through both layers: 2 * 625 = 1250 mm2.
        $state = Folds::steps(
            self::BOOK.
                '  - {fold: cut, along: line (1/2 from (corner top-left) to (corner top-right)) to (middle of edge '
                    ."left), remove: corner top-left}\n",
        )->end();
        Folds::assertPaper($state);
        self::assertEqualsWithDelta(1250.0, $state->removedArea, 1e-6);
        self::assertNull($state->positionOf($state->sheet->at(0.01, 0.99)), 'that corner is gone');
        self::assertNull($state->positionOf($state->sheet->at(0.99, 0.99)), 'and so is the one under it');
    }

    public function testOnlyTheTopLayer(): void
    {
        $state = Folds::steps(
            self::BOOK.
                '  - {fold: cut, along: line (1/2 from (corner top-left) to (corner top-right)) to (middle of edge '
                    ."left), layers: top, remove: corner top-left}\n",
        )->end();
        Folds::assertPaper($state);
        self::assertEqualsWithDelta(625.0, $state->removedArea, 1e-6);
    }

    public function testAHoleCutAtTheFoldIsOneHole(): void
    {
        // A half square of 25 by 50 at the folded edge becomes a hole of 50 by 50.
        $state = Folds::steps(
            self::BOOK.
                '  - {fold: cut, along: [line (1/4 from (corner top-right) to (corner bottom-right)) to (middle of '
                    .'line (1/4 from (corner top-right) to (corner bottom-right)) to (1/4 from (corner top-left) to '
                    .'(corner bottom-left))), line (middle of line (1/4 from (corner top-right) to (corner '
                    .'bottom-right)) to (1/4 from (corner top-left) to (corner bottom-left))) to (middle of line (3/4 '
                    .'from (corner top-right) to (corner bottom-right)) to (3/4 from (corner top-left) to (corner '
                    .'bottom-left))), line (3/4 from (corner top-right) to (corner bottom-right)) to (middle of line '
                    .'(3/4 from (corner top-right) to (corner bottom-right)) to (3/4 from (corner top-left) to '
                    ."(corner bottom-left)))], remove: 1/10 from (middle of edge right) to (middle of edge left)}\n",
        )->end();
        Folds::assertPaper($state);
        self::assertEqualsWithDelta(2500.0, $state->removedArea, 1e-6);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refusals(): iterable
    {
        yield 'parts the sheet' => [
            "  - {fold: cut, along: line (middle of edge top) to (middle of edge bottom)}\n",
            'would part the sheet in two',
        ];
        yield 'piece still hangs on' => [
            "  - {fold: cut, along: line (middle of edge top) to centre, remove: corner top-left}\n",
            'still hangs on the rest',
        ];
        yield 'beside the paper' => ["  - {fold: cut, along: edge top}\n", 'no paper to cut'];
        yield 'layers in words' => [
            "  - {fold: cut, along: line (middle of edge top) to centre, layers: both}\n",
            '"layers" of a cut',
        ];
    }

    #[DataProvider('refusals')]
    public function testWhatScissorsCannotDo(string $steps, string $reason): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($reason, '/').'/');
        Folds::steps($steps);
    }

    private static function length(FoldedState $state, Assignment $assignment): float
    {
        $edges = array_filter($state->pattern->edges, static fn (Edge $e): bool => $e->assignment === $assignment);

        return array_sum(
            array_map(
                static fn (Edge $e): float => $state->pattern->vertices[$e->a]->distanceTo(
                    $state->pattern->vertices[$e->b],
                ),
                $edges,
            ),
        );
    }
}
