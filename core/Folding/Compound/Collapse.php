<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\Refold;
use Cathedra\Core\Folding\Order\Restack;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Pattern\Division;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * The raw form of every compound fold: creases are listed with mountain, valley or flat as the folder sees them now,
 * the whole pattern is folded anew, and the layer order is found. A collapse along guide creases is written this way.
 */
final readonly class Collapse
{
    /**
     * @param  list<array{Segment, Assignment}>  $creases  on the sheet, mountain and valley as seen by the folder;
     *     where there is no crease yet one is made
     * @param  Point|null  $stays  a point of the sheet whose face stays where it is; null: the largest face
     * @param  bool  $onTop  what moves is wanted above what stays (else under it), where the creases leave a choice
     *
     * @throws CannotFold when a segment is off the paper, a loop does not close or no order of layers exists
     */
    public static function apply(
        FoldedState $state,
        array $creases,
        ?Point $stays,
        bool $onTop,
        string $origin,
    ): FoldedState {
        [$pattern, $parent] = self::divided($state, $creases, $origin);
        $edges = $pattern->edges;
        foreach ($creases as [$segment, $wanted]) {
            $found = self::along($pattern, $segment, $state->tolerance->sight);
            if ($found === []) {
                throw CannotFold::notFound('There is no paper along one of the creases listed.', $segment->a);
            }
            foreach ($found as $edge) {
                $key = Edge::key($edge->a, $edge->b);
                $seen = $state->frontUp[$parent[$edge->faces[0]]] ? $wanted : $wanted->turned();
                $edges[$key] = $edges[$key]->assigned($seen);
            }
        }
        foreach ($edges as $key => $edge) {
            // creases that the sheet's division needed, but nobody listed
            if ($edge->origin === $origin && ! $edge->assignment->isFolded()) {
                $edges[$key] = $edge->madeBy(Edge::JOIN);
            } elseif ($edge->origin === Edge::JOIN && $edge->assignment->isFolded()) {
                $edges[$key] = $edge->madeBy($origin);
            }
        }
        $pattern = new Pattern($pattern->vertices, $pattern->faces, $edges);
        $base = self::base($pattern, $stays, $state->tolerance->length);
        $placements = Refold::placements($pattern, $base, $state->placements[$parent[$base]], $state);
        $moved = [];
        foreach ($placements as $face => $placement) {
            $moved[$face] = ! $placement->equals(
                $state->placements[$parent[$face]],
                $state->tolerance,
                $state->sheet->diagonal(),
            );
            $holds = $stays !== null && $pattern->polygon($face)->contains($stays, -$state->tolerance->meeting);
            if ($holds && $moved[$face]) {
                throw CannotFold::because(
                    'The point that stays lies on a crease that is folded here, so it does not say which side stays; '
                        .'name a point beside it.',
                    $state->positionOf($stays),
                );
            }
        }
        $old = static fn (int $i, int $j): ?bool => $state->order->above($parent[$i], $parent[$j]);
        $pin = static fn (int $i, int $j): ?bool => $moved[$i] || $moved[$j] ? null : $old($i, $j);
        $wish = static fn (int $i, int $j): ?bool => $moved[$i] === $moved[$j] ? $old($i, $j) : $moved[$i] === $onTop;

        return Restack::apply(
            state: $state,
            pattern: $pattern,
            placements: $placements,
            open: [],
            pin: $pin,
            wish: $wish,
        );
    }

    /**
     * @param  list<array{Segment, Assignment}>  $creases
     * @return array{Pattern, list<int>} and for each face the face it was part of
     */
    private static function divided(FoldedState $state, array $creases, string $origin): array
    {
        $division = new Division($state, $origin);
        $tolerance = $state->tolerance;
        foreach ($creases as [$segment]) {
            $line = $segment->line() ?? throw CannotFold::because('A crease to be folded has no length.', $segment->a);
            $pattern = $division->pattern();
            foreach (array_keys($pattern->faces) as $face) {
                $span = $pattern->polygon($face)->spanInside($segment->a, $segment->b, $tolerance->meeting);
                if ($span !== null && ($span[1] - $span[0]) * $segment->length() >= $tolerance->sight) {
                    $division->splitOnSheet($face, $line);
                }
            }
        }

        return [$division->pattern(), $division->parents()];
    }

    /** @return list<Edge> creases that lie on the segment */
    private static function along(Pattern $pattern, Segment $segment, float $margin): array
    {
        return array_values(
            array_filter(
                $pattern->creases(),
                static fn (Edge $edge): bool => $pattern->segment($edge)->isPartOf($segment, $margin),
            ),
        );
    }

    private static function base(Pattern $pattern, ?Point $stays, float $margin): int
    {
        if ($stays !== null) {
            return $pattern->faceAt($stays, $margin)
                ?? throw CannotFold::notFound('The point that stays was cut away.');
        }
        $best = 0;
        foreach (array_keys($pattern->faces) as $face) {
            if ($pattern->polygon($face)->area() > $pattern->polygon($best)->area() * (1 + 1e-9)) {
                $best = $face;
            }
        }

        return $best;
    }
}
