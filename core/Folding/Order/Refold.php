<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Geometry\Isometry;

/**
 * The general method: a crease pattern with new assignments is folded anew by reflections from a face that stays, every
 * loop must close, and the layer order is found by OrderSolver. Compound folds and unfolding are sugar over this.
 */
final readonly class Refold
{
    /**
     * @param  Pattern  $pattern  the state's pattern, perhaps divided further, with the assignments wanted
     * @param  int  $base  the face of $pattern that stays where it is
     * @param  Isometry  $basePlacement  where it is
     * @param  callable(int, int): ?bool  $wish  whether the first face is wanted above the second; null: no matter
     *
     * @throws CannotFold when a loop does not close or no order of layers exists
     */
    public static function apply(
        FoldedState $state,
        Pattern $pattern,
        int $base,
        Isometry $basePlacement,
        callable $wish,
    ): FoldedState {
        $placements = self::placements($pattern, $base, $basePlacement, $state);

        return Restack::apply(
            state: $state,
            pattern: $pattern,
            placements: $placements,
            open: [],
            pin: static fn (): ?bool => null,
            wish: $wish,
        );
    }

    /**
     * Where every face comes to lie when the creases of $pattern are folded as they are assigned.
     *
     * @return list<Isometry>
     *
     * @throws CannotFold when a loop does not close
     */
    public static function placements(Pattern $pattern, int $base, Isometry $basePlacement, FoldedState $state): array
    {
        $placed = [$base => $basePlacement];
        foreach (FaceGraph::of($pattern)->walk($base) as [$face, $edge, $next]) {
            $line = $edge->assignment->isFolded() ? $pattern->segment($edge)->placed($placed[$face])->line() : null;
            $placed[$next] = $line === null ? $placed[$face] : $placed[$face]->then(Isometry::reflection($line));
        }
        if (count($placed) !== $pattern->faceCount()) {
            throw CannotFold::because('The sheet has fallen into pieces; fold each piece by itself.');
        }
        foreach ($pattern->creases() as $edge) {
            [$f, $g] = $edge->faces;
            foreach ([$edge->a, $edge->b] as $v) {
                $at = $placed[$f]->of($pattern->vertices[$v]);
                if ($at->distanceTo($placed[$g]->of($pattern->vertices[$v])) > $state->tolerance->meeting) {
                    throw CannotFold::because(
                        'These creases cannot all be folded at once: going round their crossing, the paper does not '
                            .'meet itself again.',
                        $at,
                    );
                }
            }
        }
        ksort($placed);

        return array_values($placed);
    }
}
