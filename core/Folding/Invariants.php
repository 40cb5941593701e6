<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Folding\Order\Condition;
use Cathedra\Core\Folding\Order\Conditions;
use Cathedra\Core\Folding\Pattern\Vertices;
use Cathedra\Core\Geometry\Point;

/**
 * What is true of any sheet folded flat. Checked for every state, whoever made it:
 * (1) nothing is stretched, shared edges coincide, no area is lost;
 * (2) round every inside vertex the angles alternate to 180 degrees and mountains differ from valleys by two;
 * (3) mountain and valley agree with which face lies above;
 * (4) no paper passes through paper, and nowhere does the order of layers run in a ring.
 */
final readonly class Invariants
{
    private function __construct(private FoldedState $state)
    {
    }

    /**
     * @param  list<Condition>|null  $conditions  of this pattern, where they are known already; null: drawn up here
     *
     * @throws CannotFold naming the first invariant that fails and where
     */
    public static function check(FoldedState $state, ?array $conditions = null): void
    {
        $self = new self($state);
        $self->area();
        $self->edges();
        Vertices::check($state->pattern);
        $self->order($conditions ?? self::conditions($state));
    }

    private function area(): void
    {
        $sum = $this->state->removedArea;
        foreach (array_keys($this->state->pattern->faces) as $face) {
            $sum += $this->state->pattern->polygon($face)->area();
        }
        if (abs($sum - $this->state->sheet->area()) > $this->state->tolerance->area * (1 + $this->state->faceCount())) {
            throw CannotFold::because(
                sprintf(
                    'The faces cover %.4f mm2 of a sheet of %.4f mm2: paper was lost or doubled.',
                    $sum,
                    $this->state->sheet->area(),
                ),
            );
        }
    }

    private function edges(): void
    {
        foreach ($this->state->pattern->edges as $edge) {
            if (! $edge->isCrease()) {
                if (! $edge->assignment->isRaw()) {
                    throw CannotFold::because('A crease has paper on one side only.', $this->middle($edge));
                }

                continue;
            }
            [$f, $g] = $edge->faces;
            foreach ([$edge->a, $edge->b] as $vertex) {
                if (
                    $this->state->corner($f, $vertex)->distanceTo($this->state->corner($g, $vertex)) >
                    $this->state->tolerance->meeting
                ) {
                    throw CannotFold::because('The paper would tear along a crease.', $this->middle($edge));
                }
            }
            $bent = $this->state->frontUp[$f] !== $this->state->frontUp[$g];
            if ($bent !== $edge->assignment->isFolded()) {
                throw CannotFold::because(
                    $bent
                        ? 'A crease is marked flat, but its two sides lie on one another.'
                        : 'A crease is marked folded, but its two sides lie flat.',
                    $this->middle($edge),
                );
            }
        }
    }

    /** @param  list<Condition>  $conditions */
    private function order(array $conditions): void
    {
        $bits = $this->state->order->bits();
        foreach (array_keys($this->state->overlaps->common) as $key) {
            if (! isset($bits[$key])) {
                throw CannotFold::because('Two layers lie over one another, but it is not said which is above.');
            }
        }
        if (count($bits) !== count($this->state->overlaps->common)) {
            throw CannotFold::because('An order is given for layers that do not lie over one another.');
        }
        foreach ($conditions as $condition) {
            if (! $condition->holdsFor($bits)) {
                throw CannotFold::collides($condition->what, $condition->place);
            }
        }
        $this->rings($bits);
    }

    /**
     * A ring of three is a fault only where the three share an area; rings are rare, so they are looked for first.
     *
     * @param  array<int, bool>  $bits
     */
    private function rings(array $bits): void
    {
        $n = $this->state->faceCount();
        foreach ($bits as $ij => $above) {
            [$i, $j] = [intdiv($ij, $n), $ij % $n];
            for ($k = $j + 1; $k < $n; $k++) {
                if (
                    ($bits[$j * $n + $k] ?? null) === $above &&
                    ($bits[$i * $n + $k] ?? null) === ! $above &&
                    $this->state->overlaps->share($i, $j, $k)
                ) {
                    throw CannotFold::collides(
                        'three layers would each lie above the next',
                        $this->state->overlaps->common[$ij]->centroid(),
                    );
                }
            }
        }
    }

    /** @return list<Condition> */
    public static function conditions(FoldedState $state): array
    {
        return Conditions::of(
            pattern: $state->pattern,
            polygons: $state->polygons,
            corner: $state->corner(...),
            frontUp: $state->frontUp,
            overlaps: $state->overlaps,
            tolerance: $state->tolerance,
        );
    }

    private function middle(Edge $edge): Point
    {
        return $this->state->segment($edge)->middle();
    }
}
