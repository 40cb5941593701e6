<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;

/**
 * Judges a motion document by itself, from its numbers alone and by other means than those that made it: lengths, ends,
 * jumps, and paper in paper by the line in which two triangles cut one another.
 *
 * @phpstan-type Frame array{vertices_coords: list<list<float>>, faces_vertices: list<list<int>>,
 *     edges_vertices: list<list<int>>, edges_foldAngle: list<float>, 'cathedra:vertices_sheet': list<list<float>>,
 *     'cathedra:t': float, 'cathedra:movement': int}
 */
final class MotionJudge
{
    /**
     * @param  list<Frame>  $frames  of one step
     * @return array{strain: float, jump: float, depth: float} shares of length and of the side
     */
    public static function worst(array $frames, float $side): array
    {
        $worst = ['strain' => 0.0, 'jump' => 0.0, 'depth' => 0.0];
        foreach ($frames as $i => $frame) {
            $worst['strain'] = max($worst['strain'], self::strain($frame));
            $worst['depth'] = max($worst['depth'], self::depth($frame) / $side);
            if ($i > 0) {
                $worst['jump'] = max($worst['jump'], self::jump($frames[$i - 1], $frame) / $side);
            }
        }

        return $worst;
    }

    /**
     * How far a moment is from a flat state.
     *
     * @param  Frame  $frame
     * @return float mm
     */
    public static function away(array $frame, FoldedState $state): float
    {
        $far = 0.0;
        foreach ($frame['faces_vertices'] as $face) {
            $sheet = array_map(static fn (int $v): array => $frame['cathedra:vertices_sheet'][$v], $face);
            $middle = new Point(array_sum(array_column($sheet, 0)) / 3, array_sum(array_column($sheet, 1)) / 3);
            $on = $state->pattern->faceAt($middle, 0.0);
            if ($on === null) {
                continue;
            }
            foreach ($face as $k => $v) {
                $place = $state->placements[$on]->of(new Point(...$sheet[$k]));
                [$x, $y, $z] = $frame['vertices_coords'][$v];
                $far = max($far, sqrt(($x - $place->x) ** 2 + ($y - $place->y) ** 2 + $z ** 2));
            }
        }

        return $far;
    }

    /**
     * Paper that changes sides between two moments: the middle of a triangle lies over another one in both, first on
     * its one side and then on the other, each time farther off than paper may stand in paper. Beside a flat end the
     * side is that of the layers there.
     *
     * @param  list<Frame>  $frames  of one movement, so of one mesh
     * @return list<array{int, int, int}> moment and both triangles
     */
    public static function swapped(array $frames, float $side, FoldedState $from, FoldedState $to): array
    {
        $least = 0.005 * $side;
        $found = [];
        $last = count($frames) - 1;
        $known = self::flatSides($frames[0], $from);
        foreach (array_slice($frames, 1, $last - 1, true) as $k => $frame) {
            $now = self::sides($frame, $least);
            foreach (array_intersect_key($now, $known) as $pair => $over) {
                if ($over !== $known[$pair]) {
                    [$i, $j] = array_map(intval(...), explode(' ', $pair));
                    $found[] = [$k, $i, $j];
                }
            }
            $known = $now; // from one moment to the next: later it may have gone round the edge
        }
        foreach (array_intersect_key(self::flatSides($frames[$last], $to), $known) as $pair => $over) {
            if ($over !== $known[$pair]) {
                [$i, $j] = array_map(intval(...), explode(' ', $pair));
                $found[] = [$last, $i, $j];
            }
        }

        return $found;
    }

    /**
     * @param  Frame  $frame
     * @return array<string, bool> by two triangles: whether the first lies on the front side of the second
     */
    private static function sides(array $frame, float $least): array
    {
        $at = $frame['vertices_coords'];
        $middles = self::middles($frame);
        $sides = [];
        foreach ($frame['faces_vertices'] as $j => $face) {
            $corners = array_map(static fn (int $v): array => $at[$v], $face);
            $normal = self::normal($corners);
            [$nx, $ny, $nz] = $normal;
            $level = $nx * $corners[0][0] + $ny * $corners[0][1] + $nz * $corners[0][2];
            $walls = self::walls($corners, $normal);
            foreach ($middles as $i => $middle) {
                $off = $nx * $middle[0] + $ny * $middle[1] + $nz * $middle[2] - $level;
                if (abs($off) <= $least || abs($off) >= 10 * $least || $i === $j) {
                    continue;
                }
                if (self::isWithin($middle, $walls)) {
                    $sides["$i $j"] = $off > 0;
                }
            }
        }

        return $sides;
    }

