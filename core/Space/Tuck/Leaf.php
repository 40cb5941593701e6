<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Tuck;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Numeric\Union;
use Cathedra\Core\Space\Transition;

/**
 * A piece of folded paper that hangs on one line only, of creases or of a bend: it can be opened about that line as it
 * is, like a leaf of a book, and closed again, once nothing lies over it.
 */
final readonly class Leaf
{
    /** A leaf is a small piece of the sheet; the rest is what it opens from. */
    private const MOST = 0.4;

    /**
     * @param  array<int, int>  $cells
     * @param  Line  $axis  its positive side is lifted
     * @param  bool  $up  whether it opens toward the folder
     * @param  array<int, int>  $vertices  of its cells
     * @param  array<int, int>  $under  cells that lie over it, on the side to which it opens
     */
    private function __construct(
        public array $cells,
        public Line $axis,
        public bool $up,
        public array $vertices,
        public array $under,
    ) {
    }

    /**
     * @param  array<int, int>  $through  cells that leave or come while it is open, and so may lie over it
     * @param  Line|null  $bend  a line along which the mesh is cut, too
     * @return list<self> the smallest first
     */
    public static function all(Transition $transition, array $through, ?Line $bend = null): array
    {
        $leaves = [];
        $layers = [$transition->layers(false), $transition->layers(true)];
        $area = array_map(static fn (Polygon $p): float => $p->area(), $transition->laid(false));
        foreach ([...self::lines($transition), ...($bend === null ? [] : [$bend])] as $line) {
            foreach (self::parts($transition, $line, $line === $bend) as $cells) {
                $side = self::side($transition, $cells, $line);
                $share = array_sum(array_intersect_key($area, array_flip($cells))) / array_sum($area);
                if ($side === 0 || $share > self::MOST) {
                    continue;
                }
                $vertices = array_values(array_unique(array_merge(...array_map(
                    static fn (int $c): array => $transition->mesh->cells[$c],
                    $cells,
                ))));
                foreach ([true, false] as $up) {
                    $axis = $side > 0 === $up ? $line : $line->reversed();
                    $under = self::over($cells, array_flip([...$cells, ...$through]), $layers, $up);
                    $leaves[] = [$share, new self(
                        cells: $cells,
                        axis: $axis,
                        up: $up,
                        vertices: $vertices,
                        under: $under,
                    )];
                }
            }
        }
        usort($leaves, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($leaves, 1);
    }

    /** @return list<Line> that carry creases which stay folded, as they lie before */
    private static function lines(Transition $transition): array
    {
        $lines = [];
        $near = $transition->before->tolerance->aside;
        foreach ($transition->mesh->hinges as $hinge) {
            if ($hinge['start'] === 0.0 || $hinge['start'] !== $hinge['end']) {
                continue;
            }
            [$a, $b] = [self::point($transition, $hinge['a']), self::point($transition, $hinge['b'])];
            foreach ($lines as $known) {
                if (max(abs($known->distanceTo($a)), abs($known->distanceTo($b))) < $near) {
                    continue 2;
                }
            }
            $line = Line::through($a, $b);
            $line === null || $lines[] = $line;
        }

        return $lines;
    }

    /** @return list<array<int, int>> what hangs together apart from the creases on the line, or a bend along it */
    private static function parts(Transition $transition, Line $line, bool $isBend): array
    {
        $union = new Union();
        $near = $transition->before->tolerance->aside;
        foreach ($transition->mesh->hinges as $hinge) {
            $off = max(
                abs($line->distanceTo(self::point($transition, $hinge['a']))),
                abs($line->distanceTo(self::point($transition, $hinge['b']))),
            );
            $bends = $hinge['start'] === $hinge['end'] && ($isBend || $hinge['start'] !== 0.0);
            if (! $bends || $off > $near) {
                $union->join($hinge['left'], $hinge['right']);
            }
        }
        $parts = [];
        foreach (array_keys($transition->mesh->cells) as $cell) {
            $parts[$union->root($cell)][] = $cell;
        }

        return count($parts) < 2 ? [] : array_values($parts);
    }

    /**
     * On which side of the line all of it lies; 0 where it lies on both.
     *
     * @param  array<int, int>  $cells
     */
    private static function side(Transition $transition, array $cells, Line $line): int
    {
        $side = 0;
        foreach ($cells as $cell) {
            foreach ($transition->mesh->cells[$cell] as $vertex) {
                $off = $line->distanceTo(self::point($transition, $vertex));
                if (abs($off) > $transition->before->tolerance->aside) {
                    if ($side === -($off <=> 0.0)) {
                        return 0;
                    }
                    $side = $off <=> 0.0;
                }
            }
        }

        return $side;
    }

    /**
     * @param  array<int, int>  $cells
     * @param  array<int, int>  $free  by cell
     * @param  array{array<int, array<int, bool>>, array<int, array<int, bool>>}  $layers
     * @return array<int, int> cells
     */
    private static function over(array $cells, array $free, array $layers, bool $up): array
    {
        $found = [];
        foreach ($layers as $over) {
            foreach ($cells as $cell) {
                foreach ($over[$cell] ?? [] as $other => $isOver) {
                    if ($isOver !== $up && ! isset($free[$other])) {
                        $found[$other] = $other;
                    }
                }
            }
        }

        return array_values($found);
    }

    private static function point(Transition $transition, int $vertex): Point
    {
        [$x, $y] = $transition->start[$vertex];

        return new Point($x, $y);
    }
}
