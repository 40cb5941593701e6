<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Pattern;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Geometry\Tolerance;

/** Divides the faces of a pattern by lines. Used inside one fold and thrown away; nothing outside sees it half done. */
final class PatternBuilder
{
    /** @var list<Point> */
    private array $vertices;

    /** @var list<list<int>> */
    private array $faces;

    /** @var array<string, Edge> */
    private array $edges;

    public function __construct(Pattern $pattern, private readonly Tolerance $tolerance)
    {
        $this->vertices = $pattern->vertices;
        $this->faces = $pattern->faces;
        $this->edges = $pattern->edges;
    }

    public function build(): Pattern
    {
        return new Pattern($this->vertices, $this->faces, $this->edges);
    }

    /**
     * Divides a face by a line given on the sheet. The face keeps the negative side; the new face is the positive side.
     *
     * @return int|null the new face; null when the line does not cross the inside of the face
     */
    public function split(int $face, Line $line, string $origin): ?int
    {
        if (! $this->crosses($face, $line)) {
            return null;
        }
        $this->addCrossings($face, $line);
        $on = [];
        foreach ($this->faces[$face] as $i => $v) {
            if ($this->tolerance->isZero($line->distanceTo($this->vertices[$v]))) {
                $on[] = $i;
            }
        }
        if (count($on) !== 2) {
            throw new \LogicException(
                'A convex face is crossed by a line in exactly two places, here in '.count($on).'.',
            );
        }

        return $this->divide(face: $face, i: $on[0], j: $on[1], line: $line, origin: $origin);
    }

    public function assign(string $edgeKey, Assignment $assignment): void
    {
        $this->edges[$edgeKey] = $this->edges[$edgeKey]->assigned($assignment);
    }

    /**
     * The edges of a face that lie on a segment of the sheet, divided so that the segment ends at vertices; what the
     * line of the segment needs beyond its ends is only a join.
     *
     * @return array<string, true> edge keys
     */
    public function marked(int $face, Segment $segment, string $origin): array
    {
        $line = $segment->line() ?? throw new \LogicException('A segment to be marked has length.');
        $share = fn (int $v): float => $segment->shareOf($this->vertices[$v]);
        $on = fn (int $v): bool => abs($line->distanceTo($this->vertices[$v])) < $this->tolerance->meeting;
        foreach ([[0.0, $segment->a], [1.0, $segment->b]] as [$end, $point]) {
            foreach ($this->sides($face) as [$a, $b]) {
                $margin = $this->tolerance->meeting / $segment->length();
                if (
                    $on($a) &&
                    $on($b) &&
                    min($share($a), $share($b)) < $end - $margin &&
                    max($share($a), $share($b)) > $end + $margin
                ) {
                    $this->insert($a, $b, $point);
                    break;
                }
            }
        }
        $marked = [];
        foreach ($this->sides($face) as [$a, $b]) {
            if (! $on($a) || ! $on($b)) {
                continue;
            }
            $key = Edge::key($a, $b);
            $middle = ($share($a) + $share($b)) / 2;
            if ($middle > 0 && $middle < 1) {
                $marked[$key] = true;
            } elseif ($this->edges[$key]->origin === $origin && ! $this->edges[$key]->assignment->isFolded()) {
                $this->edges[$key] = $this->edges[$key]->madeBy(Edge::JOIN);
            }
        }

        return $marked;
    }

    public function vertex(int $vertex): Point
    {
        return $this->vertices[$vertex];
    }

    /** A face on the flat sheet, as it is divided so far. */
    public function polygon(int $face): Polygon
    {
        return Polygon::of(array_map(fn (int $v): Point => $this->vertices[$v], $this->faces[$face]));
    }

    /** @return list<array{int, int}> */
    private function sides(int $face): array
    {
        $loop = $this->faces[$face];

        return array_map(static fn (int $i): array => [$loop[$i], $loop[($i + 1) % count($loop)]], array_keys($loop));
    }

    private function crosses(int $face, Line $line): bool
    {
        $distances = array_map(fn (int $v): float => $line->distanceTo($this->vertices[$v]), $this->faces[$face]);

        return min([0.0, ...$distances]) < -$this->tolerance->length &&
            max([0.0, ...$distances]) > $this->tolerance->length;
    }

    private function addCrossings(int $face, Line $line): void
    {
        $loop = $this->faces[$face];
        foreach ($loop as $i => $a) {
            $b = $loop[($i + 1) % count($loop)];
            $da = $line->distanceTo($this->vertices[$a]);
            $db = $line->distanceTo($this->vertices[$b]);
            if (min($da, $db) < -$this->tolerance->length && max($da, $db) > $this->tolerance->length) {
                $this->insert($a, $b, $this->vertices[$a]->toward($this->vertices[$b], $da / ($da - $db)));
            }
        }
    }

    /** Puts a vertex on an edge and into the lists of all faces beside it. */
    private function insert(int $a, int $b, Point $at): void
    {
        $edge = $this->edges[Edge::key($a, $b)];
        $new = count($this->vertices);
        $this->vertices[] = $at;
        unset($this->edges[Edge::key($a, $b)]);
        foreach ([$a, $b] as $end) {
            $this->edges[Edge::key($end, $new)] = new Edge(
                a: min($end, $new),
                b: max($end, $new),
                faces: $edge->faces,
                assignment: $edge->assignment,
                origin: $edge->origin,
            );
        }
        foreach ($edge->faces as $face) {
            $loop = $this->faces[$face];
            $n = count($loop);
            foreach ($loop as $i => $v) {
                $w = $loop[($i + 1) % $n];
                if (($v === $a && $w === $b) || ($v === $b && $w === $a)) {
                    array_splice($loop, $i + 1, 0, [$new]);
                    break;
                }
            }
            $this->faces[$face] = $loop;
        }
    }

    private function divide(int $face, int $i, int $j, Line $line, string $origin): int
    {
        $loop = $this->faces[$face];
        $inner = array_slice($loop, $i, $j - $i + 1);
        $outer = [...array_slice($loop, $j), ...array_slice($loop, 0, $i + 1)];
        $innerIsPositive = $line->distanceTo($this->vertices[$inner[1]]) > 0;
        $new = count($this->faces);
        $this->faces[$face] = $innerIsPositive ? $outer : $inner;
        $this->faces[$new] = $innerIsPositive ? $inner : $outer;
        $this->faces = array_values($this->faces);
        $this->handOver($this->faces[$new], $face, $new, [$loop[$i], $loop[$j]]);
        $key = Edge::key($loop[$i], $loop[$j]);
        $this->edges[$key] = new Edge(
            a: min($loop[$i], $loop[$j]),
            b: max($loop[$i], $loop[$j]),
            faces: [$face, $new],
            assignment: Assignment::Flat,
            origin: $origin,
        );

        return $new;
    }

    /**
     * @param  list<int>  $loop
     * @param  array{int, int}  $cut
     */
    private function handOver(array $loop, int $from, int $to, array $cut): void
    {
        foreach ($loop as $i => $v) {
            $w = $loop[($i + 1) % count($loop)];
            $key = Edge::key($v, $w);
            if ($key === Edge::key(...$cut)) {
                continue;
            }
            $edge = $this->edges[$key];
            $faces = array_map(static fn (int $f): int => $f === $from ? $to : $f, $edge->faces);
            $this->edges[$key] = new Edge(
                a: $edge->a,
                b: $edge->b,
                faces: $faces,
                assignment: $edge->assignment,
                origin: $edge->origin,
            );
        }
    }
}