    /**
     * @param  Frame  $frame
     * @return array<string, bool> the same of a flat state, by its layers
     */
    private static function flatSides(array $frame, FoldedState $state): array
    {
        $at = $frame['vertices_coords'];
        $on = array_map(static function (array $face) use ($frame, $state): ?int {
            $sheet = array_map(static fn (int $v): array => $frame['cathedra:vertices_sheet'][$v], $face);

            return $state->pattern->faceAt(
                new Point(array_sum(array_column($sheet, 0)) / 3, array_sum(array_column($sheet, 1)) / 3),
                0.0,
            );
        }, $frame['faces_vertices']);
        $middles = self::middles($frame);
        $sides = [];
        foreach ($frame['faces_vertices'] as $j => $face) {
            $corners = array_map(static fn (int $v): array => $at[$v], $face);
            $normal = self::normal($corners);
            $walls = self::walls($corners, $normal);
            foreach ($middles as $i => $middle) {
                [$one, $other] = [$on[$i], $on[$j]];
                if ($one === null || $other === null || $one === $other || ! self::isWithin($middle, $walls)) {
                    continue;
                }
                $above = $state->order->above($one, $other);
                if ($above !== null) {
                    $sides["$i $j"] = $above === $normal[2] > 0;
                }
            }
        }

        return $sides;
    }

    /**
     * @param  Frame  $frame
     * @return list<list<float>> of the triangles
     */
    private static function middles(array $frame): array
    {
        return array_map(static fn (array $face): array => array_map(
            static fn (int $c): float => array_sum(array_map(
                static fn (int $v): float => $frame['vertices_coords'][$v][$c],
                $face,
            )) / 3,
            [0, 1, 2],
        ), $frame['faces_vertices']);
    }

    /**
     * Planes through the edges of a triangle, upright on it: inward normals, and how far along them the edges are.
     *
     * @param  list<list<float>>  $corners
     * @param  list<float>  $normal
     * @return list<array{float, float, float, float}>
     */
    private static function walls(array $corners, array $normal): array
    {
        $walls = [];
        foreach ([[0, 1], [1, 2], [2, 0]] as [$i, $j]) {
            [$x, $y, $z] = self::cross($normal, self::minus($corners[$j], $corners[$i]));
            $walls[] = [$x, $y, $z, self::dot([$x, $y, $z], $corners[$i])];
        }

        return $walls;
    }

    /**
     * @param  list<float>  $p
     * @param  list<array{float, float, float, float}>  $walls
     */
    private static function isWithin(array $p, array $walls): bool
    {
        foreach ($walls as [$x, $y, $z, $least]) {
            if ($x * $p[0] + $y * $p[1] + $z * $p[2] < $least) {
                return false;
            }
        }

        return true;
    }

    /** @param  Frame  $frame */
    private static function strain(array $frame): float
    {
        $most = 0.0;
        foreach ($frame['faces_vertices'] as $face) {
            foreach ([[0, 1], [1, 2], [2, 0]] as [$i, $j]) {
                [$p, $q] = [$face[$i], $face[$j]];
                $is = self::far($frame['vertices_coords'][$p], $frame['vertices_coords'][$q]);
                $was = self::far(
                    [...$frame['cathedra:vertices_sheet'][$p], 0.0],
                    [...$frame['cathedra:vertices_sheet'][$q], 0.0],
                );
                $most = max($most, abs($is - $was) / $was);
            }
        }

        return $most;
    }

    /**
     * The farthest a place of the sheet goes, looked for at the vertices of the second moment in the first one's faces.
     *
     * @param  Frame  $one
     * @param  Frame  $next
     */
    private static function jump(array $one, array $next): float
    {
        $same = $one['cathedra:vertices_sheet'] === $next['cathedra:vertices_sheet'];
        $far = 0.0;
        foreach ($next['faces_vertices'] as $face) {
            $sheet = array_map(static fn (int $v): array => $next['cathedra:vertices_sheet'][$v], $face);
            foreach ($face as $k => $v) {
                $now = $next['vertices_coords'][$v];
                // a little inside its own face, so that both lips of a cut are told apart
                $u = 0.999 * $sheet[$k][0] + 0.001 * array_sum(array_column($sheet, 0)) / 3;
                $w = 0.999 * $sheet[$k][1] + 0.001 * array_sum(array_column($sheet, 1)) / 3;
                $was = $same ? $one['vertices_coords'][$v] : self::placed($one, $u, $w);
                $far = $was === null ? $far : max($far, self::far($now, $was));
            }
        }

        return $far;
    }

