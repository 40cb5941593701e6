<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Turn;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/** Points turned in space about a line of the table. */
final readonly class RigidTurn
{
    /**
     * @param  array<int, array{float, float, float}>  $points  mm
     * @param  Line  $axis  in the plane z = 0
     * @param  float  $angle  radians; positive lifts what lies on the positive side of the axis
     * @param  Point|null  $shift  mm, besides
     * @return array<int, array{float, float, float}>
     */
    public static function about(array $points, Line $axis, float $angle, ?Point $shift = null): array
    {
        [$c, $s] = [cos($angle), sin($angle)];
        [$nx, $ny, $k] = [$axis->normal->x, $axis->normal->y, $axis->offset];
        [$dx, $dy] = [$shift->x ?? 0.0, $shift->y ?? 0.0];

        return array_map(static function (array $p) use ($c, $s, $nx, $ny, $k, $dx, $dy): array {
            $out = $nx * $p[0] + $ny * $p[1] - $k;
            $moved = $c * $out - $s * $p[2] - $out;

            return [$p[0] + $nx * $moved + $dx, $p[1] + $ny * $moved + $dy, $s * $out + $c * $p[2]];
        }, $points);
    }
}
