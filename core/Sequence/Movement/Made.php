<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/** What a movement made: the state after it, the place taken hold of and where that comes to lie, and the line it is folded about or laid on (plane of the state before). */
final readonly class Made
{
    public function __construct(public FoldedState $after, public Point $grip, public Point $landing, public ?Line $line = null)
    {
    }
}