    /**
     * @param  Frame  $frame
     * @return list<float>|null
     */
    private static function placed(array $frame, float $u, float $w): ?array
    {
        foreach ($frame['faces_vertices'] as [$a, $b, $c]) {
            [$p, $q, $r] = array_map(static fn (int $v): array => $frame['cathedra:vertices_sheet'][$v], [$a, $b, $c]);
            $area = ($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]);
            $s = (($u - $p[0]) * ($r[1] - $p[1]) - ($w - $p[1]) * ($r[0] - $p[0])) / $area;
            $t = (($q[0] - $p[0]) * ($w - $p[1]) - ($q[1] - $p[1]) * ($u - $p[0])) / $area;
            if ($s > -1e-6 && $t > -1e-6 && $s + $t < 1 + 1e-6) {
                [$x, $y, $z] = array_map(static fn (int $v): array => $frame['vertices_coords'][$v], [$a, $b, $c]);

                return array_map(
                    static fn (int $i): float => $x[$i] + $s * ($y[$i] - $x[$i]) + $t * ($z[$i] - $x[$i]),
                    [0, 1, 2],
                );
            }
        }

        return null;
    }

    /**
     * Two triangles that cut one another do so along a piece of the line in which their planes meet. The depth is the
     * shorter of: that piece, and how far either triangle reaches beyond the other's plane on its shorter side.
     *
     * @param  Frame  $frame
     * @return float mm
     */
    private static function depth(array $frame): float
    {
        $at = $frame['vertices_coords'];
        $deepest = 0.0;
        $boxes = array_map(static function (array $face) use ($at): array {
            $of = array_map(static fn (int $v): array => $at[$v], $face);

            return array_map(static fn (int $i): array => [
                min([INF, ...array_column($of, $i)]),
                max([-INF, ...array_column($of, $i)]),
            ], [0, 1, 2]);
        }, $frame['faces_vertices']);
        foreach ($frame['faces_vertices'] as $i => $one) {
            for ($j = $i + 1; $j < count($frame['faces_vertices']); $j++) {
                foreach ([0, 1, 2] as $c) {
                    if ($boxes[$i][$c][0] > $boxes[$j][$c][1] || $boxes[$j][$c][0] > $boxes[$i][$c][1]) {
                        continue 2;
                    }
                }
                if ($boxes[$i][2][1] - $boxes[$i][2][0] < 1e-6 && $boxes[$j][2][1] - $boxes[$j][2][0] < 1e-6) {
                    continue;
                }
                $deepest = max($deepest, self::cut(
                    array_map(static fn (int $v): array => $at[$v], $one),
                    array_map(static fn (int $v): array => $at[$v], $frame['faces_vertices'][$j]),
                ));
            }
        }

        return $deepest;
    }

    /**
     * @param  list<list<float>>  $one
     * @param  list<list<float>>  $other
     */
    private static function cut(array $one, array $other): float
    {
        [$n, $m] = [self::normal($one), self::normal($other)];
        $line = self::cross($n, $m);
        $length = sqrt(self::dot($line, $line));
        if ($length < 1e-6) {
            return 0.0; // side by side
        }
        $line = array_map(static fn (float $x): float => $x / $length, $line);
        $spans = [];
        $reach = INF;
        foreach ([[$one, $other[0], $m], [$other, $one[0], $n]] as [$corners, $on, $normal]) {
            $d = array_map(static fn (array $p): float => self::dot($normal, self::minus($p, $on)), $corners);
            $reach = min($reach, max([0.0, ...$d]), -min([0.0, ...$d]));
            $hits = [];
            foreach ([[0, 1], [1, 2], [2, 0]] as [$i, $j]) {
                if ($d[$i] * $d[$j] < 0) {
                    $s = $d[$i] / ($d[$i] - $d[$j]);
                    $hits[] = (1 - $s) * self::dot($line, $corners[$i]) + $s * self::dot($line, $corners[$j]);
                }
            }
            if ($reach <= 1e-9 || count($hits) < 2) {
                return 0.0;
            }
            $spans[] = [min($hits), max($hits)];
        }

        return max(0.0, min($reach, min($spans[0][1], $spans[1][1]) - max($spans[0][0], $spans[1][0])));
    }

    /**
     * @param  list<list<float>>  $p
     * @return list<float>
     */
    private static function normal(array $p): array
    {
        $n = self::cross(self::minus($p[1], $p[0]), self::minus($p[2], $p[0]));
        $length = sqrt(self::dot($n, $n)) ?: 1.0;

        return array_map(static fn (float $x): float => $x / $length, $n);
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     * @return list<float>
     */
    private static function cross(array $a, array $b): array
    {
        return [$a[1] * $b[2] - $a[2] * $b[1], $a[2] * $b[0] - $a[0] * $b[2], $a[0] * $b[1] - $a[1] * $b[0]];
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     * @return list<float>
     */
    private static function minus(array $a, array $b): array
    {
        return [$a[0] - $b[0], $a[1] - $b[1], $a[2] - $b[2]];
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function dot(array $a, array $b): float
    {
        return $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function far(array $a, array $b): float
    {
        return sqrt(self::dot(self::minus($a, $b), self::minus($a, $b)));
    }
}
