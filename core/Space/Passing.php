<?php

declare(strict_types=1);

namespace Cathedra\Core\Space;

/**
 * How deep paper stands in other paper at one moment: the edges of every triangle against every other triangle. Depth
 * is the least of: how far either end of the edge is from the other's plane, and how far the place where it goes
 * through lies from that triangle's rim; what only touches has none.
 */
final class Passing
{
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
                );
                if ($depth > $worst[0]) {
                    $worst = [$depth, $i, $j];
                }
            }
        }

        return $worst;
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
