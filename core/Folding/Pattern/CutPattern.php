<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Pattern;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Geometry\Point;

/** What scissors do to a crease pattern: edges part into two lips, faces go. */
final readonly class CutPattern
{
    /**
     * Parts the pattern along edges. A vertex on the cut is doubled where the faces round it no longer hang together.
     *
     * @param  list<string>  $cut  edge keys; each must end, at one side at least, on the rim or on another cut
     */
    public static function parted(Pattern $pattern, array $cut): Pattern
    {
        $isCut = array_fill_keys($cut, true);
        $vertices = $pattern->vertices;
        $faces = $pattern->faces;
        foreach (array_keys($pattern->vertices) as $vertex) {
            foreach (array_slice(self::fans($pattern, $vertex, $isCut), 1) as $fan) {
                $copy = count($vertices);
                $vertices[] = $pattern->vertices[$vertex];
                foreach ($fan as $face) {
                    $faces[$face] = array_map(static fn (int $v): int => $v === $vertex ? $copy : $v, $faces[$face]);
                }
            }
        }

        return self::rebuilt(
            pattern: $pattern,
            vertices: $vertices,
            faces: array_values($faces),
            former: array_keys($pattern->faces),
            isCut: $isCut,
        );
    }

    /**
     * The pattern without the other faces; edges that lose a face become lips.
     *
     * @param  list<int>  $kept
     */
    public static function only(Pattern $pattern, array $kept): Pattern
    {
        $number = [];
        $vertices = [];
        $faces = [];
        foreach ($kept as $face) {
            $loop = [];
            foreach ($pattern->faces[$face] as $v) {
                if (! isset($number[$v])) {
                    $number[$v] = count($vertices);
                    $vertices[] = $pattern->vertices[$v];
                }
                $loop[] = $number[$v];
            }
            $faces[] = $loop;
        }

        return self::rebuilt(pattern: $pattern, vertices: $vertices, faces: $faces, former: $kept, isCut: []);
    }

    /**
     * The faces round a vertex, in groups joined over edges that are not cut.
     *
     * @param  array<string, true>  $isCut
     * @return list<list<int>>
     */
    private static function fans(Pattern $pattern, int $vertex, array $isCut): array
    {
        $round = array_keys(array_filter($pattern->faces, static fn (array $l): bool => in_array($vertex, $l, true)));
        $whole = static fn (Edge $edge): bool => ($edge->a === $vertex || $edge->b === $vertex) &&
            ! isset($isCut[Edge::key($edge->a, $edge->b)]);
        foreach ($round as $face) {
            foreach ($pattern->around($face) as $edge) {
                if (($edge->a === $vertex || $edge->b === $vertex) && isset($isCut[Edge::key($edge->a, $edge->b)])) {
                    return FaceGraph::of($pattern, $whole, $round)->parts();
                }
            }
        }

        return [$round];
    }

    /**
     * @param  list<Point>  $vertices
     * @param  list<list<int>>  $faces
     * @param  list<int>  $former  for each face its number in $pattern
     * @param  array<string, true>  $isCut
     */
    private static function rebuilt(
        Pattern $pattern,
        array $vertices,
        array $faces,
        array $former,
        array $isCut,
    ): Pattern {
        $edges = [];
        foreach ($faces as $face => $loop) {
            $old = $pattern->faces[$former[$face]];
            foreach ($loop as $i => $v) {
                $next = ($i + 1) % count($loop);
                $was = $pattern->edges[Edge::key($old[$i], $old[$next])];
                $key = Edge::key($v, $loop[$next]);
                if (isset($edges[$key])) {
                    $edges[$key] = new Edge(
                        a: $edges[$key]->a,
                        b: $edges[$key]->b,
                        faces: [...$edges[$key]->faces, $face],
                        assignment: $was->assignment,
                        origin: $was->origin,
                    );

                    continue;
                }
                $edges[$key] = new Edge(
                    a: min($v, $loop[$next]),
                    b: max($v, $loop[$next]),
                    faces: [$face],
                    assignment: isset($isCut[Edge::key($was->a, $was->b)]) ? Assignment::Cut : $was->assignment,
                    origin: $was->origin,
                );
            }
        }
        foreach ($edges as $key => $edge) {
            if (! $edge->isCrease() && ! $edge->assignment->isRaw()) {
                $edges[$key] = $edge->assigned(Assignment::Cut);
            }
        }

        return new Pattern($vertices, $faces, $edges);
    }
}
