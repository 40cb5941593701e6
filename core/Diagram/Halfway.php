<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Space\Mesh\Piece;
use Cathedra\Core\Space\StepMotion;

/** A fold of several creases while it is being done: the middle moment of its motion, seen a little from below. */
final class Halfway
{
    /** Degrees by which the model is tipped, so that what stands up is seen to stand. */
    private const TIPPED = 29;

    /** @return Scene|null null where there is nothing half-way to see: steps of one crease, repetitions, stills */
    public static function of(FoldedStep $step): ?Scene
    {
        return $step->step->kind->isCompound() ? self::among(StepMotion::of($step)->pieces) : null;
    }

    /**
     * The middle moment of the longest movement of a step.
     *
     * @param  list<Piece>  $pieces  a step's motion
     */
    public static function among(array $pieces): ?Scene
    {
        usort($pieces, static fn (Piece $a, Piece $b): int => count($b->at) <=> count($a->at));

        return $pieces === [] || count($pieces[0]->at) < 3
            ? null
            : SpaceScene::of($pieces[0], intdiv(count($pieces[0]->at), 2), 0.0, deg2rad(self::TIPPED));
    }
}
