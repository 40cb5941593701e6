<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Space\Mesh\Mesh;
use Cathedra\Core\Space\Mesh\Vector;

/**
 * Which cell lies on which where they lie in one plane of a form: the side on which a cell stood at the last earlier
 * moment when the two were apart; never apart, the order of the flat state. Only for pictures: no fold rests on it.
 *
 * @phpstan-type Moment array<int, array{float, float, float}>
 */
final class FormLayers
{
    /** As shares of the side: planes that are one, and cells that stand apart (0.3 mm of 150). */
    private const ONE_PLANE = 2e-4;

    private const APART = 2e-3;

    /** As a share of the squared side: what overlaps by less only touches. */
    private const TOUCH = 2e-5;

    /** @param  array<int, int>  $flat  by cell: its rank in the flat state, as Piece has it */
    private function __construct(private readonly Mesh $mesh, private readonly array $flat)
    {
    }

    /**
     * @param  list<array<int, array{float, float, float}>>  $moments  all so far, the last is the one asked for
     * @param  array<int, int>  $flat  by cell: its rank in the flat state, as Piece has it
     * @return array<int, int> by cell: ranks as Piece has them
     */
    public static function at(Mesh $mesh, array $moments, array $flat): array
    {
        return (new self($mesh, $flat))->ranks($moments);
    }

    /**
     * @param  list<Moment>  $moments
     * @return array<int, int>
     */
    private function ranks(array $moments): array
    {
        $now = $moments[count($moments) - 1];
        $normals = array_map(fn (int $c): array => $this->normal($c, $now), array_keys($this->mesh->cells));
        $ranks = array_fill(0, count($this->mesh->cells), 0);
        foreach ($this->planes($normals, $now) as $cells) {
            $over = [];
            foreach ($cells as $k => $one) {
                foreach (array_slice($cells, $k + 1) as $other) {
                    $at = $this->overlap($one, $other, $normals[$cells[0]], $now);
                    if ($at !== null) {
                        $isOver = $this->isOver(
                            one: $one,
                            other: $other,
                            at: $at,
                            moments: $moments,
                            normals: $normals,
                            first: $cells[0],
                        );
                        $over[$isOver ? $one : $other][] = $isOver ? $other : $one;
                    }
                }
            }
            $height = [];
            foreach ($cells as $cell) {
                $along = Vector::dot($normals[$cell], $normals[$cells[0]]) > 0;
                $up = self::height($cell, $over, $height, count($cells));
                $ranks[$cell] = $along ? $up : -$up;
            }
        }

        return $ranks;
    }

    /**
     * @param  array<int, array{float, float, float}>  $normals
     * @param  Moment  $now
     * @return list<list<int>> cells of one plane each, whichever way they face
     */
    private function planes(array $normals, array $now): array
    {
        $planes = [];
        foreach ($normals as $cell => $normal) {
            $middle = $this->middle($cell, $now);
            foreach ($planes as $i => $cells) {
                $of = $normals[$cells[0]];
                $off = abs(Vector::dot($of, Vector::minus($middle, $this->middle($cells[0], $now))));
                if (abs(Vector::dot($of, $normal)) > 1 - 1e-6 && $off < self::ONE_PLANE * $this->mesh->side) {
                    $planes[$i][] = $cell;

                    continue 2;
                }
            }
            $planes[] = [$cell];
        }

        return array_values($planes);
    }

    /**
     * The middle of what two cells of a plane have in common.
     *
     * @param  array{float, float, float}  $normal
     * @param  Moment  $now
     * @return array{float, float, float}|null
     */
    private function overlap(int $one, int $other, array $normal, array $now): ?array
    {
        $helper = abs($normal[0]) < 0.7 ? [1.0, 0.0, 0.0] : [0.0, 1.0, 0.0];
        $u = Vector::unit(Vector::cross($normal, $helper));
        $v = Vector::cross($normal, $u);
        $origin = $this->middle($one, $now);
        $flat = fn (int $cell): Polygon => Polygon::of(array_map(
            static fn (int $n): Point => new Point(
                Vector::dot($u, Vector::minus($now[$n], $origin)),
                Vector::dot($v, Vector::minus($now[$n], $origin)),
            ),
            $this->mesh->cells[$cell],
        ));
        $common = $flat($one)->intersection($flat($other));
        if ($common->area() < self::TOUCH * $this->mesh->side ** 2) {
            return null;
        }
        $c = $common->centroid();

        return Vector::plus(p: $origin, a: $c->x, u: $u, b: $c->y, v: $v);
    }

