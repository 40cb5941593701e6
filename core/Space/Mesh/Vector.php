<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Mesh;

/** Sums and products of places and directions in space, [x, y, z] in mm. */
final class Vector
{
    /**
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $q
     */
    public static function dot(array $p, array $q): float
    {
        return $p[0] * $q[0] + $p[1] * $q[1] + $p[2] * $q[2];
    }

    /**
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $q
     * @return array{float, float, float}
     */
    public static function minus(array $p, array $q): array
    {
        return [$p[0] - $q[0], $p[1] - $q[1], $p[2] - $q[2]];
    }

    /**
     * The place p moved by a multiple of u and, where given, one of v.
     *
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $u
     * @param  array{float, float, float}  $v
     * @return array{float, float, float}
     */
    public static function plus(array $p, float $a, array $u, float $b = 0.0, array $v = [0.0, 0.0, 0.0]): array
    {
        return [
            $p[0] + $a * $u[0] + $b * $v[0],
            $p[1] + $a * $u[1] + $b * $v[1],
            $p[2] + $a * $u[2] + $b * $v[2],
        ];
    }

    /**
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $q
     * @return array{float, float, float}
     */
    public static function cross(array $p, array $q): array
    {
        return [$p[1] * $q[2] - $p[2] * $q[1], $p[2] * $q[0] - $p[0] * $q[2], $p[0] * $q[1] - $p[1] * $q[0]];
    }

    /** @param  array{float, float, float}  $p */
    public static function length(array $p): float
    {
        return sqrt(self::dot($p, $p));
    }

    /**
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $q
     */
    public static function far(array $p, array $q): float
    {
        return self::length(self::minus($p, $q));
    }

    /**
     * @param  array{float, float, float}  $p
     * @return array{float, float, float} nothing for nothing
     */
    public static function unit(array $p): array
    {
        $length = max(1e-12, self::length($p));

        return [$p[0] / $length, $p[1] / $length, $p[2] / $length];
    }
}
