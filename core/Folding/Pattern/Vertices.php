<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Pattern;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Geometry\Tolerance;

/**
 * The two conditions on a flat-folded inside vertex: folded creases round it alternate to angles of 180 degrees in sum
 * (Kawasaki and Justin), and mountains minus valleys is +2 or -2 (Maekawa and Justin). Creases that lie flat do not
 * count.
 */
final readonly class Vertices
{
    /**
     * Radians by which an angle sum may be off: rounding of a few dozen reflections, far below what a hand can fold.
     */
    private const ANGLE = Tolerance::ANGLE;

    /** @throws CannotFold naming the vertex and what is wrong with it */
    public static function check(Pattern $pattern): void
    {
        $at = [];
        $rim = [];
        foreach ($pattern->edges as $edge) {
            foreach ([$edge->a, $edge->b] as $vertex) {
                if ($edge->assignment->isFolded()) {
                    $at[$vertex][] = $edge;
                } elseif ($edge->assignment->isRaw()) {
                    $rim[$vertex] = true;
                }
            }
        }
        foreach (array_diff_key($at, $rim) as $vertex => $edges) {
            self::checkOne($pattern, $vertex, $edges);
        }
    }

    /** @param  list<Edge>  $edges the folded creases that end here */
    private static function checkOne(Pattern $pattern, int $vertex, array $edges): void
    {
        $where = $pattern->vertices[$vertex];
        $name = sprintf('vertex %d at (%.2f, %.2f) mm of the sheet', $vertex, $where->x, $where->y);
        $mountains = count(array_filter($edges, static fn (Edge $e): bool => $e->assignment === Assignment::Mountain));
        $difference = abs(2 * $mountains - count($edges));
        if ($difference !== 2) {
            throw CannotFold::because(
                sprintf(
                    'At %s there are %d mountain and %d valley creases; they must differ by two.',
                    $name,
                    $mountains,
                    count($edges) - $mountains,
                ),
                $where,
            );
        }
        $angles = [];
        foreach ($edges as $edge) {
            $ray = $pattern->vertices[$edge->a === $vertex ? $edge->b : $edge->a]->minus($where);
            $angles[] = atan2($ray->y, $ray->x);
        }
        sort($angles);
        $alternating = 0.0;
        foreach ($angles as $i => $angle) {
            $next = $angles[$i + 1] ?? $angles[0] + 2 * M_PI;
            $alternating += ($i % 2 === 0 ? 1 : -1) * ($next - $angle);
        }
        if (abs($alternating) > self::ANGLE) {
            throw CannotFold::because(
                sprintf(
                    'At %s every second angle must add up to 180 degrees; they add up to %.3f.',
                    $name,
                    rad2deg(M_PI + $alternating / 2),
                ),
                $where,
            );
        }
    }
}
