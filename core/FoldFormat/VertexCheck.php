<?php

declare(strict_types=1);

namespace Cathedra\Core\FoldFormat;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Geometry\Point;

/**
 * What must hold round every inner vertex for the paper to lie flat: an even number of creases, alternate angles that
 * add up to 180 degrees (Kawasaki), and two mountains more than valleys or two fewer (Maekawa).
 */
final readonly class VertexCheck
{
    /** Degrees; patterns written by hand are often rounded to four figures. */
    private const ANGLE = 0.01;

    /** @throws BadFold naming the first vertex that cannot lie flat */
    public static function all(Pattern $pattern): void
    {
        $rim = [];
        $creases = [];
        foreach ($pattern->edges as $edge) {
            foreach ([[$edge->a, $edge->b], [$edge->b, $edge->a]] as [$v, $to]) {
                if (! $edge->isCrease()) {
                    $rim[$v] = true;
                } elseif ($edge->assignment->isFolded()) {
                    $creases[$v][] = [$edge, $pattern->vertices[$to]->minus($pattern->vertices[$v])];
                }
            }
        }
        foreach ($creases as $v => $round) {
            if (! isset($rim[$v])) {
                self::one($v, $round);
            }
        }
    }

    /** @param  non-empty-list<array{Edge, Point}>  $round */
    private static function one(int $v, array $round): void
    {
        $n = count($round);
        if ($n % 2 === 1) {
            throw new BadFold("Vertex $v: $n creases meet here; only an even number can lie flat.");
        }
        $mountains = count(
            array_filter($round, static fn (array $c): bool => $c[0]->assignment === Assignment::Mountain),
        );
        if (abs(2 * $mountains - $n) !== 2) {
            throw new BadFold(
                sprintf(
                    'Vertex %d: %d mountains and %d valleys meet here; to lie flat they must differ by two.',
                    $v,
                    $mountains,
                    $n - $mountains,
                ),
            );
        }
        $angles = array_map(static fn (array $c): float => atan2($c[1]->y, $c[1]->x), $round);
        sort($angles);
        $sum = 0.0;
        foreach ($angles as $i => $angle) {
            $next = $angles[($i + 1) % $n] + ($i === $n - 1 ? 2 * M_PI : 0.0);
            $sum += $i % 2 === 0 ? rad2deg($next - $angle) : 0.0;
        }
        if (abs($sum - 180) > self::ANGLE) {
            throw new BadFold(
                sprintf('Vertex %d: every other angle adds up to %.2f degrees; to lie flat it must be 180.', $v, $sum),
            );
        }
    }
}
