<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Mesh;

/** A convex cell cut into triangles, the ear with the shortest diagonal first, so that none is a needle. */
final readonly class Triangles
{
    /** mm2; an ear smaller than this has its three corners on one line. */
    private const FLAT = 1e-9;

    /**
     * @param  list<int>  $loop  counterclockwise vertices; corners may lie on a side
     * @param  list<array{float, float}>  $at  mm
     * @return list<array{int, int, int}>
     */
    public static function of(array $loop, array $at): array
    {
        $triangles = [];
        while (count($loop) > 3) {
            $best = null;
            $n = count($loop);
            for ($i = 0; $i < $n; $i++) {
                [$p, $q, $r] = [$loop[($i + $n - 1) % $n], $loop[$i], $loop[($i + 1) % $n]];
                $length = ($at[$p][0] - $at[$r][0]) ** 2 + ($at[$p][1] - $at[$r][1]) ** 2;
                if (self::area($at[$p], $at[$q], $at[$r]) > self::FLAT && ($best === null || $length < $best[1]) &&
                    self::leavesPaper($loop, $i, $at)) {
                    $best = [$i, $length];
                }
            }
            if ($best === null) {
                break;
            }
            [$i] = $best;
            $triangles[] = [$loop[($i + $n - 1) % $n], $loop[$i], $loop[($i + 1) % $n]];
            array_splice($loop, $i, 1);
        }
        if (count($loop) === 3) {
            $triangles[] = [$loop[0], $loop[1], $loop[2]];
        }

        return $triangles;
    }

    /**
     * What is left without this ear must not lie on one line.
     *
     * @param  list<int>  $loop
     * @param  list<array{float, float}>  $at
     */
    private static function leavesPaper(array $loop, int $ear, array $at): bool
    {
        array_splice($loop, $ear, 1);
        $area = 0.0;
        for ($i = 1; $i < count($loop) - 1; $i++) {
            $area += self::area($at[$loop[0]], $at[$loop[$i]], $at[$loop[$i + 1]]);
        }

        return $area > self::FLAT;
    }

    /**
     * @param  array{float, float}  $p
     * @param  array{float, float}  $q
     * @param  array{float, float}  $r
     */
    private static function area(array $p, array $q, array $r): float
    {
        return (($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0])) / 2;
    }
}
