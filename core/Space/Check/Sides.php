<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Check;

use Cathedra\Core\Space\Transition;

/**
 * On which side of other paper paper is: nothing may be on the front side of a piece at one moment and on its back side
 * at the next, however quickly it got there. Looked at are the middles of triangles that lie over or under another
 * triangle, off it, but not far; at the flat ends the layers say it. A side is kept by two triangles (the first times
 * their number, plus the second): whether the first is on the front side of the second.
 *
 * @phpstan-type Side array<int, bool>
 */
final readonly class Sides
{
    /** Nearer than this, as a share of the shorter side, paper touches; ten times as far it is somewhere else. */
    private const NEAR = 0.005;

    private const FAR = 0.05;

    private function __construct(private Transition $transition)
    {
    }

    /** @param  array<int, array<int, array{float, float, float}>>  $frames  moments, with or without the slide */
    public static function areKept(Transition $transition, array $frames): bool
    {
        $self = new self($transition);
        $known = $self->byLayers(false);
        foreach (array_slice($frames, 1, -1) as $at) {
            $now = $self->at($at);
            if (self::differ($known, $now)) {
                return false;
            }
            $known = $now;
        }

        return ! self::differ($known, $self->byLayers(true));
    }

    /**
     * @param  Side  $one
     * @param  Side  $other
     */
    private static function differ(array $one, array $other): bool
    {
        foreach (array_intersect_key($one, $other) as $pair => $side) {
            if ($side !== $other[$pair]) {
                return true;
            }
        }

        return false;
    }

    /** @return Side */
    private function byLayers(bool $afterwards): array
    {
        $mesh = $this->transition->mesh;
        $layers = $this->transition->layers($afterwards);
        $at = $afterwards ? $this->transition->end : $this->transition->start;
        $count = count($mesh->triangles);
        $sides = [];
        foreach ($this->over($at, 0.0, 1e-6 * $mesh->side) as [$i, $j]) {
            [$one, $other] = [$mesh->cellOf[$i], $mesh->cellOf[$j]];
            $isAbove = $layers[$one][$other] ?? null;
            if ($isAbove !== null) {
                $sides[$i * $count + $j] = $isAbove === $this->transition->showsFront($other, $afterwards);
            }
        }

        return $sides;
    }

    /**
     * @param  array<int, array{float, float, float}>  $at
     * @return Side
     */
    private function at(array $at): array
    {
        $side = $this->transition->mesh->side;
        $count = count($this->transition->mesh->triangles);
        $sides = [];
        foreach ($this->over($at, self::NEAR * $side, self::FAR * $side) as [$i, $j, $off]) {
            $sides[$i * $count + $j] = $off > 0;
        }

        return $sides;
    }

    /**
     * Middles that lie over a triangle, or under it.
     *
     * @param  array<int, array{float, float, float}>  $at
     * @return iterable<array{int, int, float}> the triangle of the middle, the other one, mm along its normal
     */
    private function over(array $at, float $least, float $most): iterable
    {
        $middles = [];
        foreach ($this->transition->mesh->triangles as $i => [$a, $b, $c]) {
            $middles[$i] = [
                ($at[$a][0] + $at[$b][0] + $at[$c][0]) / 3,
                ($at[$a][1] + $at[$b][1] + $at[$c][1]) / 3,
                ($at[$a][2] + $at[$b][2] + $at[$c][2]) / 3,
            ];
        }
        foreach ($this->transition->mesh->triangles as $j => [$a, $b, $c]) {
            [$p, $q, $r] = [$at[$a], $at[$b], $at[$c]];
            [$ux, $uy, $uz] = [$q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]];
            [$vx, $vy, $vz] = [$r[0] - $p[0], $r[1] - $p[1], $r[2] - $p[2]];
            [$nx, $ny, $nz] = [$uy * $vz - $uz * $vy, $uz * $vx - $ux * $vz, $ux * $vy - $uy * $vx];
            $square = $nx * $nx + $ny * $ny + $nz * $nz;
            if ($square < 1e-18) {
                continue;
            }
            $length = sqrt($square);
            foreach ($middles as $i => $m) {
                [$wx, $wy, $wz] = [$m[0] - $p[0], $m[1] - $p[1], $m[2] - $p[2]];
                $off = ($nx * $wx + $ny * $wy + $nz * $wz) / $length;
                if ($i === $j || abs($off) < $least || abs($off) > $most) {
                    continue;
                }
                // how much of the way to q and to r
                $toR = ($nx * ($uy * $wz - $uz * $wy) + $ny * ($uz * $wx - $ux * $wz) + $nz * ($ux * $wy - $uy * $wx))
                    / $square;
                $toQ = ($nx * ($wy * $vz - $wz * $vy) + $ny * ($wz * $vx - $wx * $vz) + $nz * ($wx * $vy - $wy * $vx))
                    / $square;
                if ($toQ > 0.0 && $toR > 0.0 && $toQ + $toR < 1.0) {
                    yield [$i, $j, $off];
                }
            }
        }
    }
}
