<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * Squash: a flap of two layers is opened and its ridge laid on its hinge, so that it ends up symmetrical about the
 * hinge. Both layers are creased on the bisector; the upper one is turned over to the other side of the hinge.
 */
final readonly class Squash
{
    /**
     * @param  Line  $ridge  the folded edge of the flap
     * @param  Line  $hinge  the line the flap turns about and the ridge comes to lie on
     * @param  Line  $bisector  of the two, its positive side the side of the ridge
     * @param  Point  $grip  a point of the ridge
     *
     * @throws CannotFold when there is no such flap, or paper would tear or pass through paper
     */
    public static function apply(
        FoldedState $state,
        Line $ridge,
        Line $hinge,
        Line $bisector,
        Point $grip,
        string $origin,
    ): FoldedState {
        $hinge = $hinge->distanceTo($grip) < 0 ? $hinge->reversed() : $hinge;
        $sketch = new Sketch($state, $origin);
        $top = $sketch->topFaceAt($grip->toward($bisector->nearest($grip), 0.02));
        if ($top === null) {
            throw CannotFold::notFound('There is no paper beside the edge to be squashed.', $grip);
        }
        [$upper] = $sketch->split($sketch->layer($top, [$hinge]), $hinge);
        [$upperFar, $upperNear] = $sketch->split($upper, $bisector);
        $under = self::across($sketch, $upperFar, $ridge);
        if ($under === null) {
            throw CannotFold::because(
                'The upper layer ends at a raw edge here. A squash needs a flap of two layers joined along the edge '
                    .'that is brought over.',
                $grip,
            );
        }
        [$lower] = $sketch->split($sketch->layer($under, [$hinge]), $hinge);
        [$lowerFar] = $sketch->split($lower, $bisector);
        $mirror = Isometry::reflection($hinge);
        $fold = Isometry::reflection($bisector);
        $sketch->move($upperNear, $mirror);
        $sketch->move($upperFar, $fold->then($mirror));
        $sketch->move($lowerFar, $fold);
        $opened = array_fill_keys([...$upperFar, ...$lowerFar], true);
        $onTop = static function (int $i, int $j) use ($sketch, $opened): ?bool {
            if (isset($opened[$i]) !== isset($opened[$j])) {
                return isset($opened[$i]);
            }

            return $sketch->hasMoved($i) === $sketch->hasMoved($j) ? null : $sketch->hasMoved($i);
        };

        return $sketch->finish($onTop, static fn (int $i, int $j): ?bool => $sketch->above($i, $j));
    }

    /** @param  list<int>  $faces */
    private static function across(Sketch $sketch, array $faces, Line $ridge): ?int
    {
        foreach ($sketch->bentEdgesOf($faces) as ['outer' => $outer, 'at' => $fold]) {
            if ($fold->liesOn($ridge, $sketch->state->tolerance->sight)) {
                return $outer;
            }
        }

        return null;
    }
}
