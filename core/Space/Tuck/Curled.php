<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Tuck;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Space\Transition;
use Cathedra\Core\Space\Turn\HalfTurn;
use Cathedra\Core\Space\Turn\RigidTurn;
use Cathedra\Core\Space\Turn\Rounds;

/**
 * A tuck into a pocket that is closed on two sides, whose front cannot be opened like a leaf: the tip is rolled over
 * and pushed in (`TipLoop`), while the front of the pocket bulges a little, or what reaches beyond the mouth is bent
 * aside.
 *
 * In the way of the tip lies one layer: its part on the pocket's side of the tip's line is the cover, its part beyond
 * is the wing.
 */
final readonly class Curled
{
    /** The most a cover bulges, as a share of the shorter side (3 mm of 150); less where that stretches it. */
    private const BULGES = [0.02, 0.014];

    /** Degrees by which a wing is bent aside, tried in this order; at 80 a tip passes through it. */
    private const ASIDE = [105, 125, 145];

    /** Moments of opening, and of closing. */
    private const OPENING = 8;

    /** Lines across a cover, and shares of the tip's reach at which it is cut along the mouth. */
    private const ACROSS = 3;

    private const ALONG = [0.35, 0.7];

    /**
     * @param  Line  $mouth  its positive side that of the tip before
     * @param  int  $up  1 where the tip goes toward the folder, else -1
     * @param  array<int, array{int, float}>  $tip  by vertex: its strip, and mm from the root
     * @param  array<int, float>  $cover  by vertex: the share of the most by which it bulges
     * @param  array<int, true>  $wing  by vertex
     */
    private function __construct(
        public Transition $transition,
        private Line $mouth,
        private int $up,
        private TipLoop $loop,
        private array $tip,
        private array $cover,
        private array $wing,
    ) {
    }

    /** Null where it is not such a tuck. */
    public static function of(Transition $flat, HalfTurn $turn): ?self
    {
        if (count($turn->parts) !== 1) {
            return null;
        }
        $up = Rounds::liftsUp($flat, $turn->parts[0]);
        $mouth = $up ? $turn->parts[0]['axis'] : $turn->parts[0]['axis']->reversed();
        $cells = array_values($turn->parts[0]['cells']);
        $front = $turn->blockedBy();
        if (self::isCovered($flat, $cells, $front, $up)) {
            return null;
        }
        $reach = max([0.0, ...array_map($mouth->distanceTo(...), self::corners($flat, $cells))]);
        $loop = TipLoop::of($reach, $flat->mesh->side);
        $bent = self::cut(flat: $flat, mouth: $mouth, loop: $loop, tip: $cells, front: $front);
        $isTip = self::lieIn($flat, $bent, $cells);
        $isFront = self::lieIn($flat, $bent, $front);
        [$tip, $wing, $cover] = [[], [], []];
        foreach ($bent->laid(false) as $cell => $laid) {
            $out = $mouth->distanceTo($laid->centroid());
            foreach ($bent->mesh->cells[$cell] as $vertex) {
                if (isset($isTip[$cell])) {
                    $tip[$vertex] = $mouth->distanceTo(self::point($bent, $vertex));
                } elseif (isset($isFront[$cell]) && $out > 0) {
                    $wing[$vertex] = true;
                } elseif (isset($isFront[$cell])) {
                    $cover[$vertex] = true;
                }
            }
        }
        $near = $flat->before->tolerance->aside;
        $closed = self::closedEdges(bent: $bent, isFront: $isFront, mouth: $mouth, hasWing: $wing !== [], near: $near);

        return $closed === null ? null : new self(
            transition: $bent,
            mouth: $mouth,
            up: $up ? 1 : -1,
            loop: $loop,
            tip: array_map(static fn (float $d): array => [$loop->stripAt($d), $d], $tip),
            cover: self::bulges($bent, array_keys($cover), $closed),
            wing: $wing,
        );
    }

    /** @return iterable<list<array<int, array{float, float, float}>>>  moments by way, without the slide */
    public function ways(): iterable
    {
        foreach (self::BULGES as $bulge) {
            foreach ($this->wing === [] ? [0] : self::ASIDE as $degrees) {
                yield $this->frames($bulge * $this->transition->mesh->side, deg2rad($degrees));
            }
        }
    }

    /** @return list<array<int, array{float, float, float}>> */
    private function frames(float $bulge, float $aside): array
    {
        $moments = $this->loop->moments();
        $frames = [];
        for ($i = 0; $i < self::OPENING; $i++) {
            $frames[] = $this->at($moments[0], $bulge * $i / self::OPENING, $aside * $i / self::OPENING);
        }
        foreach ($moments as $headings) {
            $frames[] = $this->at($headings, $bulge, $aside);
        }
        for ($i = self::OPENING - 1; $i > 0; $i--) {
            $share = $i / self::OPENING;
            $frames[] = $this->at($moments[count($moments) - 1], $bulge * $share, $aside * $share);
        }
        $frames[] = $this->transition->end;

        return $frames;
    }

    /**
     * Whether anything but the front lies over the tip or over the front itself, on the side to which the tip goes; or
     * the front is more than one layer, or does not lie over the tip in the end.
     *
     * @param  array<int, int>  $tip
     * @param  array<int, int>  $front
     */
    private static function isCovered(Transition $flat, array $tip, array $front, bool $up): bool
    {
        $own = array_flip([...$tip, ...$front]);
        $isFront = array_flip($front);
        foreach ([$flat->layers(false), $flat->layers(true)] as $afterwards => $over) {
            foreach (array_keys($own) as $cell) {
                foreach ($over[$cell] ?? [] as $other => $isOver) {
                    $isUnder = $isOver !== $up;
                    $wrong = match (true) {
                        ! isset($own[$other]) => $isUnder,
                        isset($isFront[$cell], $isFront[$other]) => true,
                        default => $afterwards === 1 && isset($isFront[$cell]) && $isUnder,
                    };
                    if ($wrong) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /**
     * The transition cut into the strips of the tip, and the front into pieces that can bend.
     *
     * @param  array<int, int>  $tip  cells of the flat transition
     * @param  array<int, int>  $front
     */
    private static function cut(Transition $flat, Line $mouth, TipLoop $loop, array $tip, array $front): Transition
    {
        $reach = $loop->borders[count($loop->borders) - 1];
        $direction = $mouth->direction();
        $away = static fn (float $out): Line => Line::along(
            $mouth->foot()->plus($mouth->normal->times($out)),
            $direction,
        );
        $along = array_map(static fn (Point $p): float => $p->dot($direction), self::corners($flat, $tip));
        [$least, $most] = [min([INF, ...$along]), max([-INF, ...$along])];
        $strips = array_map($away, array_slice($loop->borders, 1, -1));
        $bends = [$away(0.0), ...array_map(static fn (float $share): Line => $away(-$share * $reach), self::ALONG)];
        for ($i = 1; $i <= self::ACROSS; $i++) {
            $at = $least + ($most - $least) * $i / (self::ACROSS + 1);
            $bends[] = Line::along($direction->times($at), $mouth->normal);
        }
        $of = static fn (array $cells): array => array_fill_keys(
            array_map(static fn (int $c): int => $flat->mesh->from[$c], $cells),
            true,
        );
        [$tipFaces, $frontFaces] = [$of($tip), $of($front)];

        return Transition::between(
            $flat->before,
            $flat->after,
            static fn (int $face): array => array_map(
                $flat->before->placements[$face]->inverse()->ofLine(...),
                [...isset($tipFaces[$face]) ? $strips : [], ...isset($frontFaces[$face]) ? $bends : []],
            ),
        );
    }

    /**
     * Cells of the bent transition that are pieces of cells of the flat one.
     *
     * @param  array<int, int>  $cells
     * @return array<int, true> by cell
     */
    private static function lieIn(Transition $flat, Transition $bent, array $cells): array
    {
        $found = [];
        $laid = $flat->laid(false);
        $whole = array_map(static fn (int $c): Polygon => $laid[$c], $cells);
        foreach ($bent->laid(false) as $cell => $polygon) {
            foreach ($cells as $k => $one) {
                if (
                    $flat->mesh->from[$one] === $bent->mesh->from[$cell] &&
                    $flat->mesh->to[$one] === $bent->mesh->to[$cell] && $whole[$k]->contains($polygon->centroid())
                ) {
                    $found[$cell] = true;
                }
            }
        }

        return $found;
    }

    /**
     * Edges of the cover that stay where they are; null where the wing hangs on anything but the cover.
     *
     * @param  array<int, true>  $isFront  by cell
     * @return list<Segment>|null
     */
    private static function closedEdges(
        Transition $bent,
        array $isFront,
        Line $mouth,
        bool $hasWing,
        float $near,
    ): ?array {
        $edges = [];
        foreach ($bent->mesh->hinges as $hinge) {
            $one = isset($isFront[$hinge['left']]);
            $edge = new Segment(self::point($bent, $hinge['a']), self::point($bent, $hinge['b']));
            if ($one !== isset($isFront[$hinge['right']])) {
                if ($mouth->distanceTo($edge->middle()) > $near) {
                    return null;
                }
                $edges[] = $edge;
            } elseif ($one && $hasWing && $edge->liesOn($mouth, $near)) {
                $edges[] = $edge;
            }
        }

        return $edges;
    }

    /**
     * @param  list<int>  $vertices  of the cover
     * @param  list<Segment>  $closed
     * @return array<int, float> by vertex, 0 to 1
     */
    private static function bulges(Transition $bent, array $vertices, array $closed): array
    {
        $off = [];
        foreach ($vertices as $vertex) {
            $p = self::point($bent, $vertex);
            $off[$vertex] = $closed === []
                ? 0.0
                : min(array_map(static fn (Segment $edge): float => $edge->distanceTo($p), $closed));
        }
        $most = max([1e-9, ...$off]);

        return array_map(static fn (float $d): float => sin(M_PI_2 * min(1.0, $d / $most)), $off);
    }

    /**
     * @param  list<float>  $headings
     * @param  float  $bulge  mm
     * @param  float  $aside  radians
     * @return array<int, array{float, float, float}>
     */
    private function at(array $headings, float $bulge, float $aside): array
    {
        $at = $this->transition->start;
        foreach ($this->cover as $vertex => $share) {
            $at[$vertex] = [$at[$vertex][0], $at[$vertex][1], $this->up * $bulge * $share];
        }
        $wing = array_intersect_key($at, $this->wing);
        $at = RigidTurn::about($wing, $this->mouth, $aside * $this->up) + $at;
        $borders = $this->loop->places($headings);
        $normal = $this->mouth->normal;
        foreach ($this->tip as $vertex => [$strip, $out]) {
            $into = $out - $this->loop->borders[$strip];
            $y = $borders[$strip][0] + $into * cos($headings[$strip]);
            $z = $borders[$strip][1] + $into * sin($headings[$strip]);
            $at[$vertex] = [
                $this->transition->start[$vertex][0] + $normal->x * ($y - $out),
                $this->transition->start[$vertex][1] + $normal->y * ($y - $out),
                $this->up * $z,
            ];
        }
        ksort($at);

        return array_values($at);
    }

    /**
     * @param  array<int, int>  $cells
     * @return array<int, Point>
     */
    private static function corners(Transition $transition, array $cells): array
    {
        return array_map(
            static fn (int $v): Point => self::point($transition, $v),
            array_merge(...array_map(static fn (int $c): array => $transition->mesh->cells[$c], $cells)),
        );
    }

    private static function point(Transition $transition, int $vertex): Point
    {
        [$x, $y] = $transition->start[$vertex];

        return new Point($x, $y);
    }
}
