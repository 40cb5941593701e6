<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/** What a movement made; points and lines in the plane of the state before. */
final readonly class Made
{
    /**
     * @param  Point  $grip  the place taken hold of
     * @param  Point  $landing  where that comes to lie
     * @param  Line|null  $line  which it is folded about or laid on
     * @param  list<Segment>  $cuts
     * @param  Segment|null  $taken  the edge taken hold of, where it is one
     * @param  list<FoldedState>  $between  flat states on the way, where it is done in several movements
     */
    public function __construct(
        public FoldedState $after,
        public Point $grip,
        public Point $landing,
        public ?Line $line = null,
        public array $cuts = [],
        public ?Segment $taken = null,
        public array $between = [],
    ) {
    }
}
