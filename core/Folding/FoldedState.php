<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Folding\Order\Condition;
use Cathedra\Core\Folding\Order\LayerOrder;
use Cathedra\Core\Folding\Order\Overlaps;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Geometry\Tolerance;

/**
 * One sheet, folded flat, as the folder sees it: x to the right, y up, z toward the folder, in mm. A state that breaks
 * an invariant of folded paper cannot be made: every entrance ends in Invariants::check.
 */
final readonly class FoldedState
{
    /** @var list<Polygon> the faces in the folded plane */
    public array $polygons;

    /** @var list<bool> whether a face shows its front to the folder */
    public array $frontUp;

    public Tolerance $tolerance;

    public Overlaps $overlaps;

    /**
     * @param  list<Isometry>  $placements  from the flat sheet to the folded plane, one per face
     * @param  float  $removedArea  mm2 cut away so far
     */
    private function __construct(
        public Sheet $sheet,
        public Pattern $pattern,
        public array $placements,
        public LayerOrder $order,
        public float $removedArea,
        ?Overlaps $overlaps = null,
    ) {
        $this->tolerance = $sheet->tolerance();
        $this->frontUp = array_map(static fn (Isometry $p): bool => $p->keepsOrientation(), $placements);
        $this->polygons = $overlaps->polygons ?? array_map(
            static fn (int $f): Polygon => $pattern->polygon($f)->placed($placements[$f]),
            array_keys($pattern->faces),
        );
        $this->overlaps = $overlaps ?? Overlaps::among($this->polygons, $this->tolerance);
    }

    /** The unfolded sheet lying with the given side up. */
    public static function flat(Sheet $sheet, Side $up): self
    {
        $place = $up === Side::Front ? Isometry::identity() : Isometry::reflection(self::upright($sheet->width / 2));

        return new self(
            sheet: $sheet,
            pattern: Pattern::blank($sheet),
            placements: [$place],
            order: LayerOrder::empty(1),
            removedArea: 0.0,
        );
    }

    /**
     * @param  list<Isometry>  $placements
     * @param  list<Condition>|null  $conditions  those of this very pattern, where the fold has drawn them up already;
     *     null:
     *     they are drawn up here. Whether the order meets them is checked either way
     *
     * @throws CannotFold when paper could not lie like this
     */
    public static function assembled(
        Sheet $sheet,
        Pattern $pattern,
        array $placements,
        LayerOrder $order,
        float $removedArea = 0.0,
        ?Overlaps $overlaps = null,
        ?array $conditions = null,
    ): self {
        $state = new self(
            sheet: $sheet,
            pattern: $pattern,
            placements: $placements,
            order: $order,
            removedArea: $removedArea,
            overlaps: $overlaps,
        );
        Invariants::check($state, $conditions);

        return $state;
    }

    /**
     * The same layers in the same order, divided further (or some of them taken away).
     *
     * @param  list<int>  $parent  for each face of $pattern the face of this state it was part of
     * @param  float|null  $removed  mm2 cut away so far; null: as before
     *
     * @throws CannotFold when two faces cannot be told apart, or an invariant breaks
     */
    public function divided(Pattern $pattern, array $parent, ?float $removed = null): self
    {
        $placements = array_map(fn (int $face): Isometry => $this->placements[$face], $parent);
        $polygons = array_map(
            static fn (int $face): Polygon => $pattern->polygon($face)->placed($placements[$face]),
            array_keys($pattern->faces),
        );
        $overlaps = Overlaps::among($polygons, $this->tolerance);
        $n = count($polygons);
        $bits = [];
        foreach ($overlaps->common as $key => $shared) {
            $bits[$key] =
                $this->order->above($parent[intdiv($key, $n)], $parent[$key % $n]) ??
                throw CannotFold::tooClose($shared->centroid());
        }

        return self::assembled(
            sheet: $this->sheet,
            pattern: $pattern,
            placements: $placements,
            order: LayerOrder::of($n, $bits),
            removedArea: $removed ?? $this->removedArea,
            overlaps: $overlaps,
        );
    }

    /**
     * The same state with short marks pressed where a line crosses some of its layers; no face is divided.
     *
     * @param  Segment  $at  in the folded plane
     * @param  list<int>  $faces  the layers pressed
     *
     * @throws CannotFold when none of these layers lies there
     */
    public function pinched(Segment $at, array $faces, string $origin): self
    {
        $pinches = [];
        foreach ($faces as $face) {
            $part = $this->polygons[$face]->spanInside($at->a, $at->b, $this->tolerance->length);
            if ($part !== null) {
                $inside = new Segment($at->at($part[0]), $at->at($part[1]));
                $onSheet = $inside->placed($this->placements[$face]->inverse());
                $pinches[] = new Pinch($onSheet, $origin);
            }
        }
        if ($pinches === []) {
            throw CannotFold::notFound('No paper that is folded here lies where it should be pinched.', $at->middle());
        }

        return new self(
            sheet: $this->sheet->pinched($pinches),
            pattern: $this->pattern,
            placements: $this->placements,
            order: $this->order,
            removedArea: $this->removedArea,
            overlaps: $this->overlaps,
        );
    }

    /** Whether anything of it is folded: a sheet with open creases is not. */
    public function isFolded(): bool
    {
        foreach ($this->pattern->edges as $edge) {
            if ($edge->assignment->isFolded()) {
                return true;
            }
        }

        return false;
    }

    public function faceCount(): int
    {
        return $this->pattern->faceCount();
    }

    /** Where a vertex of a face lies in the folded plane. */
    public function corner(int $face, int $vertex): Point
    {
        return $this->placements[$face]->of($this->pattern->vertices[$vertex]);
    }

    /** An edge in the folded plane. */
    public function segment(Edge $edge): Segment
    {
        return new Segment($this->corner($edge->faces[0], $edge->a), $this->corner($edge->faces[0], $edge->b));
    }

    public function box(): Box
    {
        $points = [];
        foreach ($this->polygons as $polygon) {
            $points = [...$points, ...$polygon->points];
        }

        return Box::around($points);
    }

    /** The folded position of a point of the sheet; null when it was cut away. */
    public function positionOf(Point $onSheet): ?Point
    {
        $face = $this->pattern->faceAt($onSheet, $this->tolerance->length);

        return $face === null ? null : $this->placements[$face]->of($onSheet);
    }

    /**
     * Turned over about an upright (or level) axis. Valid because the paper is the same.
     *
     * @param  Point|null  $about  a point of the axis; null: the middle of what is seen
     */
    public function turnedOver(bool $aboutUpright = true, ?Point $about = null): self
    {
        $centre = $about ?? $this->box()->centre();
        $axis = $aboutUpright ? self::upright($centre->x) : Line::along($centre, new Point(1, 0));

        return $this->moved(Isometry::reflection($axis), $this->order->turnedOver());
    }

    /** @param  float  $radians counterclockwise, about the middle of what is seen */
    public function rotated(float $radians): self
    {
        return $this->moved(Isometry::rotation($radians, $this->box()->centre()), $this->order);
    }

    /** @param  Point  $by in the folded plane, mm */
    public function shifted(Point $by): self
    {
        return $this->moved(Isometry::shift($by), $this->order);
    }

    private function moved(Isometry $by, LayerOrder $order): self
    {
        $placements = array_map(static fn (Isometry $p): Isometry => $p->then($by), $this->placements);

        return new self(
            sheet: $this->sheet,
            pattern: $this->pattern,
            placements: $placements,
            order: $order,
            removedArea: $this->removedArea,
            overlaps: $this->overlaps->moved($by),
        );
    }

    private static function upright(float $x): Line
    {
        return Line::along(new Point($x, 0), new Point(0, 1));
    }
}
