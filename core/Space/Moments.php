<?php

declare(strict_types=1);

namespace Cathedra\Core\Space;

/**
 * A piece of a motion: one mesh, and where its vertices are at each moment.
 */
final readonly class Moments
{
    /**
     * @param  list<list<array{float, float, float}>>  $at  by moment, by vertex: mm; x to the right, y up, z toward the
     *     folder
     * @param  list<int>  $rankStart  by cell: layers over it at the first moment
     * @param  list<int>  $rankEnd  by cell: layers over it at the last
     */
    public function __construct(
        public Mesh $mesh,
        public array $at,
        public array $rankStart,
        public array $rankEnd,
    ) {
    }

    public function count(): int
    {
        return count($this->at);
    }

    /** The longest way a vertex goes from one moment to the next, as a share of the shorter side. */
    public function largestJump(): float
    {
        $most = 0.0;
        for ($i = 1; $i < count($this->at); $i++) {
            foreach ($this->at[$i] as $v => $p) {
                $q = $this->at[$i - 1][$v];
                $most = max($most, ($p[0] - $q[0]) ** 2 + ($p[1] - $q[1]) ** 2 + ($p[2] - $q[2]) ** 2);
            }
        }

        return sqrt($most) / $this->mesh->side;
    }

    /** The most an edge of a triangle is stretched or pressed together at any moment, as a share of its length. */
    public function largestStrain(): float
    {
        $most = 0.0;
        foreach ($this->mesh->edges() as ['a' => $a, 'b' => $b]) {
            [$p, $q] = [$this->mesh->sheet[$a], $this->mesh->sheet[$b]];
            $length = hypot($p[0] - $q[0], $p[1] - $q[1]);
            foreach ($this->at as $points) {
                [$u, $v] = [$points[$a], $points[$b]];
                $now = sqrt(($u[0] - $v[0]) ** 2 + ($u[1] - $v[1]) ** 2 + ($u[2] - $v[2]) ** 2);
                $most = max($most, abs($now - $length) / $length);
            }
        }

        return $most;
    }
}
