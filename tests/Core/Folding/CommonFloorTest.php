<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern\Division;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Folding\SimpleFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use PHPUnit\Framework\TestCase;

/** What every fold stands on: dividing faces, and what hangs together. */
final class CommonFloorTest extends TestCase
{
    /** Three strips of a square of 90: left (0), and what the two lines leave. */
    private static function strips(): Division
    {
        $division = new Division(FoldedState::flat(Sheet::square(90), Side::Front), '1');
        $right = $division->split(0, Line::along(new Point(30, 0), new Point(0, -1))); // positive side: right
        self::assertSame(1, $right);
        self::assertSame(2, $division->split(1, Line::along(new Point(60, 0), new Point(0, -1))));

        return $division;
    }

    public function testADividedFaceKeepsTheNegativeSideAndEveryPieceItsParent(): void
    {
        $division = self::strips();

        self::assertSame([0, 0, 0], $division->parents());
        self::assertEquals([15.0, 45.0, 75.0], array_map(
            static fn (int $face): float => $division->polygon($face)->centroid()->x,
            [0, 1, 2],
        ));
        self::assertNull($division->split(0, Line::along(new Point(60, 0), new Point(0, -1))), 'beside the face');
        self::assertNull($division->split(0, Line::along(new Point(30, 0), new Point(0, -1))), 'along its side');
    }

    public function testInALayerUnderneathTheLineIsBroughtBackToTheSheet(): void
    {
        // Right half folded over the left one: its face lies mirrored, and a line near the folded edge at x = 45 is
        // one near the middle of the sheet.
        $flat = FoldedState::flat(Sheet::square(90), Side::Front);
        $folded = SimpleFold::apply(
            state: $flat,
            line: Line::along(new Point(45, 0), new Point(0, -1)),
            valley: true,
            moving: [0],
            origin: '1',
        );
        $division = new Division($folded, '2');
        $line = Line::along(new Point(30, 0), new Point(0, -1));
        $new = array_map(static fn (int $face): ?int => $division->split($face, $line), [0, 1]);

        self::assertSame([2, 3], $new);
        self::assertSame([0, 1, 0, 1], $division->parents());
        foreach ($new as $face) {
            self::assertEqualsWithDelta(37.5, $division->polygon((int) $face)->centroid()->x, 1e-9);
        }
        self::assertTrue($division->above(3, 0) === true || $division->above(3, 0) === null);
        self::assertTrue($division->above(3, 2), 'the right half lies on top');
    }

    public function testAMarkedSegmentEndsAtVertices(): void
    {
        $division = self::strips();
        $marked = $division->marked(0, new Segment(new Point(30, 20), new Point(30, 70)));
        $pattern = $division->pattern();

        self::assertCount(1, $marked);
        $edge = $pattern->segment($pattern->edges[array_key_first($marked)]);
        self::assertEqualsWithDelta([20.0, 70.0], [min($edge->a->y, $edge->b->y), max($edge->a->y, $edge->b->y)], 1e-9);
        $line = Line::along(new Point(30, 0), new Point(0, 1));
        $onLine = array_filter(
            $pattern->edges,
            static fn (Edge $e): bool => $pattern->segment($e)->liesOn($line, 1e-6),
        );
        self::assertSame([Edge::JOIN => 2, '1' => 1], array_count_values(array_map(
            static fn (Edge $e): string => (string) $e->origin,
            $onLine,
        )));
    }

    public function testWhatHangsTogetherDependsOnTheCreasesThatCount(): void
    {
        $pattern = self::strips()->pattern();

        self::assertSame([[0, 1, 2]], FaceGraph::of($pattern)->parts());
        $cutAt60 = static fn (Edge $edge): bool => abs($pattern->segment($edge)->middle()->x - 60) > 1;
        self::assertSame([[0, 1], [2]], FaceGraph::of($pattern, $cutAt60)->parts());
        self::assertSame([1, 0], FaceGraph::of($pattern, $cutAt60)->reach(1));
        self::assertSame([[0], [2]], FaceGraph::of($pattern, null, [0, 2])->parts(), 'without the strip between');
        self::assertSame([[2, 1], [1, 0]], array_map(
            static fn (array $step): array => [$step[0], $step[2]],
            FaceGraph::of($pattern)->walk(2),
        ));
    }

    /** Random lines: pieces fill the sheet, parts are a partition, and a state divided further is the same paper. */
    public function testDividingByRandomLinesLosesNoPaper(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 60; $round++) {
            $division = new Division(FoldedState::flat(Sheet::square(100), Side::Front), '1');
            for ($i = 0; $i < 6; $i++) {
                $through = new Point(mt_rand(0, 100), mt_rand(0, 100));
                $line = Line::along($through, new Point(mt_rand(1, 50), mt_rand(-50, 50)));
                foreach (array_keys($division->pattern()->faces) as $face) {
                    $division->split($face, $line);
                }
            }
            $pattern = $division->pattern();
            $faces = array_keys($pattern->faces);
            $areas = array_map(static fn (int $f): float => $pattern->polygon($f)->area(), $faces);
            $odd = static fn (Edge $edge): bool => $edge->a % 2 === 1;
            $parts = FaceGraph::of($pattern, $odd)->parts();
            $all = array_merge(...$parts);
            sort($all);

            self::assertEqualsWithDelta(10000.0, array_sum($areas), 1e-6);
            self::assertSame($faces, $all, 'each face is in one part');
            self::assertCount(1, FaceGraph::of($pattern)->parts());
            $state = $division->state->divided($pattern, $division->parents());
            self::assertSame([], array_filter(
                $state->pattern->creases(),
                static fn (Edge $edge): bool => $edge->assignment !== Assignment::Flat,
            ));
        }
    }
}
