<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Alignment;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Point to point, edge to edge, or point onto a line through a point. */
final readonly class Bring implements Alignment
{
    public function __construct(
        public PointRef|LineRef $what,
        public PointRef|LineRef $to,
        public ?PointRef $through,
    ) {
    }

    public function locate(Setting $setting): Crease
    {
        if ($this->what instanceof PointRef) {
            $from = $this->what->locate($setting);

            return $this->to instanceof PointRef
                ? self::pointToPoint($from, $this->to->locate($setting))
                : self::pointToLine($from, $this->to->trace($setting), $this->pivot($setting));
        }
        if ($this->to instanceof PointRef) {
            throw CannotFold::notFound(
                'An edge can be brought to an edge or a crease, not to a point; name the point that goes there.',
            );
        }

        return self::edgeToEdge($this->what->trace($setting), $this->to->trace($setting), $setting);
    }

    private function pivot(Setting $setting): Point
    {
        return $this->through?->locate($setting) ??
            throw CannotFold::notFound(
                'A point can be brought to a line in many ways; say through which point the crease goes (through: '
                    .'...).',
            );
    }

    private static function pointToPoint(Point $from, Point $to, ?Segment $target = null): Crease
    {
        $line = $from->distanceTo($to) < 1e-6 ? null : Line::bringing($from, $to);
        if ($line === null) {
            throw CannotFold::notFound('The point already lies there, so there is nothing to bring.', $from);
        }

        return new Crease(line: $line, grip: $from, landing: $to, taken: null, target: $target);
    }

    /**
     * The crease goes through $pivot; the point moves on a circle round it and lands where that circle meets the line.
     */
    private static function pointToLine(Point $from, Segment $to, Point $pivot): Crease
    {
        $radius = $pivot->distanceTo($from);
        $foot = $to->straight()->nearest($pivot);
        $height = $foot->distanceTo($pivot);
        if ($height > $radius * (1 + 1e-9)) {
            throw CannotFold::notFound(
                'The point cannot reach that line when the crease goes through the point named.',
                $from,
            );
        }
        $half = sqrt(max(0.0, $radius ** 2 - $height ** 2));
        $landings = [];
        foreach ($half < 1e-6 ? [0.0] : [$half, -$half] as $along) {
            $landing = $foot->plus($to->direction()->times($along));
            if ($to->passes($landing, 1e-6 * (1 + $to->length())) && $landing->distanceTo($from) > 1e-6) {
                $landings[] = $landing;
            }
        }
        if (count($landings) !== 1) {
            throw CannotFold::notFound(
                $landings === []
                    ? 'The point reaches that line only beyond its ends.'
                    : 'The point can reach that line in two places; bring it to a point instead.',
                $from,
            );
        }

        return self::pointToPoint($from, $landings[0], $to);
    }

    /** Of the two bisectors, the one that lays the edge on the other, not on its prolongation. */
    private static function edgeToEdge(Segment $what, Segment $to, Setting $setting): Crease
    {
        $best = null;
        $bestShare = 0.0;
        foreach ($what->straight()->bisectors($to->straight()) as $line) {
            $share = self::common($what->placed(Isometry::reflection($line)), $to);
            if ($share > $bestShare) {
                [$best, $bestShare] = [$line, $share];
            }
        }
        if ($best === null || abs($best->distanceTo($what->middle())) < $setting->state->tolerance->meeting) {
            throw CannotFold::notFound(
                'The two edges already lie on one another, or can only be laid on each other\'s prolongation.',
                $what->middle(),
            );
        }

        return Crease::moving($best, $what->middle(), $what, $to);
    }

    /** The share of $to that a segment on the same line covers. */
    private static function common(Segment $edge, Segment $to): float
    {
        [$s, $t] = [$to->shareOf($edge->a), $to->shareOf($edge->b)];

        return min(1.0, max($s, $t)) - max(0.0, min($s, $t));
    }
}
