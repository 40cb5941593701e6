<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Geometry\Point;

/** The example document of a bird base, and its crease patterns as the engine holds them. */
final class FoldFixture
{
    /** @return list<array<string, mixed>> */
    public static function frames(): array
    {
        $document = json_decode((string) file_get_contents(dirname(__DIR__).'/fixtures/bird-base.fold'), true);

        return $document['file_frames'];
    }

    /** @param  array<string, mixed>  $frame */
    public static function pattern(array $frame): Pattern
    {
        $edges = [];
        foreach ($frame['edges_vertices'] as $i => [$a, $b]) {
            $faces = array_values(array_filter($frame['edges_faces'][$i], is_int(...)));
            $edges[Edge::key($a, $b)] = new Edge(
                min($a, $b),
                max($a, $b),
                $faces,
                Assignment::from($frame['edges_assignment'][$i]),
            );
        }

        return new Pattern(
            array_values(
                array_map(static fn (array $p): Point => new Point($p[0], $p[1]), $frame['cathedra:vertices_sheet']),
            ),
            $frame['faces_vertices'],
            $edges,
        );
    }
}
