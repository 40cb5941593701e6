<?php

declare(strict_types=1);

namespace Cathedra\Core\Space;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Space\Mesh\Mesh;
use Cathedra\Core\Space\Mesh\MeshBuilder;
use Cathedra\Core\Space\Turn\Slide;
use Closure;

/**
 * From one flat state to the next: how every cell moves, seen from the paper that stays. The largest part that moves
 * rigidly without turning over counts as still; what it does itself (the slide) is put back afterwards.
 */
final readonly class Transition
{
    /**
     * @param  array<int, int>  $motionOf  by cell: the number of its motion; 0 is still
     * @param  array<int, Isometry>  $motions  in the plane of the state before; the first is the identity
     * @param  Slide  $slide  what the still part does, seen by the folder
     * @param  array<int, Isometry>  $placesBefore  by cell, from the sheet
     * @param  array<int, Isometry>  $placesAfter  by cell, from the sheet, without the slide
     * @param  array<int, array{float, float, float}>  $start  by vertex, mm
     * @param  array<int, array{float, float, float}>  $end  by vertex, without the slide, mm
     */
    private function __construct(
        public FoldedState $before,
        public FoldedState $after,
        public Mesh $mesh,
        public array $motionOf,
        public array $motions,
        public Slide $slide,
        public array $placesBefore,
        public array $placesAfter,
        public array $start,
        public array $end,
    ) {
    }

    /** @param  (Closure(int): list<Line>)|null  $bends  on the sheet, by face before: cells are cut along them, too */
    public static function between(FoldedState $before, FoldedState $after, ?Closure $bends = null): self
    {
        $mesh = MeshBuilder::between($before, $after, $bends);
        $was = array_map(static fn (int $f): Isometry => $before->placements[$f], $mesh->from);
        $will = array_map(static fn (int $f): Isometry => $after->placements[$f], $mesh->to);
        $relative = [];
        foreach ($was as $cell => $place) {
            $relative[] = $place->inverse()->then($will[$cell]);
        }
        [$motions, $motionOf] = self::classes($relative, $before);
        $reference = self::reference($motions, $motionOf, $mesh);
        $back = $motions[$reference]->inverse();
        $places = array_map(static fn (Isometry $i): Isometry => $i->then($back), $will);
        // the reference is number 0, and its motion nothing
        $order = [$reference, ...array_diff(array_keys($motions), [$reference])];
        $rank = array_flip($order);

        return new self(
            before: $before,
            after: $after,
            mesh: $mesh,
            motionOf: array_map(static fn (int $m): int => $rank[$m], $motionOf),
            motions: [
                Isometry::identity(),
                ...array_map(static fn (int $m): Isometry => $motions[$m]->then($back), array_slice($order, 1)),
            ],
            slide: Slide::of($motions[$reference]),
            placesBefore: $was,
            placesAfter: $places,
            start: self::corners($mesh, $was),
            end: self::corners($mesh, $places),
        );
    }

    public function isStill(int $cell): bool
    {
        return $this->motionOf[$cell] === 0;
    }

    /** Nothing bends: the model is turned as a whole, or only creased. */
    public function isRigid(): bool
    {
        return count($this->motions) === 1;
    }

    /**
     * Which cell lies over which, before or after (without the slide), where they cover a common area.
     *
     * @return array<int, array<int, bool>> by cell, by another cell: whether the first lies over the other
     */
    public function layers(bool $afterwards): array
    {
        [$state, $faces] = $afterwards ? [$this->after, $this->mesh->to] : [$this->before, $this->mesh->from];
        $places = $afterwards ? $this->placesAfter : $this->placesBefore;
        $polygons = $this->polygons($places);
        $boxes = array_map(static fn (Polygon $p): Box => $p->box(), $polygons);
        $turned = $afterwards && ! $this->slide->keepsSide;
        $layers = [];
        foreach ($polygons as $i => $one) {
            for ($j = $i + 1; $j < count($polygons); $j++) {
                $above = $state->order->above($faces[$i], $faces[$j]);
                if (
                    $above !== null && $boxes[$i]->overlaps($boxes[$j], 0.0) &&
                    $one->intersection($polygons[$j])->area() > $state->tolerance->area
                ) {
                    $layers[$i][$j] = $above !== $turned;
                    $layers[$j][$i] = $above === $turned;
                }
            }
        }

        return $layers;
    }

    /** @return array<int, Polygon> the cells as they lie before or after (without the slide) */
    public function laid(bool $afterwards): array
    {
        return $this->polygons($afterwards ? $this->placesAfter : $this->placesBefore);
    }

    /**
     * @param  array<int, Isometry>  $places
     * @return array<int, Polygon>
     */
    private function polygons(array $places): array
    {
        $polygons = [];
        foreach ($this->mesh->cells as $cell => $loop) {
            $polygons[] = Polygon::of(array_map(
                fn (int $v): Point => new Point(...$this->mesh->sheet[$v]),
                $loop,
            ))->placed($places[$cell]);
        }

        return $polygons;
    }

    /** Whether a cell shows its front to the folder, before or after (without the slide). */
    public function showsFront(int $cell, bool $afterwards): bool
    {
        return ($afterwards ? $this->placesAfter : $this->placesBefore)[$cell]->keepsOrientation();
    }

    /**
     * @param  array<int, Isometry>  $relative
     * @return array{array<int, Isometry>, array<int, int>}
     */
    private static function classes(array $relative, FoldedState $state): array
    {
        [$motions, $of] = [[], []];
        foreach ($relative as $cell => $motion) {
            foreach ($motions as $m => $known) {
                if ($known->equals($motion, $state->tolerance, $state->sheet->diagonal())) {
                    $of[$cell] = $m;

                    continue 2;
                }
            }
            $motions[] = $motion;
            $of[$cell] = count($motions) - 1;
        }

        return [$motions, $of];
    }

    /**
     * @param  array<int, Isometry>  $motions
     * @param  array<int, int>  $motionOf
     */
    private static function reference(array $motions, array $motionOf, Mesh $mesh): int
    {
        $area = array_fill(0, count($motions), 0.0);
        foreach ($mesh->triangles as $i => [$a, $b, $c]) {
            [$p, $q, $r] = [$mesh->sheet[$a], $mesh->sheet[$b], $mesh->sheet[$c]];
            $area[$motionOf[$mesh->cellOf[$i]]] +=
                (($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0])) / 2;
        }
        $best = 0;
        foreach ($motions as $m => $motion) {
            $stays = static fn (Isometry $i): bool => Slide::of($i)->isNothing();
            $alike = abs($area[$m] - $area[$best]) < 1e-6 * $area[$best];
            $larger = $alike ? $stays($motion) && ! $stays($motions[$best]) : $area[$m] > $area[$best];
            [$proper, $was] = [$motion->keepsOrientation(), $motions[$best]->keepsOrientation()];
            if (($proper && ! $was) || ($proper === $was && $larger)) {
                $best = $m;
            }
        }

        return $best;
    }

    /**
     * @param  array<int, Isometry>  $places
     * @return array<int, array{float, float, float}>
     */
    private static function corners(Mesh $mesh, array $places): array
    {
        $at = [];
        foreach ($mesh->cells as $cell => $loop) {
            foreach ($loop as $vertex) {
                if (! isset($at[$vertex])) {
                    [$x, $y] = $mesh->sheet[$vertex];
                    $p = $places[$cell]->of(new Point($x, $y));
                    $at[$vertex] = [$p->x, $p->y, 0.0];
                }
            }
        }
        ksort($at);

        return array_values($at);
    }
}
