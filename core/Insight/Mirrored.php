<?php

declare(strict_types=1);

namespace Cathedra\Core\Insight;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Run\Action;
use Cathedra\Core\Sequence\Run\FoldedStep;

/** Finds that a step is an earlier one with left and right exchanged: "the same on the other side". */
final readonly class Mirrored
{
    /** Steps looked back; further apart nobody thinks of them as a pair. */
    private const BACK = 4;

    /**
     * @param  list<FoldedStep>  $earlier
     * @return int|null the number of that step
     */
    public static function of(FoldedStep $step, array $earlier): ?int
    {
        foreach (array_reverse(array_slice($earlier, -self::BACK)) as $other) {
            if (
                $other->step->kind === $step->step->kind &&
                $other->step->part === $step->step->part &&
                count($other->actions) === count($step->actions) &&
                $step->actions !== [] &&
                self::pairs($step->actions[0], $other->actions[0])
            ) {
                return $other->step->number;
            }
        }

        return null;
    }

    private static function pairs(Action $a, Action $b): bool
    {
        $here = self::ends($a);
        $there = self::ends($b);
        if ($here === null || $there === null) {
            return false;
        }
        $margin = $a->state->tolerance->aside;
        $axis = self::axis($b->state);
        foreach ([0, 1] as $i) {
            $mirrored = new Point(2 * $axis->x - $there[$i]->x, $there[$i]->y);
            $moved = self::axis($a->state)->minus($axis);
            $back = $here[$i]->minus(new Point($moved->x, 0));
            if (min($mirrored->distanceTo($back), $mirrored->distanceTo($here[$i])) > $margin) {
                return false;
            }
        }

        return $here[0]->distanceTo($there[0]) > $margin;
    }

    /** @return array{Point, Point}|null */
    private static function ends(Action $action): ?array
    {
        $grip = $action->crease->grip ?? $action->grip;
        $landing = $action->crease->landing ?? $action->landing;

        return $grip === null || $landing === null ? null : [$grip, $landing];
    }

    private static function axis(FoldedState $state): Point
    {
        return $state->box()->centre();
    }
}
