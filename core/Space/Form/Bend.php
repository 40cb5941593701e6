<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * A flap that is folded in half along a ridge to its tip, bent aside: the tip is pushed in between the two halves and
 * comes out beside them, turned toward the side on which they are open. The fold rolls down from the tip: at every
 * moment it is one line through all layers of the flap, always at the same angle to the ridge, and what lies beyond is
 * mirrored in it. So both halves stay flat and side by side, and nothing is stretched.
 */
final readonly class Bend
{
    /** Degrees between ridge and fold: the tip turns by twice as much. */
    private const ANGLE = 30;

    /** Places of the rolling fold. */
    private const STRIPS = 8;

    /**
     * @param  array<int, true>  $faces  those of the flap that reach beyond the last fold
     * @param  Line  $last  on the table, its positive side that of the tip
     * @param  Point  $toTip  along the ridge, from the last fold to the tip, mm
     */
    private function __construct(private array $faces, private Line $last, private Point $toTip)
    {
    }

    /**
     * Null where the paper that meets in a corner of the sheet is not folded in half there.
     *
     * @param  list<int>  $tips  the faces that meet in the corner
     * @param  float  $length  mm from the tip to the last fold
     */
    public static function of(FoldedState $flat, Point $corner, array $tips, float $length): ?self
    {
        $near = 1e-6 * $flat->sheet->diagonal();
        $inward = Floor::middle($flat)->minus($corner);
        foreach ($tips as $face) {
            foreach ($flat->pattern->around($face) as $edge) {
                $crease = $flat->pattern->segment($edge);
                $starts = min($crease->a->distanceTo($corner), $crease->b->distanceTo($corner)) < $near;
                $halves = abs($crease->direction()->cross($inward)) < $near * $inward->length();
                if ($starts && $halves && $edge->assignment->isFolded() && $edge->other($face) !== null) {
                    return self::along($flat, $corner, $face, $length);
                }
            }
        }

        return null;
    }

    private static function along(FoldedState $flat, Point $corner, int $face, float $length): self
    {
        $place = $flat->placements[$face];
        $tip = $place->of($corner);
        $down = $place->of(Floor::middle($flat))->minus($tip)->unit();
        // the flap's paper lies on this side of the ridge
        $aside = $flat->polygons[$face]->centroid()->minus($tip);
        $left = $down->cross($aside) < 0;
        $turn = deg2rad($left ? self::ANGLE : -self::ANGLE);
        $up = $down->times(-1);
        $way = new Point(
            $up->x * cos($turn) - $up->y * sin($turn),
            $up->x * sin($turn) + $up->y * cos($turn),
        );
        $last = Line::along($tip->plus($down->times($length)), $way);
        $last = $last->distanceTo($tip) > 0 ? $last : $last->reversed();

        return new self(
            Curl::beyond($flat, $face, $last, 1e-6 * $flat->sheet->diagonal()),
            $last,
            $up->times($length),
        );
    }

    public function has(int $face): bool
    {
        return isset($this->faces[$face]);
    }

    /** @return list<Line> on the table */
    public function folds(): array
    {
        return array_map($this->fold(...), range(1, self::STRIPS));
    }

    /** Where a place of the flap is. */
    public function at(Point $place, Point $middleOfCell, float $progress): Point
    {
        $fold = $this->fold((int) round($progress * self::STRIPS));

        return $fold->distanceTo($middleOfCell) > 0 ? $fold->reflected($place) : $place;
    }

    private function fold(int $strip): Line
    {
        $on = $this->last->foot()->plus($this->toTip->times(1 - $strip / self::STRIPS));

        return Line::along($on, $this->last->direction());
    }
}
