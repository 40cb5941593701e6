<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * Petal and swivel. The top layer is lifted along a hinge; where the hinge ends on a folded edge (the ridge), the ridge
 * opens, and the paper on both sides of it swings in. At such an end E the top layer is creased from E to the tip, and
 * the layer joined to it along the ridge from E at the same angle to the ridge as the first crease has to the hinge:
 * that is what the angle condition at E leaves. A petal has such an end on both sides, a swivel on one.
 */
final class Petal
{
    private Sketch $sketch;

    /** @var array<int, true> faces that end up on top of the lifted flap */
    private array $sides = [];

    private Line $hinge;

    private function __construct(
        private readonly FoldedState $state,
        Line $hinge,
        private readonly Point $tip,
        string $origin,
    ) {
        $this->hinge = $hinge->distanceTo($tip) < 0 ? $hinge->reversed() : $hinge;
        $this->sketch = new Sketch($state, $origin);
    }

    /**
     * @param  Line  $hinge  in the folded plane
     * @param  Point  $tip  the point of the top layer that is lifted
     *
     * @throws CannotFold when the hinge does not end on folded edges at both ends, or paper would tear or pass through
     */
    public static function petal(FoldedState $state, Line $hinge, Point $tip, string $origin): FoldedState
    {
        return (new self($state, $hinge, $tip, $origin))->run(2);
    }

    /**
     * As petal, with one end of the hinge on a folded edge and the other on a raw edge.
     *
     * @throws CannotFold
     */
    public static function swivel(FoldedState $state, Line $hinge, Point $tip, string $origin): FoldedState
    {
        return (new self($state, $hinge, $tip, $origin))->run(1);
    }

    private function run(int $wanted): FoldedState
    {
        $inward = $this->tip->toward($this->hinge->nearest($this->tip), 0.02);
        $top = $this->sketch->topFaceAt($inward);
        if ($top === null) {
            throw CannotFold::notFound('There is no paper at the point to be lifted.', $this->tip);
        }
        [$flap] = $this->sketch->split($this->sketch->layer($top, [$this->hinge]), $this->hinge);
        $hinge = $this->hingeOn($flap);
        $ends = [$hinge->a, $hinge->b];
        $ridges = array_values(array_filter(array_map(fn (Point $end): ?Point => $this->ridge($flap, $end), $ends)));
        if (count($ridges) !== $wanted) {
            throw CannotFold::because(
                sprintf(
                    'The line along which the top layer is lifted must end on a folded edge at %s; here %d of its '
                        .'ends do.',
                    $wanted === 2 ? 'both ends' : 'one end',
                    count($ridges),
                ),
                $ends[0],
            );
        }
        $middle = $flap;
        foreach ($ends as $e => $end) {
            if ($this->ridge($flap, $end) !== null) {
                $middle = $this->side($middle, $flap, $end, $ends[1 - $e]);
            }
        }
        $this->sketch->move($middle, Isometry::reflection($this->hinge));

        return $this->sketch->finish($this->pin(...), fn (int $i, int $j): ?bool => $this->sketch->above($i, $j));
    }

    /**
     * @param  list<int>  $flap
     * @return Segment from where the hinge enters the lifted layer to where it leaves it
     */
    private function hingeOn(array $flap): Segment
    {
        $on = [];
        foreach ($flap as $face) {
            foreach ($this->sketch->polygon($face)->points as $p) {
                if (abs($this->hinge->distanceTo($p)) < $this->state->tolerance->sight) {
                    $on[] = $p;
                }
            }
        }

        return Segment::spanning($this->hinge, $on) ??
            throw CannotFold::notFound('The line does not cross the layer to be lifted.', $this->tip);
    }

    /**
     * The far end of the folded edge of the flap that begins at $end; null when there is none.
     *
     * @param  list<int>  $flap
     */
    private function ridge(array $flap, Point $end): ?Point
    {
        $margin = $this->state->tolerance->sight;
        foreach ($this->sketch->bentEdgesOf($flap) as ['at' => $fold]) {
            foreach ([$fold, $fold->reversed()] as $from) {
                if ($from->a->distanceTo($end) < $margin && $this->hinge->distanceTo($from->b) > $margin) {
                    return $from->b;
                }
            }
        }

        return null;
    }

    /**
     * Swings in one side.
     *
     * @param  list<int>  $middle  what is left of the flap
     * @param  list<int>  $flap
     * @return list<int> the middle without this side
     */
    private function side(array $middle, array $flap, Point $end, Point $otherEnd): array
    {
        $far = $this->ridge($flap, $end) ?? throw new \LogicException('This end has a ridge.');
        $crease = $this->facing($end, $this->tip, $far);
        [$side, $rest] = $this->sketch->split($middle, $crease);
        $second = $this->secondCrease($end, $otherEnd, $far);
        $mirror = Isometry::reflection($crease)->then(Isometry::reflection($this->hinge));
        $this->sketch->move($side, $mirror);
        $this->sides += array_fill_keys($side, true);
        foreach ($this->under($side, $end, $far) as $under) {
            [$outer] = $this->sketch->split($this->sketch->layer($under, [$second]), $second);
            $this->sketch->move($outer, Isometry::reflection($second));
        }

        return $rest;
    }

    /**
     * The line through $end at the angle to the ridge which the line to the tip has to the hinge, on the tip's side.
     */
    private function secondCrease(Point $end, Point $otherEnd, Point $far): Line
    {
        $hinge = $otherEnd->minus($end)->unit();
        $toTip = $this->tip->minus($end)->unit();
        $ridge = $far->minus($end)->unit();
        $angle = acos(max(-1.0, min(1.0, $hinge->dot($toTip))));
        $way = $ridge->cross($toTip) > 0 ? 1.0 : -1.0;
        $direction = Isometry::rotation($way * $angle, new Point(0, 0))->of($ridge);

        return $this->facing($end, $end->plus($direction), $far);
    }

    /**
     * The faces joined to the side along the ridge.
     *
     * @param  list<int>  $side
     * @return list<int>
     */
    private function under(array $side, Point $end, Point $far): array
    {
        $ridge = Line::through($end, $far) ?? throw new \LogicException('A ridge has length.');
        $under = [];
        foreach ($this->sketch->bentEdgesOf($side) as ['outer' => $outer, 'at' => $fold]) {
            if ($fold->liesOn($ridge, $this->state->tolerance->sight)) {
                $under[$outer] = true;
            }
        }

        return array_keys($under);
    }

    private function facing(Point $a, Point $b, Point $positive): Line
    {
        $line =
            Line::through($a, $b) ??
            throw CannotFold::notFound('The tip lies on the line along which it is lifted.', $a);

        return $line->distanceTo($positive) < 0 ? $line->reversed() : $line;
    }

    private function pin(int $i, int $j): ?bool
    {
        if ($this->sketch->hasMoved($i) !== $this->sketch->hasMoved($j)) {
            return $this->sketch->hasMoved($i);
        }

        return isset($this->sides[$i]) === isset($this->sides[$j]) ? null : isset($this->sides[$i]);
    }
}
