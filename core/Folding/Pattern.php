<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;

/**
 * The crease pattern: how the sheet is divided into convex faces. Positions are on the flat sheet in mm, seen from its
 * front. Faces are counterclockwise lists of vertices; every vertex on a side of a face is in its list, so two faces
 * that touch share whole edges.
 */
final readonly class Pattern
{
    /**
     * @param  list<Point>  $vertices
     * @param  list<list<int>>  $faces
     * @param  array<string, Edge>  $edges  by Edge::key
     */
    public function __construct(public array $vertices, public array $faces, public array $edges)
    {
    }

    public static function blank(Sheet $sheet): self
    {
        $edges = [];
        foreach ([[0, 1], [1, 2], [2, 3], [0, 3]] as [$a, $b]) {
            $edges[Edge::key($a, $b)] = new Edge($a, $b, [0], Assignment::Boundary);
        }

        return new self($sheet->polygon()->points, [[0, 1, 2, 3]], $edges);
    }

    public function faceCount(): int
    {
        return count($this->faces);
    }

    public function polygon(int $face): Polygon
    {
        return Polygon::of(array_map(fn (int $v): Point => $this->vertices[$v], $this->faces[$face]));
    }

    /** @return list<Edge> the edges round a face, in its own order */
    public function around(int $face): array
    {
        $loop = $this->faces[$face];
        $edges = [];
        foreach ($loop as $i => $v) {
            $edges[] = $this->edges[Edge::key($v, $loop[($i + 1) % count($loop)])];
        }

        return $edges;
    }

    /** An edge on the flat sheet. */
    public function segment(Edge $edge): Segment
    {
        return new Segment($this->vertices[$edge->a], $this->vertices[$edge->b]);
    }

    /** @return list<Edge> edges with a face on both sides */
    public function creases(): array
    {
        return array_values(array_filter($this->edges, static fn (Edge $e): bool => $e->isCrease()));
    }

    /**
     * The face that holds this point of the sheet in its inside or, failing that, on its rim; null when it is off the
     * sheet.
     */
    public function faceAt(Point $onSheet, float $margin): ?int
    {
        foreach ([$margin, -$margin] as $m) {
            foreach (array_keys($this->faces) as $face) {
                if ($this->polygon($face)->contains($onSheet, $m)) {
                    return $face;
                }
            }
        }

        return null;
    }

    /** The edge on which a point of the sheet lies, within $margin mm; null when there is none. */
    public function edgeAt(Point $onSheet, float $margin): ?Edge
    {
        foreach ($this->edges as $edge) {
            $p = $this->vertices[$edge->a];
            $q = $this->vertices[$edge->b];
            // in plain numbers first: asked for every edge of every state, and nearly none is near
            if (
                $onSheet->x >= min($p->x, $q->x) - $margin &&
                $onSheet->x <= max($p->x, $q->x) + $margin &&
                $onSheet->y >= min($p->y, $q->y) - $margin &&
                $onSheet->y <= max($p->y, $q->y) + $margin &&
                (new Segment($p, $q))->passes($onSheet, $margin)
            ) {
                return $edge;
            }
        }

        return null;
    }
}
