<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Mesh\Vector;
use Cathedra\Core\Space\Turn\RigidTurn;

/**
 * A square cut from a corner to its middle, one quarter laid on the next: the three quarters that are left stand at
 * right angles to one another, a pyramid on three equal sides. The quarter between the two others stays; they turn down
 * about the diagonals by a right angle each and meet.
 */
final readonly class CornerPyramid implements FormByFormula
{
    /**
     * @param  array<int, int>  $role  by quarter of the sheet (0: right, 1: upper, 2: left, 3: lower): -1 and 1 turn
     *     with one or the other diagonal, 0 stays
     * @param  array<int, Line>  $axes  on the table, by role; the positive side is that of what turns
     * @param  array<int, array{Point, Point}>  $edges  by role: the sheet's place and the table's place of the outer
     *     end of the diagonal
     */
    private function __construct(private Point $middle, private array $role, private array $axes, private array $edges)
    {
    }

    public static function of(FoldedState $flat): ?self
    {
        $middle = Floor::middle($flat);
        $half = $flat->sheet->width / 2;
        $toward = static fn (int $k): Point => new Point([1, 0, -1, 0][$k], [0, 1, 0, -1][$k]);
        $faces = [];
        foreach ([0, 1, 2, 3] as $k) {
            $faces[$k] = $flat->pattern->faceAt($middle->plus($toward($k)->times($half / 2)), 1e-6);
        }
        if (! $flat->sheet->isSquare() || in_array(null, $faces, true)) {
            return null;
        }
        $up = array_map(static fn (?int $f): bool => $flat->frontUp[(int) $f], $faces);
        $turned = array_keys($up, array_sum(array_map(intval(...), $up)) === 1, true);
        if (count($turned) !== 1) {
            return null;
        }
        // what was laid over lies on the quarter it hangs on; the one opposite stays
        $over = $turned[0];
        $place = static fn (int $k): Point => $flat->placements[(int) $faces[$k]]->of(
            $middle->plus($toward($k)->times($half / 2)),
        );
        $under = $place($over)->distanceTo($place(($over + 1) % 4)) < 1e-3 * $half
            ? ($over + 1) % 4
            : ($over + 3) % 4;
        $stays = ($over + 2) % 4;
        $last = ($under + 2) % 4;
        $role = [$over => -1, $under => -1, $stays => 0, $last => 1];
        [$axes, $edges] = [[], []];
        foreach ([-1 => $under, 1 => $last] as $r => $k) {
            $corner = $middle->plus($toward($k)->plus($toward($stays))->times($half));
            $on = $flat->placements[(int) $faces[$stays]];
            $line = Line::through($on->of($middle), $on->of($corner));
            if ($line === null) {
                return null;
            }
            $axes[$r] = $line->distanceTo($on->of($middle->plus($toward($k)->times($half)))) > 0
                ? $line
                : $line->reversed();
            $edges[$r] = [$corner, $on->of($corner)];
        }

        return new self($middle, $role, $axes, $edges);
    }

    public function bends(int $face): array
    {
        return [
            Line::along($this->middle, new Point(1, 1)),
            Line::along($this->middle, new Point(1, -1)),
        ];
    }

    public function stages(): int
    {
        return 1;
    }

    public function at(Spot $spot, float $progress): array
    {
        $from = $spot->middle->minus($this->middle);
        $quarter = abs($from->x) > abs($from->y) ? ($from->x > 0 ? 0 : 2) : ($from->y > 0 ? 1 : 3);
        $role = $this->role[$quarter];
        $p = [$spot->flat->x, $spot->flat->y, 0.0];

        return $role === 0 ? $p : RigidTurn::about([$p], $this->axes[$role], -M_PI_2 * $progress)[0];
    }

    public function sizes(): array
    {
        // three edges at right angles from the tip: the ends of the two diagonals, and where the outer quarters meet
        $on = static fn (Point $p): array => [$p->x, $p->y, 0.0];
        [$p, $q] = [$on($this->edges[-1][1]), $on($this->edges[1][1])];
        $tip = $on($this->tip());
        $edge = Vector::far($p, $tip);
        $base = Vector::far($p, $q);
        $r = RigidTurn::about([Vector::plus($tip, -1.0, Vector::minus($p, $tip))], $this->axes[1], -M_PI_2)[0];
        $height = abs(Vector::dot(
            Vector::unit(Vector::cross(Vector::minus($q, $p), Vector::minus($r, $p))),
            Vector::minus($tip, $p),
        ));

        return [
            'width' => $base,
            'depth' => Vector::far($r, Vector::plus($p, 0.5, Vector::minus($q, $p))),
            'height' => $height,
            'slope' => sqrt($edge ** 2 - $base ** 2 / 4),
        ];
    }

    private function tip(): Point
    {
        return $this->axes[-1]->crossing($this->axes[1]) ?? $this->middle;
    }
}
