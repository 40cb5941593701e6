<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Mesh;

/**
 * The sheet divided so finely that every cell stays flat and in one piece from one folded state to the next. Lists are
 * plain numbers, for they are walked many thousand times a motion.
 *
 * @phpstan-type Hinge array{a: int, b: int, left: int, right: int, start: float, end: float}
 */
final readonly class Mesh
{
    /**
     * @param  float  $side  mm, the shorter side of the sheet
     * @param  list<array{float, float}>  $sheet  where each vertex lies on the sheet, mm, seen from its front
     * @param  list<list<int>>  $cells  counterclockwise lists of vertices, seen from the front
     * @param  list<int>  $from  by cell: its face in the state before
     * @param  list<int>  $to  by cell: its face in the state after
     * @param  list<Hinge>  $hinges  between two cells: the vertices of the edge, the cell on the left of the way from a
     *     to b, that on the right, and the angle before and after in radians: valley positive, flat 0
     * @param  list<array{int, int, int}>  $triangles  counterclockwise, cell by cell
     * @param  list<int>  $cellOf  by triangle
     */
    public function __construct(
        public float $side,
        public array $sheet,
        public array $cells,
        public array $from,
        public array $to,
        public array $hinges,
        public array $triangles,
        public array $cellOf,
    ) {
    }

    public function vertexCount(): int
    {
        return count($this->sheet);
    }

    /**
     * Every edge of the triangles once: its two vertices, and the vertices of the triangles on either side.
     *
     * @return list<array{a: int, b: int, left: int, right: int|null}> left: the third vertex of the triangle in which
     *     the way from a to b is counterclockwise
     */
    public function edges(): array
    {
        $edges = [];
        foreach ($this->triangles as [$p, $q, $r]) {
            foreach ([[$p, $q, $r], [$q, $r, $p], [$r, $p, $q]] as [$a, $b, $c]) {
                if (isset($edges["$b-$a"])) {
                    $edges["$b-$a"]['right'] = $c;
                } else {
                    $edges["$a-$b"] = ['a' => $a, 'b' => $b, 'left' => $c, 'right' => null];
                }
            }
        }

        return array_values($edges);
    }

    /**
     * What is to be seen along the sides of every triangle, in the order of its corners: a raw edge, a crease that is
     * bent before or after, or nothing.
     *
     * @return list<list<'raw'|'folded'|null>>
     */
    public function seenSides(): array
    {
        $bent = [];
        foreach ($this->hinges as ['a' => $a, 'b' => $b, 'start' => $start, 'end' => $end]) {
            $bent["$a-$b"] = $bent["$b-$a"] = $start !== 0.0 || $end !== 0.0;
        }
        $inner = [];
        foreach ($this->triangles as [$p, $q, $r]) {
            $inner["$p-$q"] = $inner["$q-$r"] = $inner["$r-$p"] = true;
        }

        return array_map(static fn (array $t): array => array_map(
            static fn (array $side): ?string => match (true) {
                ! isset($inner["$side[1]-$side[0]"]) => 'raw',
                $bent["$side[0]-$side[1]"] ?? false => 'folded',
                default => null,
            },
            [[$t[0], $t[1]], [$t[1], $t[2]], [$t[2], $t[0]]],
        ), $this->triangles);
    }
}
