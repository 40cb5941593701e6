<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;

/**
 * Scissors: cuts the chosen layers along segments of the folded plane, and takes away what was cut off, if that is
 * meant.
 */
final class Cutting
{
    private PatternBuilder $builder;

    private Pattern $pattern;

    /** @var array<int, int> for each face the face it was part of */
    private array $parent;

    /** @var array<int, true> faces of the state whose layer is cut */
    private array $layers = [];

    private function __construct(private readonly FoldedState $state, private readonly string $origin)
    {
        $this->pattern = $state->pattern;
        $this->builder = new PatternBuilder($state->pattern, $state->tolerance);
        $this->parent = range(0, $state->faceCount() - 1);
    }

    /**
     * @param  list<array{Point, Point}>  $cuts  segments of the folded plane
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

    /** @param  list<array{Point, Point}>  $cuts */
    private function run(array $cuts, ?int $layers, ?Point $remove): FoldedState
    {
        $lips = [];
        foreach ($cuts as [$a, $b]) {
            $lips += $this->along($a, $b, $layers);
        }
        if ($lips === []) {
            throw CannotFold::because('There is no paper to cut along that line.', $cuts[0][0] ?? null);
        }
        $pattern = CutPattern::parted($this->builder->build(), array_keys($lips));
        $pieces = CutPattern::pieces($pattern);
        if ($remove === null) {
            if (count($pieces) > 1) {
                throw CannotFold::because(
                    'This cut would part the sheet in two. Say which piece comes away (remove: POINT).',
                    $cuts[0][0],
                );
            }

            return $this->assembled($pattern, array_keys($pattern->faces));
        }
        $gone = $this->pieceAt($pattern, $pieces, $remove);

        return $this->assembled($pattern, array_values(array_diff(array_keys($pattern->faces), $gone)));
    }

    /** @return array<string, true> keys of the edges to be cut */
    private function along(Point $a, Point $b, ?int $layers): array
    {
        $line = Line::through($a, $b) ?? throw CannotFold::because('A cut has no length.', $a);
        $margin = 10 * $this->state->tolerance->length;
        $cut = [];
        foreach (array_keys($this->pattern->faces) as $face) {
            $place = $this->state->placements[$this->parent[$face]];
            $polygon = $this->pattern->polygon($face)->placed($place);
            $at = $this->middleOfCut($polygon, $a, $b, $margin);
            if ($at === null || ! $this->reached($this->parent[$face], $at, $layers)) {
                continue;
            }
            $new = $this->builder->split($face, $place->inverse()->ofLine($line), $this->origin);
            if ($new !== null) {
                $this->parent[$new] = $this->parent[$face];
            }
            $this->layers[$this->parent[$face]] = true;
            $cut += $this->builder->marked(
                $face,
                [$place->inverse()->of($a), $place->inverse()->of($b)],
                $this->origin,
            );
        }
        foreach (array_keys($cut) as $key) {
            if ($this->builder->isRaw($key)) {
                unset($cut[$key]);
            }
        }
        $this->pattern = $this->builder->build();

        return $cut;
    }

    /**
     * A place just beside the cut where it runs through the face or along one of its sides; null when it does neither.
     */
    private function middleOfCut(Polygon $polygon, Point $a, Point $b, float $margin): ?Point
    {
        $length = $a->distanceTo($b);
        $span = $polygon->spanInside($a, $b, -$margin);
        if ($span === null || ($span[1] - $span[0]) * $length < 100 * $margin) {
            return null;
        }

        return $a->toward($b, ($span[0] + $span[1]) / 2)->toward($polygon->centroid(), 1e-3);
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
                $parent = $this->parent[$face];
                if (
                    isset($this->layers[$parent]) &&
                    $pattern
                        ->polygon($face)
                        ->placed($this->state->placements[$parent])
                        ->contains($remove, -10 * $this->state->tolerance->length)
                ) {
                    $gone = [...$gone, ...$piece];
                    break;
                }
            }
        }
        if ($gone === [] || count($gone) === $pattern->faceCount()) {
            throw CannotFold::because(
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
        $parents = array_map(fn (int $face): int => $this->parent[$face], $kept);
        $left = CutPattern::only($pattern, $kept);
        if (count(CutPattern::pieces($left)) > 1) {
            throw CannotFold::because('What is left of the sheet would fall into pieces.');
        }

        return SimpleFold::inherit(
            $this->state,
            $left,
            array_map(fn (int $p) => $this->state->placements[$p], $parents),
            $parents,
            $removed,
        );
    }
}
