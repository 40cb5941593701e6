<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\BitClasses;
use Cathedra\Core\Folding\Order\Condition;
use Cathedra\Core\Folding\Order\OrderSolver;
use Cathedra\Core\Folding\Order\Overlaps;
use Cathedra\Core\Folding\Order\Refold;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\FoldFixture;
use Tests\Support\Folds;

final class SolverTest extends TestCase
{
    public function testTheBirdBaseIsRefoldedFromItsCreasePattern(): void
    {
        $state = $flat = FoldedState::flat(Sheet::square(100), Side::Front);
        foreach (FoldFixture::frames() as $frame) {
            $state = Refold::apply(
                state: $flat,
                pattern: FoldFixture::pattern($frame),
                base: 0,
                basePlacement: Isometry::identity(),
                wish: static fn (): ?bool => null,
            );
            Folds::assertPaper($state);
            self::assertCount(
                count($frame['faceOrders']),
                $state->order->pairs(),
                'as many overlapping pairs as the example has',
            );
        }
        // Second frame is the bird base: tip to tip 1.0 side, width at the hinge 2 tan(22.5 deg) / 2 = 0.4142 side.
        $d = array_map(static fn (Polygon $p): array => $p->points, $state->polygons);
        $far = 0.0;
        foreach (array_merge(...$d) as $p) {
            foreach (array_merge(...$d) as $q) {
                $far = max($far, $p->distanceTo($q));
            }
        }
        self::assertEqualsWithDelta(100.0, $far, 1e-4);
    }

    public function testAPreferenceIsFollowedWhereItMay(): void
    {
        $flat = FoldedState::flat(Sheet::square(100), Side::Front);
        $frame = FoldFixture::frames()[1];
        $wanted = [];
        foreach ($frame['faceOrders'] as [$i, $j, $s]) {
            $wanted["$i $j"] = $s === 1;
        }
        $pattern = FoldFixture::pattern($frame);
        $first = Refold::apply(
            state: $flat,
            pattern: $pattern,
            base: 0,
            basePlacement: Isometry::identity(),
            wish: static fn (): ?bool => null,
        );
        $second = Refold::apply(
            state: $flat,
            pattern: $pattern,
            base: 0,
            basePlacement: Isometry::identity(),
            wish: static fn (int $i, int $j): ?bool => $first->order->above($i, $j),
        );
        self::assertEquals($first->order, $second->order);
    }

    /**
     * Random systems on four faces that all overlap (six pairs): the solver finds an order just when trying all 64
     * does.
     */
    public function testAgainstBruteForce(): void
    {
        $square = Polygon::rectangle(10, 10);
        $overlaps = Overlaps::among([$square, $square, $square, $square], Sheet::square(100)->tolerance());
        $keys = array_keys($overlaps->common);
        self::assertCount(6, $keys);
        $triples = iterator_to_array($overlaps->triples(), false);
        $solved = 0;
        for ($seed = 1; $seed <= 400; $seed++) {
            $conditions = $this->system(new Randomizer(new Mt19937($seed)));
            $possible = $this->bruteForce($keys, $conditions, $triples);
            try {
                $bits = OrderSolver::solve(4, $overlaps, $conditions, []);
                self::assertContains(
                    $this->number($keys, $bits),
                    $possible,
                    "seed $seed: the answer breaks a condition",
                );
                $solved++;
            } catch (CannotFold) {
                self::assertSame([], $possible, "seed $seed: an order exists but was not found");
            }
        }
        self::assertGreaterThan(50, $solved);
        self::assertLessThan(390, $solved);
    }

    public function testAContradictionNamesItsPlace(): void
    {
        $place = new Point(12, 34);
        $conditions = [
            Condition::on(faceCount: 3, ordered: [[0, 1]], sum: 1, what: 'first', place: new Point(0, 0)),
            Condition::on(faceCount: 3, ordered: [[0, 1], [1, 2]], sum: 0, what: 'second', place: new Point(0, 0)),
            Condition::on(faceCount: 3, ordered: [[1, 2]], sum: 0, what: 'third', place: $place),
        ];
        try {
            BitClasses::from($conditions);
            self::fail('a contradiction was accepted');
        } catch (CannotFold $e) {
            self::assertNotNull($e->place);
            self::assertStringContainsString('Paper would pass through paper', $e->getMessage());
        }
    }

    /** @return list<Condition> */
    private function system(Randomizer $chance): array
    {
        $conditions = [];
        for ($c = $chance->getInt(1, 7); $c > 0; $c--) {
            $ordered = [];
            for ($t = $chance->pickArrayKeys([1 => 0, 2 => 0, 4 => 0], 1)[0]; $t > 0; $t--) {
                [$i, $j] = array_slice($chance->shuffleArray([0, 1, 2, 3]), 0, 2);
                $ordered[] = [$i, $j];
            }
            $conditions[] = Condition::on(
                faceCount: 4,
                ordered: $ordered,
                sum: $chance->getInt(0, 1),
                what: 'x',
                place: new Point(0, 0),
            );
        }

        return $conditions;
    }

    /**
     * @param  list<int>  $keys
     * @param  list<Condition>  $conditions
     * @param  list<array{int, int, int}>  $triples
     * @return list<int>
     */
    private function bruteForce(array $keys, array $conditions, array $triples): array
    {
        $possible = [];
        for ($n = 0; $n < 64; $n++) {
            $bits = [];
            foreach ($keys as $at => $key) {
                $bits[$key] = (bool) (($n >> $at) & 1);
            }
            foreach ($conditions as $condition) {
                if (! $condition->holdsFor($bits)) {
                    continue 2;
                }
            }
            foreach ($triples as [$i, $j, $k]) {
                if ($bits[$i * 4 + $j] === $bits[$j * 4 + $k] && $bits[$i * 4 + $j] !== $bits[$i * 4 + $k]) {
                    continue 2;
                }
            }
            $possible[] = $n;
        }

        return $possible;
    }

    /**
     * @param  list<int>  $keys
     * @param  array<int, bool>  $bits
     */
    private function number(array $keys, array $bits): int
    {
        $n = 0;
        foreach ($keys as $at => $key) {
            $n |= ($bits[$key] ? 1 : 0) << $at;
        }

        return $n;
    }
}
