<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pinches;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Geometry\Tolerance;

/** What of a state's creases, folds and corners can be seen from above. */
final readonly class Seen
{
    public float $near;

    public function __construct(private FoldedState $state)
    {
        $this->near = $state->tolerance->aside;
    }

    /** @return list<Segment> the lines of a step that can be seen */
    public function linesOf(string $step): array
    {
        return Creases::of($this->state, $step, fn (Edge $edge): bool => ! $edge->isHidden() &&
            $this->isSeen($edge, $this->state->segment($edge)->middle()));
    }

    /** How many creases of a step can be seen to end on an edge of the outline. */
    public function endsOn(Segment $side, string $step): int
    {
        $ends = 0;
        foreach ($this->linesOf($step) as $line) {
            $on = $line->liesOn($side->straight(), $this->near);
            $ends += ! $on && ($side->passes($line->a, $this->near) || $side->passes($line->b, $this->near)) ? 1 : 0;
        }

        return $ends;
    }

    /** How many corners of the sheet lie here on top of everything else, beside one another. */
    public function freeCorners(Point $p): int
    {
        $count = 0;
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as [$u, $v]) {
            $corner = $this->state->sheet->at($u, $v);
            $face = $this->state->pattern->faceAt($corner, $this->state->tolerance->length);
            $lies = $face !== null &&
                $this->state->placements[$face]->of($corner)->distanceTo($p) < $this->near &&
                $this->isOnTop($face, $p);
            $count += $lies ? 1 : 0;
        }

        return $count;
    }

    /** @return list<Edge> creases and folds that can be seen to run through the point or to end there */
    public function creasesThrough(Point $p): array
    {
        return array_values(array_filter(
            $this->state->pattern->creases(),
            fn (Edge $edge): bool => ! $edge->isHidden() &&
                $this->state->segment($edge)->passes($p, $this->near) &&
                $this->isSeen($edge, $p),
        ));
    }

    /** The step whose pinch mark can be seen at the point, and no other of it elsewhere; null where there is none. */
    public function pinchAt(Point $p): ?string
    {
        $seen = array_filter(Pinches::of($this->state), fn (array $pinch): bool => $this->isOnTop(
            $pinch['face'],
            $pinch['at']->middle(),
        ));
        $here = array_filter($seen, fn (array $pinch): bool => $pinch['at']->passes($p, $this->near));
        $step = array_values($here)[0]['origin'] ?? null;
        $elsewhere = array_filter(
            $seen,
            fn (array $pinch): bool => $pinch['origin'] === $step &&
                ! $pinch['at']->liesOn(array_values($here)[0]['at']->straight(), $this->near),
        );

        return $elsewhere === [] ? $step : null;
    }

    /** @return list<Edge> creases, folds and raw edges that can be seen to cover the middle of the segment */
    public function edgesOn(Segment $segment): array
    {
        $line = $segment->straight();
        $middle = $segment->middle();

        return array_values(array_filter(
            $this->state->pattern->edges,
            fn (Edge $edge): bool => ! $edge->isHidden() &&
                $this->state->segment($edge)->liesOn($line, $this->near) &&
                $this->state->segment($edge)->passes($middle, $this->near) &&
                $this->isSeen($edge, $middle),
        ));
    }

    /** Whether creases that can be seen cross in the point. */
    public function isCrossing(Point $p): bool
    {
        $edges = $this->creasesThrough($p);
        foreach ($edges as $i => $one) {
            foreach (array_slice($edges, $i + 1) as $other) {
                $turn = $this->state->segment($one)->direction()->cross($this->state->segment($other)->direction());
                if (abs($turn) > Tolerance::ANGLE) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The step all these creases were made by, as it is numbered; null when it is none, or more than one.
     *
     * @param  list<Edge>  $edges
     */
    public static function stepOf(array $edges): ?string
    {
        $steps = array_unique(array_map(static fn (Edge $edge): ?string => $edge->origin, $edges));

        return count($steps) === 1 && $steps[array_key_first($steps)] !== null &&
            ctype_digit($steps[array_key_first($steps)])
            ? $steps[array_key_first($steps)]
            : null;
    }

    private function isSeen(Edge $edge, Point $p): bool
    {
        foreach ($edge->faces as $face) {
            if ($this->isOnTop($face, $p)) {
                return true;
            }
        }

        return false;
    }

    private function isOnTop(int $face, Point $p): bool
    {
        $beside = $p->toward($this->state->polygons[$face]->centroid(), 0.01);

        return (Stacks::facesAt($this->state, $beside)[0] ?? null) === $face;
    }
}
