<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\Refold;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/**
 * All mountain and valley assignments of small grids of equal cells, folded into one cell: the engine finds an order of
 * the layers just when trying every order of the cells does.
 */
final class MapFoldsTest extends TestCase
{
    /** @return iterable<string, array{int, int, int}> columns, rows, how many assignments can be folded */
    public static function grids(): iterable
    {
        // A strip folds whatever is chosen: two ways a crease. At the inner point of 2 x 2 three creases must agree and
        // one differ: 4 places for the odd one, twice. 2 x 3 has two such points, which share one crease: 2 * 4 * 4 =
        // 32 keep both, and all of them can be folded, as trying every order shows.
        yield 'strip of 3' => [3, 1, 4];
        yield 'strip of 4' => [4, 1, 8];
        yield 'strip of 5' => [5, 1, 16];
        yield '2 x 2' => [2, 2, 8];
        yield '2 x 3' => [3, 2, 32];
    }

    #[DataProvider('grids')]
    public function testSolverAgreesWithTryingEveryOrder(int $columns, int $rows, int $expected): void
    {
        [$vertices, $faces, $edges] = self::grid($columns, $rows);
        $creases = array_keys(array_filter($edges, static fn (Edge $e): bool => $e->isCrease()));
        $state = FoldedState::flat(Sheet::of($columns * 20, $rows * 20), Side::Front);
        $folded = 0;
        for ($n = 0; $n < 1 << count($creases); $n++) {
            $assigned = $edges;
            foreach ($creases as $at => $key) {
                $assigned[$key] = $edges[$key]->assigned(
                    (($n >> $at) & 1) === 1 ? Assignment::Valley : Assignment::Mountain,
                );
            }
            $possible = self::anyOrder($columns, $assigned, count($faces));
            try {
                $result = Refold::apply(
                    state: $state,
                    pattern: new Pattern($vertices, $faces, $assigned),
                    base: 0,
                    basePlacement: Isometry::identity(),
                    wish: static fn (): ?bool => null,
                );
                self::assertTrue($possible, "assignment $n: folded, though no order of the cells works");
                Folds::assertPaper($result, "assignment $n");
                $folded++;
            } catch (CannotFold) {
                self::assertFalse($possible, "assignment $n: an order exists but was not found");
            }
        }
        self::assertSame($expected, $folded);
    }

    /** @return array{list<Point>, list<list<int>>, array<string, Edge>} */
    private static function grid(int $columns, int $rows): array
    {
        $vertices = $faces = $edges = $sides = [];
        for ($r = 0; $r <= $rows; $r++) {
            for ($c = 0; $c <= $columns; $c++) {
                $vertices[] = new Point(20.0 * $c, 20.0 * $r);
            }
        }
        for ($r = 0; $r < $rows; $r++) {
            for ($c = 0; $c < $columns; $c++) {
                $low = $r * ($columns + 1) + $c;
                $loop = [$low, $low + 1, $low + $columns + 2, $low + $columns + 1];
                foreach ($loop as $i => $v) {
                    $sides[Edge::key($v, $loop[($i + 1) % 4])][] = count($faces);
                }
                $faces[] = $loop;
            }
        }
        foreach ($sides as $key => $of) {
            [$a, $b] = array_map(intval(...), explode('-', $key));
            $edges[$key] = new Edge($a, $b, $of, count($of) === 2 ? Assignment::Valley : Assignment::Boundary);
        }

        return [$vertices, $faces, $edges];
    }

    /** @param  array<string, Edge>  $edges */
    private static function anyOrder(int $columns, array $edges, int $count): bool
    {
        // Cell f lies with its front up when column + row is even. A crease comes to lie on one of the four sides of
        // the one cell left, by the parity of its place; creases on one side must be nested or apart, never
        // interleaved.
        $rules = $onSide = [];
        foreach ($edges as $edge) {
            if (! $edge->isCrease()) {
                continue;
            }
            [$f, $g] = $edge->faces;
            $up = (($f % $columns) + intdiv($f, $columns)) % 2 === 0 ? $f : $g;
            $down = $up === $f ? $g : $f;
            // valley: the cell that shows its back is above
            $rules[] = $edge->assignment === Assignment::Valley ? [$down, $up] : [$up, $down];
            $onSide[$g - $f === 1 ? 'c'.(min($f, $g) % $columns) % 2 : 'r'.intdiv(min($f, $g), $columns) % 2][] = [
                $f,
                $g,
            ];
        }
        foreach (self::orders(range(0, $count - 1)) as $order) {
            $at = array_flip($order);
            foreach ($rules as [$above, $below]) {
                if ($at[$above] > $at[$below]) {
                    continue 2;
                }
            }
            foreach ($onSide as $pairs) {
                foreach ($pairs as $i => [$a, $b]) {
                    [$low, $high] = [min($at[$a], $at[$b]), max($at[$a], $at[$b])];
                    foreach (array_slice($pairs, $i + 1) as [$c, $d]) {
                        if (($at[$c] > $low && $at[$c] < $high) !== ($at[$d] > $low && $at[$d] < $high)) {
                            continue 4;
                        }
                    }
                }
            }

            return true;
        }

        return false;
    }

    /**
     * @param  list<int>  $items
     * @return iterable<list<int>>
     */
    private static function orders(array $items): iterable
    {
        if ($items === []) {
            yield [];
        }
        foreach ($items as $i => $item) {
            $rest = $items;
            array_splice($rest, $i, 1);
            foreach (self::orders($rest) as $order) {
                yield [$item, ...$order];
            }
        }
    }
}
