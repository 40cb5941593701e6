<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Compound;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * Draws a point that is folded in between layers out to an angle: the crease at which it went in opens, and another
 * through the same pivot takes its place. The tip keeps its distance from the pivot, so the new crease halves the angle
 * between where the tip would lie unfolded and where it is wanted.
 */
final class DrawOut
{
    /** @var array<int, bool> whether a face of the point belongs to the half nearer the folder */
    private array $isFront = [];

    /** @var array<int, true> faces beyond the new crease */
    private array $tip = [];

    private readonly Sketch $sketch;

    private function __construct(private readonly FoldedState $state, string $origin)
    {
        $this->sketch = new Sketch($state, $origin);
    }

    /**
     * @param  list<Segment>  $held  of the sheet: the crease at which the point was folded in
     * @param  Point  $pivot  of the folded plane, on that crease
     * @param  Point  $to  of the folded plane: the direction, seen from the pivot, in which the tip is wanted
     * @return array{FoldedState, Point, Point, Line} the state, where the tip lay and lies then, and the new crease
     *
     * @throws CannotFold when that crease holds no point, or it would be drawn further in, not out
     */
    public static function apply(FoldedState $state, array $held, Point $pivot, Point $to, string $origin): array
    {
        return (new self($state, $origin))->run($held, $pivot, $to);
    }

    /**
     * @param  list<Segment>  $held
     * @return array{FoldedState, Point, Point, Line}
     */
    private function run(array $held, Point $pivot, Point $to): array
    {
        $point = $this->held($held);
        $bent = $this->sketch->bentEdgesOf($point);
        if ($bent === []) {
            throw CannotFold::because('Nothing is folded in at that crease, so there is nothing to draw out.', $pivot);
        }
        $now = $this->tip($point, $pivot);
        $opened = Isometry::reflection($bent[0]['at']->straight());
        $flat = $opened->of($now);
        $half = $flat->minus($pivot)->unit()->plus($to->minus($pivot)->unit());
        if ($half->length() < 1e-6) {
            throw CannotFold::because('Drawn right round, the point would have no crease. Draw it less far.', $pivot);
        }
        $crease = Line::along($pivot, $half); // halves the angle; as it will lie
        $seen = Line::along($pivot, $opened->of($pivot->plus($half))->minus($opened->of($pivot))); // as it lies now
        [$beyond, $rest] = $this->sketch->split($point, $seen->distanceTo($now) > 0 ? $seen : $seen->reversed());
        if ($rest === [] || $beyond === []) {
            throw CannotFold::because('Drawn so, the point goes further in, or has no crease left.', $pivot);
        }
        $this->isFront = $this->sketch->halves([...$beyond, ...$rest]);
        $this->tip = array_fill_keys($beyond, true);
        $this->sketch->move($rest, $opened);
        $again = Isometry::reflection($crease);
        $this->sketch->move($beyond, $opened->then($again));

        return [$this->sketch->finish($this->pin(...), $this->wish(...)), $now, $again->of($flat), $crease];
    }

    /**
     * The faces of the point: the smaller part of the sheet that the crease cuts off, over all its layers.
     *
     * @param  list<Segment>  $held
     * @return list<int>
     */
    private function held(array $held): array
    {
        $pattern = $this->state->pattern;
        $margin = $this->state->tolerance->length;
        $free = static function (Edge $edge) use ($held, $pattern, $margin): bool {
            $own = new Segment($pattern->vertices[$edge->a], $pattern->vertices[$edge->b]);

            return array_filter($held, static fn (Segment $s): bool => $own->isPartOf($s, $margin)) === [];
        };
        $parts = FaceGraph::of($pattern, $free)->parts();
        if (count($parts) < 2) {
            throw CannotFold::because('That crease does not cut a point off: paper goes round its end.');
        }
        $area = fn (array $faces): float => array_sum(
            array_map(fn (int $face): float => $this->sketch->polygon($face)->area(), $faces),
        );
        usort($parts, static fn (array $one, array $two): int => $area($one) <=> $area($two));

        return $parts[0];
    }

    /**
     * Where the tip of the point lies: its corner farthest from the pivot.
     *
     * @param  list<int>  $point
     */
    private function tip(array $point, Point $pivot): Point
    {
        $tip = $pivot;
        foreach ($point as $face) {
            foreach ($this->sketch->polygon($face)->points as $corner) {
                $tip = $corner->distanceTo($pivot) > $tip->distanceTo($pivot) ? $corner : $tip;
            }
        }

        return $tip;
    }

    private function pin(int $i, int $j): ?bool
    {
        if (! isset($this->isFront[$i], $this->isFront[$j])) {
            return null;
        }
        $iTip = isset($this->tip[$i]);
        if ($iTip !== isset($this->tip[$j])) { // the tip goes between the halves of what lies flat again
            return $this->isFront[$iTip ? $j : $i] !== $iTip;
        }
        $above = $this->sketch->above($i, $j);

        return $above === null || $iTip || $this->isFront[$i] !== $this->isFront[$j] ? $above : ! $above;
    }

    /** Paper round the point stays on the side of it on which it lies. */
    private function wish(int $i, int $j): ?bool
    {
        $iMoved = $this->sketch->hasMoved($i);
        if ($iMoved === $this->sketch->hasMoved($j)) {
            return null;
        }
        foreach (array_keys($this->isFront) as $face) {
            $above = $this->sketch->above($iMoved ? $j : $i, $face);
            if ($above !== null) {
                return $above !== $iMoved;
            }
        }

        return null;
    }
}
