<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Check;

/**
 * How deep paper stands in other paper at one moment: the edges of every triangle against every other triangle. Depth
 * is the least of: how far either end of the edge is from the other's plane, and how far the place where it goes
 * through lies from that triangle's rim; what only touches has none. A long shallow cut counts, too: both triangles
 * reach beyond one another's plane, and share a piece of the line in which the planes meet.
 */
final class Passing
{
    /** A cut is measured so against the depth of an edge: 0.75 mm of a sheet of 150 count as its 0.6. */
    private const CUT = 0.83;

    /**
     * @param  array<int, array{int, int, int}>  $triangles
     * @param  array<int, array{float, float, float}>  $at  by vertex, mm
     * @return array{float, int, int} mm, and the two triangles; 0 where nothing passes
     */
    public static function deepest(array $triangles, array $at): array
    {
        $boxes = [];
        foreach ($triangles as $i => [$a, $b, $c]) {
            [$p, $q, $r] = [$at[$a], $at[$b], $at[$c]];
            $boxes[$i] = [
                min($p[0], $q[0], $r[0]), max($p[0], $q[0], $r[0]),
                min($p[1], $q[1], $r[1]), max($p[1], $q[1], $r[1]),
                min($p[2], $q[2], $r[2]), max($p[2], $q[2], $r[2]),
            ];
        }
        $order = array_keys($triangles);
        usort($order, static fn (int $i, int $j): int => $boxes[$i][0] <=> $boxes[$j][0]);
        $worst = [0.0, -1, -1];
        $n = count($order);
        for ($k = 0; $k < $n; $k++) {
            $i = $order[$k];
            [, $right, $bottom, $top, $low, $high] = $boxes[$i];
            for ($l = $k + 1; $l < $n; $l++) {
                $j = $order[$l];
                $box = $boxes[$j];
                if ($box[0] > $right) {
                    break;
                }
                if (
                    $box[2] > $top || $box[3] < $bottom || $box[4] > $high || $box[5] < $low ||
                    // both flat in one plane: they can only touch
                    ($high - $low < 1e-9 && $box[5] - $box[4] < 1e-9)
                ) {
                    continue;
                }
                $depth = max(
                    self::through($triangles[$i], $triangles[$j], $at),
                    self::through($triangles[$j], $triangles[$i], $at),
                    self::CUT * self::along($triangles[$i], $triangles[$j], $at),
                );
                if ($depth > $worst[0]) {
                    $worst = [$depth, $i, $j];
                }
            }
        }

        return $worst;
    }

    /**
     * How far two triangles cut into one another: the shortest of the piece of the line that they share, and how far
     * either reaches to both sides of the other's plane.
     *
     * @param  array{int, int, int}  $one
     * @param  array{int, int, int}  $other
     * @param  array<int, array{float, float, float}>  $at
     */
    private static function along(array $one, array $other, array $at): float
    {
        if (array_intersect($one, $other) !== []) {
            return 0.0;
        }
        [$n, $m] = [self::normal($one, $at), self::normal($other, $at)];
        $line = [$n[1] * $m[2] - $n[2] * $m[1], $n[2] * $m[0] - $n[0] * $m[2], $n[0] * $m[1] - $n[1] * $m[0]];
        $length = sqrt($line[0] ** 2 + $line[1] ** 2 + $line[2] ** 2);
        if ($length < 1e-6) {
            return 0.0;
        }
        $least = INF;
        $spans = [];
        foreach ([[$one, $other[0], $m], [$other, $one[0], $n]] as [$corners, $on, $normal]) {
            $off = $along = $hits = [];
            foreach ($corners as $k => $v) {
                [$x, $y, $z] = $at[$v];
                [$u, $w, $q] = $at[$on];
                $off[$k] = $normal[0] * ($x - $u) + $normal[1] * ($y - $w) + $normal[2] * ($z - $q);
                $along[$k] = ($line[0] * $x + $line[1] * $y + $line[2] * $z) / $length;
            }
            foreach ([[0, 1], [1, 2], [2, 0]] as [$i, $j]) {
                if ($off[$i] * $off[$j] < 0) {
                    $s = $off[$i] / ($off[$i] - $off[$j]);
                    $hits[] = (1 - $s) * $along[$i] + $s * $along[$j];
                }
            }
            if (count($hits) < 2) {
                return 0.0;
            }
            $least = min($least, max($off), -min($off));
            $spans[] = $hits;
        }

        return max(0.0, min($least, min(max($spans[0]), max($spans[1])) - max(min($spans[0]), min($spans[1]))));
    }

