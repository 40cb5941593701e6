<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\LayerOrder;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Pattern\Vertices;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Folding\Reading\OutlineName;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** A state that breaks an invariant cannot be made. */
final class InvariantsTest extends TestCase
{
    private const TWICE = "  - {fold: valley, bring: edge right, to: edge left}\n"
        ."  - {fold: valley, bring: edge top, to: edge bottom, layers: all}\n";

    public function testEveryTurnedOrderOfAFoldedSheetIsRefused(): void
    {
        $state = Folds::steps(self::TWICE)->end();
        $bits = $state->order->bits();
        self::assertCount(6, $bits);
        foreach (array_keys($bits) as $key) {
            $this->assertRefused($state, $state->placements, LayerOrder::of(4, [$key => ! $bits[$key]] + $bits));
        }
        $this->assertRefused(
            $state,
            $state->placements,
            LayerOrder::of(4, array_slice($bits, 1, null, true)),
            'not said which is above',
        );
        $this->assertRefused($state, $state->placements, LayerOrder::empty(4), 'not said which is above');
    }

    public function testTornAndDoubledPaperIsRefused(): void
    {
        $state = Folds::steps(self::TWICE)->end();
        $placements = $state->placements;
        $placements[0] = $placements[0]->then(Isometry::shift(new Point(1, 0)));
        $this->assertRefused($state, $placements, $state->order, 'tear');
        $pattern = $state->pattern;
        $smaller = new Pattern(
            array_map(static fn (Point $p): Point => $p->times(0.9), $pattern->vertices),
            $pattern->faces,
            $pattern->edges,
        );
        $this->expectExceptionMessage('paper was lost or doubled');
        FoldedState::assembled($state->sheet, $smaller, $state->placements, $state->order);
    }

    public function testACreaseMarkedFlatMustLieFlat(): void
    {
        $state = Folds::steps(self::TWICE)->end();
        $edges = array_map(
            static fn (Edge $e): Edge => $e->isCrease() ? $e->assigned(Assignment::Flat) : $e,
            $state->pattern->edges,
        );
        $this->expectExceptionMessage('marked flat');
        FoldedState::assembled(
            $state->sheet,
            new Pattern($state->pattern->vertices, $state->pattern->faces, $edges),
            $state->placements,
            $state->order,
        );
    }

    public function testMountainsAndValleysAtAVertexDifferByTwo(): void
    {
        $state = Folds::steps(self::TWICE)->end();
        $creases = array_filter($state->pattern->edges, static fn (Edge $e): bool => $e->isCrease());
        $key = array_key_first($creases);
        self::assertNotNull($key);
        $edges = [$key => $creases[$key]->assigned($creases[$key]->assignment->turned())] + $state->pattern->edges;
        $edges[array_key_last($creases)] = $creases[array_key_last($creases)];
        $this->expectExceptionMessage('they must differ by two');
        Vertices::check(
            new Pattern(
                $state->pattern->vertices,
                $state->pattern->faces,
                array_map(
                    static fn (Edge $e): Edge => $e->isCrease() && $e->assignment === Assignment::Valley
                        ? $e->assigned(Assignment::Mountain)
                        : $e,
                    $edges,
                ),
            ),
        );
    }

    public function testPlainShapeNames(): void
    {
        $c = static fn (array ...$points): OutlineName => OutlineName::of(
            array_map(static fn (array $p): Point => new Point($p[0], $p[1]), array_values($points)),
            100.0,
        );
        self::assertSame(OutlineName::Square, $c([0, 0], [10, 0], [10, 10], [0, 10]));
        self::assertSame(OutlineName::SquareOnCorner, $c([0, -5], [5, 0], [0, 5], [-5, 0]));
        self::assertSame(OutlineName::Oblong, $c([0, 0], [10, 0], [10, 4], [0, 4]));
        self::assertSame(OutlineName::LongDiamond, $c([0, -10], [4, 0], [0, 10], [-4, 0]));
        self::assertSame(OutlineName::Diamond, $c([0, -5], [4, 0], [0, 5], [-4, 0]));
        self::assertSame(OutlineName::Kite, $c([0, -10], [4, 0], [0, 3], [-4, 0]));
        self::assertSame(OutlineName::Trapezium, $c([0, 0], [10, 0], [7, 4], [2, 4]));
        self::assertSame(OutlineName::FourSided, $c([0, 0], [10, 0], [8, 7], [1, 4]));
        self::assertSame(OutlineName::ManySided, $c([0, 0], [4, 0], [6, 3], [5, 6], [2, 8], [-1, 6], [-2, 2]));
    }

    public function testLoosePointsAndClosedEnds(): void
    {
        // A triangle from the diagonal: two loose points where the corners meet, closed points at both ends of the
        // fold.
        $state = Folds::steps(
            "  - {fold: rotate, by: 45}\n  - {fold: valley, bring: corner top, to: corner bottom}\n",
        )->end();
        $anatomy = Anatomy::of($state);
        $found = [];
        foreach (array_keys($anatomy->outline->corners) as $i) {
            $found[$anatomy->compass->nameOfCorner($i)->value ?? '?'] = $anatomy->cornerAt($i);
        }
        self::assertEquals(
            [
                'left' => ['loose' => 1, 'layers' => 2],
                'right' => ['loose' => 1, 'layers' => 2],
                'bottom' => ['loose' => 2, 'layers' => 2],
            ],
            $found,
        );
        $kinds = [];
        foreach (array_keys($anatomy->outline->sides()) as $i) {
            $kinds[] = $anatomy->sideKind($i);
        }
        sort($kinds);
        self::assertSame(['closed', 'open', 'open'], $kinds);
    }

    /** @param  list<Isometry>  $placements */
    private function assertRefused(FoldedState $state, array $placements, LayerOrder $order, string $why = ''): void
    {
        try {
            FoldedState::assembled($state->sheet, $state->pattern, $placements, $order);
            self::fail('an impossible state was made');
        } catch (CannotFold $e) {
            self::assertStringContainsString($why, $e->getMessage());
        }
    }

    public function testTheSheetIsNamedFromItsLowerLeftCorner(): void
    {
        $sheet = Sheet::of(210, 297);
        self::assertEquals(
            [new Point(0, 0), new Point(210, 0), new Point(210, 297), new Point(0, 297)],
            [$sheet->at(0, 0), $sheet->at(1, 0), $sheet->at(1, 1), $sheet->at(0, 1)],
        );
    }
}
