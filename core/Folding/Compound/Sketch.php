<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\Restack;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Pattern\Division;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;

/**
 * A compound fold being drawn up: faces are divided, groups of them are given a motion, and finish() finds the order.
 * Where a crease bends follows from the motions; whether the motions fit is checked like everything else.
 */
final class Sketch
{
    private readonly Division $division;

    private Pattern $pattern;

    /** @var array<int, Isometry> by face, in the folded plane */
    private array $motion = [];

    public function __construct(public readonly FoldedState $state, private readonly string $origin)
    {
        $this->pattern = $state->pattern;
        $this->division = new Division($state, $origin);
    }

    /** A face in the folded plane, as it lies before the fold. */
    public function polygon(int $face): Polygon
    {
        return $this->division->polygon($face);
    }

    /** Whether $i lies above $j before the fold; null when they do not overlap or are of one piece. */
    public function above(int $i, int $j): ?bool
    {
        return $this->division->above($i, $j);
    }

    /** @return list<int> */
    public function faces(): array
    {
        return array_keys($this->pattern->faces);
    }

    public function parentOf(int $face): int
    {
        return $this->division->parentOf($face);
    }

    public function hasMoved(int $face): bool
    {
        return isset($this->motion[$face]);
    }

    /**
     * The uppermost face at a point, inside or on its rim, before anything was divided; null when there is no paper.
     */
    public function topFaceAt(Point $p): ?int
    {
        $here = array_filter(
            array_keys($this->state->polygons),
            fn (int $f): bool => $this->state->polygons[$f]->contains($p, -$this->state->tolerance->length),
        );
        foreach ($here as $face) {
            if (
                array_filter($here, fn (int $other): bool => $this->state->order->above($other, $face) === true) === []
            ) {
                return $face;
            }
        }

        return null;
    }

    /**
     * Divides faces by a line of the folded plane.
     *
     * @param  list<int>  $faces
     * @return array{list<int>, list<int>} the faces on its positive side and those on the other
     */
    public function split(array $faces, Line $line): array
    {
        $beyond = [];
        $rest = [];
        foreach ($faces as $face) {
            $new = $this->division->split($face, $line);
            if ($new !== null) {
                $beyond[] = $new;
                $rest[] = $face;
            } elseif ($line->distanceTo($this->polygon($face)->centroid()) > 0) {
                $beyond[] = $face;
            } else {
                $rest[] = $face;
            }
        }
        $this->pattern = $this->division->pattern();

        return [$beyond, $rest];
    }

    /**
     * The faces of one layer: reached from $start over flat creases that lie, at least in part, beyond the lines.
     *
     * @param  list<Line>  $beyond  positive sides count
     * @return list<int>
     */
    public function layer(int $start, array $beyond): array
    {
        $open = function (Edge $edge) use ($beyond): bool {
            $ends = $this->division->ends($edge);
            $reaches = fn (Line $line): bool => $ends->reachesBeyond($line, $this->state->tolerance->length);

            return $edge->assignment === Assignment::Flat && array_filter($beyond, $reaches) === $beyond;
        };

        return FaceGraph::of($this->pattern, $open)->reach($start);
    }

    /**
     * Folded edges between a group and the paper round it.
     *
     * @param  list<int>  $faces
     * @return list<array{inner: int, outer: int, at: Segment}> at: in the folded plane, before the fold
     */
    public function bentEdgesOf(array $faces): array
    {
        $found = [];
        foreach ($faces as $face) {
            foreach ($this->pattern->around($face) as $edge) {
                $other = $edge->other($face);
                if ($other !== null && $edge->assignment->isFolded() && ! in_array($other, $faces, true)) {
                    $found[] = ['inner' => $face, 'outer' => $other, 'at' => $this->division->ends($edge)];
                }
            }
        }

        return $found;
    }

    /**
     * The two halves of a flap: the layers over the middle of each face, counted; the upper half of them is the front.
     *
     * @param  list<int>  $faces
     * @return array<int, bool> whether a face belongs to the half nearer the folder
     *
     * @throws CannotFold when they cannot be halved
     */
    public function halves(array $faces): array
    {
        $isFront = [];
        foreach ($faces as $face) {
            $here = $this->polygon($face)->centroid();
            $stack = array_filter($faces, fn (int $f): bool => $this->polygon($f)->contains($here));
            $over = array_filter($stack, fn (int $f): bool => $f !== $face && $this->above($f, $face) === true);
            if (count($stack) % 2 !== 0) {
                throw CannotFold::because(
                    sprintf(
                        'This needs a flap of two like halves; here lie %d layers, which cannot be halved.',
                        count($stack),
                    ),
                    $here,
                );
            }
            $isFront[$face] = count($over) < count($stack) / 2;
        }

        return $isFront;
    }

    /** @param  list<int>  $faces */
    public function move(array $faces, Isometry $by): void
    {
        foreach ($faces as $face) {
            $this->motion[$face] = $by;
        }
    }

    /**
     * @param  callable(int, int): ?bool  $pin  for pairs of which at least one face moved
     * @param  callable(int, int): ?bool  $wish  the same
     */
    public function finish(callable $pin, callable $wish): FoldedState
    {
        $placements = array_map(
            fn (int $f): Isometry => isset($this->motion[$f])
                ? $this->division->placement($f)->then($this->motion[$f])
                : $this->division->placement($f),
            array_keys($this->pattern->faces),
        );
        $open = $this->bend($placements);
        $still = fn (int $i, int $j): bool => ! isset($this->motion[$i]) && ! isset($this->motion[$j]);

        return Restack::apply(
            state: $this->state,
            pattern: $this->pattern,
            placements: $placements,
            open: $open,
            pin: fn (int $i, int $j): ?bool => $still($i, $j) ? $this->above($i, $j) : $pin($i, $j),
            wish: fn (int $i, int $j): ?bool => $still($i, $j) ? null : $wish($i, $j),
        );
    }

    /**
     * Marks every crease between a moved face and another as folded or flat, whichever the motions say.
     *
     * @param  list<Isometry>  $placements
     * @return array<string, true> the folded ones
     */
    private function bend(array $placements): array
    {
        $open = [];
        $edges = $this->pattern->edges;
        $had = array_fill_keys(array_keys($this->state->pattern->edges), true);
        foreach ($edges as $key => $edge) {
            if (! $edge->isCrease()) {
                continue;
            }
            [$f, $g] = $edge->faces;
            if (isset($this->motion[$f]) || isset($this->motion[$g])) {
                $bent = $placements[$f]->keepsOrientation() !== $placements[$g]->keepsOrientation();
                $edge = $edge->assigned($bent ? Assignment::Valley : Assignment::Flat);
                if ($bent) {
                    $open[$key] = true;
                }
            }
            if ($edge->origin === $this->origin && ! $edge->assignment->isFolded() && ! isset($had[$key])) {
                $edge = $edge->madeBy(Edge::JOIN);
            } elseif ($edge->origin === Edge::JOIN && $edge->assignment->isFolded()) {
                $edge = $edge->madeBy($this->origin);
            }
            $edges[$key] = $edge;
        }
        $this->pattern = new Pattern($this->pattern->vertices, $this->pattern->faces, $edges);

        return $open;
    }
}
