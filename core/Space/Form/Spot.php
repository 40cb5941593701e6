<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Geometry\Point;

/** A corner of a cell, with what tells to which part of the paper it belongs. All in mm. */
final readonly class Spot
{
    /**
     * @param  int  $face  of the flat state; -1 where it does not matter
     * @param  Point  $middle  of the cell, on the sheet seen from its front
     * @param  Point  $sheet  where it lies on the sheet
     * @param  Point  $flat  where it lies in the flat state, seen by the folder
     */
    public function __construct(
        public Point $middle,
        public Point $sheet,
        public Point $flat,
        public int $face = -1,
    ) {
    }
}
