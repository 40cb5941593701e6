<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Pattern\CutPattern;
use Cathedra\Core\Folding\Pattern\Division;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;

/**
 * Scissors: cuts the chosen layers along segments of the folded plane, and takes away what was cut off, if that is
 * meant.
 */
final class Cutting
{
    private readonly Division $division;

    /** @var array<int, true> faces of the state whose layer is cut */
    private array $layers = [];

    private function __construct(private readonly FoldedState $state, string $origin)
    {
        $this->division = new Division($state, $origin);
    }

    /**
     * @param  list<Segment>  $cuts  in the folded plane
     * @param  int|null  $layers  how many layers from the top; null: all
     * @param  Point|null  $remove  a place of the folded plane on the piece that comes away; null: nothing does
     *
     * @throws CannotFold when there is nothing to cut, the sheet would fall apart, or the piece to be removed still
     *     hangs on
     */
    public static function apply(
        FoldedState $state,
        array $cuts,
        ?int $layers,
        ?Point $remove,
        string $origin,
    ): FoldedState {
        return (new self($state, $origin))->run($cuts, $layers, $remove);
    }

    /** @param  list<Segment>  $cuts */
    private function run(array $cuts, ?int $layers, ?Point $remove): FoldedState
    {
        $lips = [];
        foreach ($cuts as $segment) {
            $lips += $this->along($segment, $layers);
        }
        if ($lips === []) {
            throw CannotFold::notFound('There is no paper to cut along that line.', ($cuts[0] ?? null)?->a);
        }
        $pattern = CutPattern::parted($this->division->pattern(), array_keys($lips));
        $pieces = FaceGraph::of($pattern)->parts();
        if ($remove === null) {
            if (count($pieces) > 1) {
                throw CannotFold::notFound(
                    'This cut would part the sheet in two. Say which piece comes away (remove: POINT).',
                    $cuts[0]->a,
                );
            }

            return $this->assembled($pattern, array_keys($pattern->faces));
        }
        $gone = $this->pieceAt($pattern, $pieces, $remove);

        return $this->assembled($pattern, array_values(array_diff(array_keys($pattern->faces), $gone)));
    }

    /** @return array<string, true> keys of the edges to be cut */
    private function along(Segment $segment, ?int $layers): array
    {
        $line = $segment->line() ?? throw CannotFold::notFound('A cut has no length.', $segment->a);
        $cut = [];
        foreach (array_keys($this->division->pattern()->faces) as $face) {
            $parent = $this->division->parentOf($face);
            $at = $this->middleOfCut($this->division->polygon($face), $segment);
            if ($at === null || ! $this->reached($parent, $at, $layers)) {
                continue;
            }
            $this->division->split($face, $line);
            $this->layers[$parent] = true;
            $cut += $this->division->marked($face, $segment);
        }
        $edges = $this->division->pattern()->edges;

        return array_filter($cut, static fn (string $key): bool => $edges[$key]->isCrease(), ARRAY_FILTER_USE_KEY);
    }

    /**
     * A place just beside the cut where it runs through the face or along one of its sides; null when it does neither.
     */
    private function middleOfCut(Polygon $polygon, Segment $segment): ?Point
    {
        $tolerance = $this->state->tolerance;
        $span = $polygon->spanInside($segment->a, $segment->b, -$tolerance->meeting);
        if ($span === null || ($span[1] - $span[0]) * $segment->length() < $tolerance->aside) {
            return null;
        }

        return $segment->at(($span[0] + $span[1]) / 2)->toward($polygon->centroid(), 1e-3);
    }

    private function reached(int $face, Point $at, ?int $layers): bool
    {
        return $layers === null || in_array($face, array_slice(Stacks::facesAt($this->state, $at), 0, $layers), true);
    }

    /**
     * @param  list<list<int>>  $pieces
     * @return list<int>
     */
    private function pieceAt(Pattern $pattern, array $pieces, Point $remove): array
    {
        $gone = [];
        foreach ($pieces as $piece) {
            foreach ($piece as $face) {
                $parent = $this->division->parentOf($face);
                $placed = $pattern->polygon($face)->placed($this->state->placements[$parent]);
                if (isset($this->layers[$parent]) && $placed->contains($remove, -$this->state->tolerance->meeting)) {
                    $gone = [...$gone, ...$piece];
                    break;
                }
            }
        }
        if ($gone === [] || count($gone) === $pattern->faceCount()) {
            throw CannotFold::notFound(
                $gone === []
                    ? 'There is no cut layer at the piece to be removed.'
                    : 'The piece to be removed still hangs on the rest; the cut must run from edge to edge.',
                $remove,
            );
        }

        return $gone;
    }

    /** @param  list<int>  $kept */
    private function assembled(Pattern $pattern, array $kept): FoldedState
    {
        $removed = $this->state->removedArea;
        foreach (array_diff(array_keys($pattern->faces), $kept) as $face) {
            $removed += $pattern->polygon($face)->area();
        }
        $parents = array_map($this->division->parentOf(...), $kept);
        $left = CutPattern::only($pattern, $kept);
        if (count(FaceGraph::of($left)->parts()) > 1) {
            throw CannotFold::because('What is left of the sheet would fall into pieces.');
        }

        return $this->state->divided($left, $parents, $removed);
    }
}
