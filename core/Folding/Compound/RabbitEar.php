<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * Rabbit ear: two sides of a triangular flap are laid on its base at once, and the tip is pinched into an ear that lies
 * along the base. The creases are the three bisectors, meeting at the incentre, and the perpendicular from there to the
 * side toward which the ear points.
 */
final readonly class RabbitEar
{
    /**
     * @param  Point  $toward  the end of the base toward which the ear points, in the folded plane
     * @param  Point  $away  the other end of the base
     * @param  Point  $tip  of the flap
     *
     * @throws CannotFold when the three points are no triangle of paper, or paper would tear or pass through paper
     */
    public static function apply(
        FoldedState $state,
        Point $toward,
        Point $away,
        Point $tip,
        string $origin,
    ): FoldedState {
        [$a, $b, $c] = [$tip->distanceTo($away), $tip->distanceTo($toward), $toward->distanceTo($away)];
        if (
            $a + $b + $c < 1e-9 ||
            abs($away->minus($toward)->cross($tip->minus($toward))) < 100 * $state->tolerance->area
        ) {
            throw CannotFold::because(
                'The base and the tip of a rabbit ear must make a triangle; these three points lie on one line.',
                $tip,
            );
        }
        $heart = $toward
            ->times($a)
            ->plus($away->times($b))
            ->plus($tip->times($c))
            ->times(1 / ($a + $b + $c));
        $foot = (Line::through($toward, $tip) ?? throw new \LogicException('A triangle has sides.'))->nearest($heart);
        $base = self::line($toward, $away, $tip);
        $sketch = new Sketch($state, $origin);
        $top = $sketch->topFaceAt($heart);
        if ($top === null) {
            throw CannotFold::notFound('There is no paper in the middle of the flap.', $heart);
        }
        [$flap] = $sketch->split($sketch->layer($top, [$base]), $base);
        [$upper, $first] = $sketch->split($flap, self::line($toward, $heart, $tip));
        [$ear, $second] = $sketch->split($upper, self::line($away, $heart, $tip));
        // $first: below the bisector from $toward; $second: what the bisector from $away leaves below it. The triangle
        // over the base is below both, the wedge beside $toward above the first only, the one beside $away above the
        // second.
        [$overAway, $still] = $sketch->split($first, self::line($away, $heart, $tip));
        [$atAway, $nearTip] = $sketch->split($ear, self::line($tip, $heart, $away));
        [$pinched, $atToward] = $sketch->split($nearTip, self::line($heart, $foot, $tip));
        $atToward = [...$atToward, ...$second];
        $atAway = [...$atAway, ...$overAway];
        unset($still);
        $layFirst = Isometry::reflection(self::line($toward, $heart, $tip));
        $laySecond = Isometry::reflection(self::line($away, $heart, $tip));
        $sketch->move($atToward, $layFirst);
        $sketch->move($atAway, $laySecond);
        $sketch->move($pinched, Isometry::reflection(self::line($tip, $heart, $away))->then($laySecond));
        $rank = array_fill_keys($atToward, 0) + array_fill_keys($pinched, 1) + array_fill_keys($atAway, 2);
        $pin = static function (int $i, int $j) use ($sketch, $rank): ?bool {
            if ($sketch->hasMoved($i) !== $sketch->hasMoved($j)) {
                return $sketch->hasMoved($i);
            }

            return $rank[$i] === $rank[$j] ? null : $rank[$i] > $rank[$j];
        };

        return $sketch->finish($pin, static fn (int $i, int $j): ?bool => $sketch->above($i, $j));
    }

    /** The line through $a and $b, its positive side that of $side. */
    private static function line(Point $a, Point $b, Point $side): Line
    {
        $line = Line::through($a, $b) ?? throw new \LogicException('Two corners of a triangle differ.');

        return $line->distanceTo($side) < 0 ? $line->reversed() : $line;
    }
}
