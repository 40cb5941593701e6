<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Pattern\FaceGraph;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;

/** The flaps of a state beyond a line, and the ways people say which of them to take. */
final class Flaps
{
    /** @var array<int, Polygon> the part of each face beyond the line */
    private array $parts = [];

    /** @var list<Flap> */
    private array $flaps;

    private function __construct(private readonly FoldedState $state, private readonly Line $line)
    {
        foreach ($state->polygons as $face => $polygon) {
            $part = $polygon->clippedBy($line);
            if ($part->area() > $state->tolerance->area) {
                $this->parts[$face] = $part;
            }
        }
        $this->flaps = $this->gather();
    }

    /** @param  Line  $line in the folded plane; its positive side is "beyond" */
    public static function beyond(FoldedState $state, Line $line): self
    {
        return new self($state, $line);
    }

    public function count(): int
    {
        return count($this->flaps);
    }

    /** How many flaps reach a place of the folded plane. */
    public function reachingCount(Point $place): int
    {
        return count(array_filter($this->flaps, fn (Flap $flap): bool => $this->reaches($flap, $place)));
    }

    /** @return list<int> */
    public function all(): array
    {
        return array_keys($this->parts);
    }

    /**
     * The $number topmost flaps that reach the place $grip (folded plane), or of all flaps when there is no grip.
     *
     * @param  bool  $laden  with every flap that lies outside them beyond the line, though it does not reach the place
     * @return list<int> faces
     *
     * @throws CannotFold when there are fewer
     */
    public function outermost(int $number, bool $fromTop, ?Point $grip, bool $laden = false): array
    {
        $reaching = array_values(
            array_filter($this->flaps, fn (Flap $flap): bool => $grip === null || $this->reaches($flap, $grip)),
        );
        if (count($reaching) < $number) {
            throw CannotFold::notFound(
                count($reaching) === 1
                    ? "Here the layers hang together as one, so there are not $number to choose from. Say layers: all."
                    : sprintf('Only %d separate layers reach this place, not %d.', count($reaching), $number),
                $grip,
            );
        }
        $sorted = $this->sorted($reaching, $fromTop);
        $chosen = array_slice($sorted, 0, $number);
        foreach (array_slice($sorted, $number) as $left) {
            if (! $this->liesUnderAny($left, $chosen, $fromTop)) {
                throw CannotFold::notFound(
                    'Two flaps lie side by side here and either could be meant; name a point that only one of them '
                        .'covers, or take one more.',
                    $grip,
                );
            }
        }

        $load = array_filter(
            $this->flaps,
            fn (Flap $f): bool => $laden && ! in_array($f, $chosen, true) && $this->liesOverAny($f, $chosen, $fromTop),
        );

        return array_merge(
            ...array_map(static fn (Flap $flap): array => $flap->faces, [...$chosen, ...array_values($load)]),
        );
    }

    /**
     * The flap that holds this point of the sheet.
     *
     * @return list<int> faces
     *
     * @throws CannotFold when that point does not lie beyond the line
     */
    public function holding(Point $onSheet): array
    {
        foreach ($this->flaps as $flap) {
            foreach ($flap->faces as $face) {
                if (
                    $this->state->pattern->polygon($face)->contains($onSheet, -$this->state->tolerance->meeting) &&
                    $this->line->distanceTo($this->state->placements[$face]->of($onSheet)) >
                        $this->state->tolerance->length
                ) {
                    return $flap->faces;
                }
            }
        }
        throw CannotFold::notFound(
            'The point that names the flap does not lie beyond the crease.',
            $this->state->positionOf($onSheet),
        );
    }

    /** The part of a face beyond the line. */
    public function part(int $face): ?Polygon
    {
        return $this->parts[$face] ?? null;
    }

    /**
     * Whether a face that stays lies over (or under) one that moves, beyond the line.
     *
     * @param  list<int>  $moving
     * @return Point|null where
     */
    public function blockedAt(array $moving, bool $fromTop): ?Point
    {
        $isMoving = array_fill_keys($moving, true);
        foreach ($moving as $m) {
            foreach ($this->parts as $other => $part) {
                if (! isset($isMoving[$other]) && $this->state->order->above($other, $m) === $fromTop) {
                    $common = $part->intersection($this->parts[$m]);
                    if ($common->area() > $this->state->tolerance->area) {
                        return $common->centroid();
                    }
                }
            }
        }

        return null;
    }

    /** @return list<Flap> */
    private function gather(): array
    {
        $beyond = fn (Edge $edge): bool => $this->state
            ->segment($edge)
            ->reachesBeyond($this->line, $this->state->tolerance->length);
        $parts = FaceGraph::of($this->state->pattern, $beyond, array_keys($this->parts))->parts();

        return array_map(static fn (array $faces): Flap => new Flap($faces), $parts);
    }

    private function reaches(Flap $flap, Point $grip): bool
    {
        foreach ($flap->faces as $face) {
            if ($this->parts[$face]->contains($grip, -$this->state->tolerance->meeting)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Flap>  $flaps
     * @return list<Flap> outermost first
     */
    private function sorted(array $flaps, bool $fromTop): array
    {
        $sorted = [];
        while ($flaps !== []) {
            foreach ($flaps as $i => $candidate) {
                if (! $this->liesUnderAny($candidate, $flaps, $fromTop)) {
                    $sorted[] = $candidate;
                    array_splice($flaps, $i, 1);

                    continue 2;
                }
            }

            return [...$sorted, ...$flaps]; // woven into one another: SimpleFold refuses what cannot move
        }

        return $sorted;
    }

    /** @param  list<Flap>  $others */
    private function liesUnderAny(Flap $flap, array $others, bool $fromTop): bool
    {
        return $this->meets(
            $flap,
            $others,
            fn (int $mine, int $other): bool => $this->state->order->above($other, $mine) === $fromTop,
        );
    }

    /** @param  list<Flap>  $others */
    private function liesOverAny(Flap $flap, array $others, bool $fromTop): bool
    {
        return $this->meets(
            $flap,
            $others,
            fn (int $mine, int $other): bool => $this->state->order->above($mine, $other) === $fromTop,
        );
    }

    /**
     * @param  list<Flap>  $others
     * @param  callable(int, int): bool  $so
     */
    private function meets(Flap $flap, array $others, callable $so): bool
    {
        foreach ($others as $other) {
            foreach ($other === $flap ? [] : $flap->faces as $f) {
                foreach ($other->faces as $g) {
                    if (
                        $so($f, $g) &&
                        $this->parts[$f]->intersection($this->parts[$g])->area() > $this->state->tolerance->area
                    ) {
                        return true;
                    }
                }
            }
        }

        return false;
    }
}
