<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Pattern;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;

/**
 * The faces of a state being divided by lines: every piece keeps its parent, the face of the state it was part of, and
 * so its place and its layer. Used inside one fold and thrown away.
 */
final class Division
{
    /** @var list<int> for each face the face of the state it was part of */
    private array $parent;

    private PatternBuilder $builder;

    public function __construct(public readonly FoldedState $state, public readonly string $origin)
    {
        $this->builder = new PatternBuilder($state->pattern, $state->tolerance);
        $this->parent = range(0, $state->faceCount() - 1);
    }

    /**
     * Divides a face by a line of the folded plane. The face keeps the negative side.
     *
     * @return int|null the new face, on the positive side; null when the line does not cross the inside of the face
     */
    public function split(int $face, Line $line): ?int
    {
        return $this->splitOnSheet($face, $this->placement($face)->inverse()->ofLine($line));
    }

    /** As split(), by a line of the flat sheet. */
    public function splitOnSheet(int $face, Line $line): ?int
    {
        $new = $this->builder->split($face, $line, $this->origin);
        if ($new !== null) {
            $this->parent[] = $this->parent[$face];
        }

        return $new;
    }

    /**
     * The edges of a face that lie on a segment of the folded plane, divided so that the segment ends at vertices.
     *
     * @return array<string, true> edge keys
     */
    public function marked(int $face, Segment $segment): array
    {
        return $this->builder->marked($face, $segment->placed($this->placement($face)->inverse()), $this->origin);
    }

    public function pattern(): Pattern
    {
        return $this->builder->build();
    }

    public function parentOf(int $face): int
    {
        return $this->parent[$face];
    }

    /** @return list<int> by face */
    public function parents(): array
    {
        return $this->parent;
    }

    /** Where the face lies before the fold. */
    public function placement(int $face): Isometry
    {
        return $this->state->placements[$this->parent[$face]];
    }

    /** A face in the folded plane, as it lies before the fold. */
    public function polygon(int $face): Polygon
    {
        return $this->builder->polygon($face)->placed($this->placement($face));
    }

    /** Both ends of an edge in the folded plane, before the fold. */
    public function ends(Edge $edge): Segment
    {
        $place = $this->placement($edge->faces[0]);
        $at = fn (int $vertex): Point => $place->of($this->builder->vertex($vertex));

        return new Segment($at($edge->a), $at($edge->b));
    }

    /** Whether $i lies above $j before the fold; null when they do not overlap or are of one piece. */
    public function above(int $i, int $j): ?bool
    {
        return $this->state->order->above($this->parent[$i], $this->parent[$j]);
    }
}
