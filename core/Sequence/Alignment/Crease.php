<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Alignment;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * A located crease: the line (its positive side moves), where the fingers take hold, and where that place comes to lie.
 */
final readonly class Crease
{
    /** mm: a point named to say a side is at least a hair away from the crease. */
    private const ON_THE_LINE = 1e-4;

    /**
     * @param  Segment|null  $taken  the edge or crease taken hold of, where it is one
     * @param  Segment|null  $target  the line on which it is laid, where it is one
     */
    public function __construct(
        public Line $line,
        public Point $grip,
        public Point $landing,
        public ?Segment $taken = null,
        public ?Segment $target = null,
    ) {
    }

    /**
     * The crease along $line that moves the side on which $grip lies.
     *
     * @throws CannotFold when $grip lies on the line, so that no side is meant
     */
    public static function moving(Line $line, Point $grip, ?Segment $taken = null, ?Segment $target = null): self
    {
        if (abs($line->distanceTo($grip)) < self::ON_THE_LINE) {
            throw CannotFold::notFound(
                'The point that says which side moves lies on the crease itself; name a point beside it.',
                $grip,
            );
        }
        $line = $line->distanceTo($grip) < 0 ? $line->reversed() : $line;

        return new self(line: $line, grip: $grip, landing: $line->reflected($grip), taken: $taken, target: $target);
    }
}