    /**
     * @param  array{int, int, int}  $triangle
     * @param  array<int, array{float, float, float}>  $at
     * @return array{float, float, float} of length 1
     */
    private static function normal(array $triangle, array $at): array
    {
        [$p, $q, $r] = [$at[$triangle[0]], $at[$triangle[1]], $at[$triangle[2]]];
        [$ux, $uy, $uz] = [$q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]];
        [$vx, $vy, $vz] = [$r[0] - $p[0], $r[1] - $p[1], $r[2] - $p[2]];
        $n = [$uy * $vz - $uz * $vy, $uz * $vx - $ux * $vz, $ux * $vy - $uy * $vx];
        $length = sqrt($n[0] ** 2 + $n[1] ** 2 + $n[2] ** 2) ?: 1.0;

        return [$n[0] / $length, $n[1] / $length, $n[2] / $length];
    }

    /**
     * @param  array{int, int, int}  $edges  the triangle whose edges go through
     * @param  array{int, int, int}  $face
     * @param  array<int, array{float, float, float}>  $at
     */
    private static function through(array $edges, array $face, array $at): float
    {
        [$p, $q, $r] = [$at[$face[0]], $at[$face[1]], $at[$face[2]]];
        [$ux, $uy, $uz] = [$q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]];
        [$vx, $vy, $vz] = [$r[0] - $p[0], $r[1] - $p[1], $r[2] - $p[2]];
        [$nx, $ny, $nz] = [$uy * $vz - $uz * $vy, $uz * $vx - $ux * $vz, $ux * $vy - $uy * $vx];
        $length = sqrt($nx * $nx + $ny * $ny + $nz * $nz);
        if ($length < 1e-12) {
            return 0.0;
        }
        [$nx, $ny, $nz] = [$nx / $length, $ny / $length, $nz / $length];
        $distance = [];
        foreach ($edges as $v) {
            $distance[$v] = in_array($v, $face, true)
                ? 0.0
                : $nx * ($at[$v][0] - $p[0]) + $ny * ($at[$v][1] - $p[1]) + $nz * ($at[$v][2] - $p[2]);
        }
        $depth = 0.0;
        foreach ([[0, 1], [1, 2], [2, 0]] as [$i, $j]) {
            [$da, $db] = [$distance[$edges[$i]], $distance[$edges[$j]]];
            if ($da * $db >= 0) {
                continue;
            }
            $least = min(abs($da), abs($db));
            if ($least <= $depth) {
                continue;
            }
            $s = $da / ($da - $db);
            [$a, $b] = [$at[$edges[$i]], $at[$edges[$j]]];
            $hit = [$a[0] + $s * ($b[0] - $a[0]), $a[1] + $s * ($b[1] - $a[1]), $a[2] + $s * ($b[2] - $a[2])];
            foreach ([[$p, $q], [$q, $r], [$r, $p]] as [$from, $to]) {
                [$ex, $ey, $ez] = [$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2]];
                [$wx, $wy, $wz] = [$hit[0] - $from[0], $hit[1] - $from[1], $hit[2] - $from[2]];
                $side = $nx * ($ey * $wz - $ez * $wy) + $ny * ($ez * $wx - $ex * $wz) + $nz * ($ex * $wy - $ey * $wx);
                $least = min($least, $side / sqrt($ex * $ex + $ey * $ey + $ez * $ez));
            }
            $depth = max($depth, $least);
        }

        return $depth;
    }
}