    /**
     * Whether one cell lies over another on the side to which the plane's normal points.
     *
     * @param  array{float, float, float}  $at  a place of both, now
     * @param  list<Moment>  $moments
     * @param  array<int, array{float, float, float}>  $normals  now
     * @param  int  $first  the cell whose normal is the plane's
     */
    private function isOver(int $one, int $other, array $at, array $moments, array $normals, int $first): bool
    {
        $now = $moments[count($moments) - 1];
        [$onOne, $onOther] = [$this->coordinates($one, $at, $now), $this->coordinates($other, $at, $now)];
        $faces = static fn (int $cell): int => Vector::dot($normals[$cell], $normals[$first]) > 0 ? 1 : -1;
        for ($i = count($moments) - 2; $i >= 0; $i--) {
            $was = $moments[$i];
            $gap = Vector::minus($this->placed($one, $onOne, $was), $this->placed($other, $onOther, $was));
            $mean = Vector::plus(
                p: [0.0, 0.0, 0.0],
                a: $faces($one),
                u: $this->normal($one, $was),
                b: $faces($other),
                v: $this->normal($other, $was),
            );
            $apart = Vector::dot($gap, Vector::unit($mean));
            if (abs($apart) > self::APART * $this->mesh->side) {
                return $apart > 0;
            }
        }

        return $faces($one) * $this->flat[$one] > $faces($other) * $this->flat[$other];
    }

    /**
     * A place of the cell's plane by its first corner and its first two sides.
     *
     * @param  array{float, float, float}  $p
     * @param  Moment  $now
     * @return array{float, float}
     */
    private function coordinates(int $cell, array $p, array $now): array
    {
        [$o, $u, $v] = $this->sides($cell, $now);
        $d = Vector::minus($p, $o);
        [$uu, $uv, $vv] = [Vector::dot($u, $u), Vector::dot($u, $v), Vector::dot($v, $v)];
        [$du, $dv] = [Vector::dot($d, $u), Vector::dot($d, $v)];
        $det = $uu * $vv - $uv * $uv;

        return [($du * $vv - $dv * $uv) / $det, ($dv * $uu - $du * $uv) / $det];
    }

    /**
     * @param  array{float, float}  $by
     * @param  Moment  $at
     * @return array{float, float, float}
     */
    private function placed(int $cell, array $by, array $at): array
    {
        [$o, $u, $v] = $this->sides($cell, $at);

        return Vector::plus(p: $o, a: $by[0], u: $u, b: $by[1], v: $v);
    }

    /**
     * @param  Moment  $at
     * @return array{array{float, float, float}, array{float, float, float}, array{float, float, float}} the first
     *     triangle of the cell: a corner and two sides
     */
    private function sides(int $cell, array $at): array
    {
        [$a, $b, $c] = $this->mesh->triangles[(int) array_search($cell, $this->mesh->cellOf, true)];

        return [$at[$a], Vector::minus($at[$b], $at[$a]), Vector::minus($at[$c], $at[$a])];
    }

    /**
     * @param  Moment  $at
     * @return array{float, float, float} toward the side from which its front is seen
     */
    private function normal(int $cell, array $at): array
    {
        [, $u, $v] = $this->sides($cell, $at);

        return Vector::unit(Vector::cross($u, $v));
    }

    /**
     * @param  Moment  $at
     * @return array{float, float, float}
     */
    private function middle(int $cell, array $at): array
    {
        $loop = $this->mesh->cells[$cell];

        return array_map(
            static fn (int $i): float => array_sum(array_map(static fn (int $n): float => $at[$n][$i], $loop)) /
                count($loop),
            [0, 1, 2],
        );
    }

    /**
     * How many lie under a cell in the longest row; a ring of cells, which pictures cannot show, is cut.
     *
     * @param  array<int, list<int>>  $over
     * @param  array<int, int>  $known
     */
    private static function height(int $cell, array $over, array &$known, int $most): int
    {
        if ($most < 0) {
            return 0;
        }
        if (! isset($known[$cell])) {
            $height = 0;
            foreach ($over[$cell] ?? [] as $under) {
                $height = max($height, 1 + self::height($under, $over, $known, $most - 1));
            }
            $known[$cell] = $height;
        }

        return $known[$cell];
    }
}
