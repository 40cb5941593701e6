<?php

declare(strict_types=1);

namespace Cathedra\Core\Decoration;

use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;

/** A piece of the sheet that is seen of the folded model, where it lies on the sheet and where on the model. */
final readonly class SeenPart
{
    /**
     * @param  Side  $side  of the sheet that is seen
     * @param  Polygon  $onSheet  mm on the flat sheet, seen from its front
     * @param  Polygon  $onModel  the same piece in the plane of the view, mm
     * @param  Isometry  $place  from the sheet to the plane of the view
     * @param  Point  $up  on the sheet, of length 1: what points up on the model
     * @param  int  $group  pieces of one number lie in one plane and hang together on the sheet
     */
    public function __construct(
        public View $view,
        public Side $side,
        public Polygon $onSheet,
        public Polygon $onModel,
        public Isometry $place,
        public Point $up,
        public int $group,
    ) {
    }
}
