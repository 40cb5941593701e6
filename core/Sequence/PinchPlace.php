<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/** Where a pinch mark comes to be: about as wide as the tip of a thumb, on a crease that is pressed nowhere else. */
final readonly class PinchPlace
{
    /** Length of the mark as a share of the sheet's shorter side: 15 mm on 150 mm; estimate, a thumb's width. */
    public const LENGTH = 0.1;

    /**
     * @param  Point  $at  the place that is pressed, mm in the folded plane
     *
     * @throws CannotFold when the place does not lie on the crease
     */
    public static function on(FoldedState $state, Line $line, Point $at): Segment
    {
        if (abs($line->distanceTo($at)) > $state->tolerance->sight) {
            throw CannotFold::notFound('The place to pinch ("at") does not lie on the crease.', $at);
        }
        $half = $line->direction()->times(self::LENGTH / 2 * min($state->sheet->width, $state->sheet->height));

        return new Segment($at->minus($half), $at->plus($half));
    }
}
