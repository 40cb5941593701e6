<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Run;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;

/** Parts of the model that have a name of the table from some step on: a leg, a wing, a mast. */
final readonly class Called
{
    /** How far inside a face one looks whether it lies on top, as a share of the way to its middle. */
    private const BESIDE = 0.01;

    /** @param  array<string, Point>  $parts  a point of each on the sheet, mm, by name */
    public function __construct(public array $parts = [])
    {
    }

    /** @param  Point|null  $onSheet  null: the name is given up */
    public function with(string $name, ?Point $onSheet): self
    {
        $parts = $this->parts;
        unset($parts[$name]);

        return new self($onSheet === null ? $parts : $parts + [$name => $onSheet]);
    }

    /** @throws CannotFold when the paper of a part is cut away */
    public function mustBeThere(FoldedState $state): void
    {
        foreach ($this->parts as $name => $point) {
            if ($state->positionOf($point) === null) {
                throw CannotFold::notFound(
                    "The part called \"$name\" is no longer there, it is cut away. Write \"call: {{$name}: none}\" in "
                        .'this step, or call another point so.',
                );
            }
        }
    }

    /** The part that lies here on top, where a hand would take it; null when none does. */
    public function at(FoldedState $state, Point $p): ?CalledPart
    {
        foreach ($this->parts as $name => $point) {
            foreach ($state->pattern->faces as $face => $_) {
                if (
                    $state->placements[$face]->of($point)->distanceTo($p) < $state->tolerance->aside &&
                    $state->pattern->polygon($face)->contains($point, -$state->tolerance->meeting) &&
                    Stacks::facesAt($state, $p->toward($state->polygons[$face]->centroid(), self::BESIDE))[0] === $face
                ) {
                    return new CalledPart((string) $name, max(0.0, ...array_map(
                        static fn (Point $corner): float => $corner->distanceTo($p),
                        $state->polygons[$face]->points,
                    )));
                }
            }
        }

        return null;
    }
}
