<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Mesh;

/**
 * Triangles in the order in which they are painted, the farthest first: a tree of planes, each of which parts the rest
 * into what lies before and behind it; what lies on both sides is cut.
 *
 * @phpstan-type Vertex array{float, float, float}
 * @phpstan-type Tile array{corners: list<Vertex>, lines: list<string|null>, side: 'front'|'back', light: float}
 */
final class Split
{
    /** mm; what is nearer to a plane lies on it. */
    private const ON = 0.02;

    /** Planes tried for each part; the one that cuts fewest tiles is taken. */
    private const TRIED = 8;

    /**
     * @param  list<Tile>  $tiles  lines: by side of the tile, the kind of line there; seen along z, from above
     * @return list<Tile>
     */
    public static function painted(array $tiles): array
    {
        if (count($tiles) < 2) {
            return $tiles;
        }
        [$plane, $chosen] = self::plane($tiles);
        if ($plane === null) {
            return $tiles;
        }
        [$before, $behind, $on] = [[], [], []];
        foreach ($tiles as $i => $tile) {
            if ($i === $chosen) {
                $on[] = $tile;

                continue;
            }
            [$front, $back] = self::parted($tile, $plane);
            if ($front === null && $back === null) {
                $on[] = $tile;
            }
            $before = $front === null ? $before : [...$before, $front];
            $behind = $back === null ? $behind : [...$behind, $back];
        }
        [$before, $behind] = [self::painted($before), self::painted($behind)];

        // the eye looks down along z: what lies on the side the plane's normal points away from is farther
        return $plane[2] >= 0 ? [...$behind, ...$on, ...$before] : [...$before, ...$on, ...$behind];
    }

    /**
     * @param  list<Tile>  $tiles
     * @return array{array{float, float, float, float}|null, int} normal and offset, and the tile that lies in it
     */
    private static function plane(array $tiles): array
    {
        [$best, $chosen, $fewest] = [null, 0, PHP_INT_MAX];
        $stride = max(1, intdiv(count($tiles), self::TRIED));
        for ($i = 0; $i < count($tiles); $i += $stride) {
            $plane = self::planeOf($tiles[$i]['corners']);
            if ($plane === null) {
                continue;
            }
            $cuts = 0;
            foreach ($tiles as $tile) {
                $off = array_map(static fn (array $p): float => self::off($plane, $p), $tile['corners']);
                $cuts += max([0.0, ...$off]) > self::ON && min([0.0, ...$off]) < -self::ON ? 1 : 0;
            }
            if ($cuts < $fewest) {
                [$best, $chosen, $fewest] = [$plane, $i, $cuts];
            }
        }

        return [$best, $chosen];
    }

    /**
     * @param  list<Vertex>  $corners
     * @return array{float, float, float, float}|null null for a needle
     */
    private static function planeOf(array $corners): ?array
    {
        [$p, $q, $r] = $corners;
        [$u, $v] = [[$q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]], [$r[0] - $p[0], $r[1] - $p[1], $r[2] - $p[2]]];
        $n = [$u[1] * $v[2] - $u[2] * $v[1], $u[2] * $v[0] - $u[0] * $v[2], $u[0] * $v[1] - $u[1] * $v[0]];
        $length = sqrt($n[0] ** 2 + $n[1] ** 2 + $n[2] ** 2);
        if ($length < 1e-6) {
            return null;
        }
        [$x, $y, $z] = [$n[0] / $length, $n[1] / $length, $n[2] / $length];

        return [$x, $y, $z, $x * $p[0] + $y * $p[1] + $z * $p[2]];
    }

    /**
     * @param  array{float, float, float, float}  $plane
     * @param  Vertex  $p
     */
    private static function off(array $plane, array $p): float
    {
        return $plane[0] * $p[0] + $plane[1] * $p[1] + $plane[2] * $p[2] - $plane[3];
    }

    /**
     * @param  Tile  $tile
     * @param  array{float, float, float, float}  $plane
     * @return array{Tile|null, Tile|null} what lies before the plane and behind it; both null: it lies in it
     */
    private static function parted(array $tile, array $plane): array
    {
        $off = array_map(static fn (array $p): float => self::off($plane, $p), $tile['corners']);
        [$least, $most] = [min([0.0, ...$off]), max([0.0, ...$off])];
        if ($least >= -self::ON) {
            return [$most <= self::ON ? null : $tile, null];
        }
        if ($most <= self::ON) {
            return [null, $tile];
        }

        return [self::half($tile, $off, 1.0), self::half($tile, $off, -1.0)];
    }

    /**
     * @param  Tile  $tile
     * @param  list<float>  $off  by corner
     * @return Tile|null
     */
    private static function half(array $tile, array $off, float $sign): ?array
    {
        [$corners, $lines] = [[], []];
        $n = count($tile['corners']);
        for ($i = 0; $i < $n; $i++) {
            $j = ($i + 1) % $n;
            [$a, $b] = [$sign * $off[$i], $sign * $off[$j]];
            [$p, $q] = [$tile['corners'][$i], $tile['corners'][$j]];
            if ($a >= 0) {
                $corners[] = $p;
                $lines[] = $tile['lines'][$i];
            }
            if (($a > 0 && $b < 0) || ($a < 0 && $b > 0)) {
                $s = $a / ($a - $b);
                $corners[] = [$p[0] + $s * ($q[0] - $p[0]), $p[1] + $s * ($q[1] - $p[1]), $p[2] + $s * ($q[2] - $p[2])];
                // along the cut runs no line; beyond it the rest of this side
                $lines[] = $a > 0 ? null : $tile['lines'][$i];
            }
        }

        return count($corners) < 3 ? null : ['corners' => $corners, 'lines' => $lines] + $tile;
    }
}
