<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\LayerDepth;
use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Numeric\Union;
use Cathedra\Core\Space\Mesh\Vector;

/**
 * The paper boat, its two loose tips drawn apart. The flat state is a square on its corner: the peak T and the keel B
 * on its middle line, a side of the square s apart. Behind one another lie four walls, two to the left and two to the
 * right, in front and behind, each with a tip F that was folded up in the line from B to the square's corner.
 *
 * A wall with its tip unfolded is half a square of side s: T, B, F. While F is drawn out the fold rolls on: at share m
 * of the diagonal from T to F lies L, and the wall is T B L and L B F, two triangles that keep their shape. m is 1/2
 * in the flat state; at 1 the boat would be the hat again. The keel opens to B = (0, 0, +-b). With h^2 = s^2 - b^2 is
 * T = (0, h, 0), F lies in the plane between front and back at h from the origin, and L = (u, v, 0) with
 * v = (h^2 - b^2 - s^2 (2 m - 1)) / 2 h, u^2 = s^2 ((1 - m)^2 + m^2) - v^2 - b^2. F is the upper one of the two places
 * at the right distance from L. So nothing is stretched at any moment; fold lines are fans of strips from B.
 */
final readonly class DrawnBoat implements FormByFormula
{
    /** Places of the rolling fold between the flat state and the end. */
    private const STRIPS = 16;

    /** Where the fold ends, and how far the keel opens, as a share of s: by eye, an upright hull with raised tips. */
    private const END = 0.7;

    private const OPEN = 0.36;

    /**
     * @param  array<int, bool>  $isTip  by face
     * @param  array<int, bool>  $isFront  by face: whether it lies in front of the hull's hollow
     * @param  Point  $keel  on the table
     * @param  float  $s  mm
     */
    private function __construct(
        private FoldedState $flat,
        private array $isTip,
        private array $isFront,
        private Point $keel,
        private float $s,
    ) {
    }

    public static function of(FoldedState $flat): ?self
    {
        $box = Box::around(array_merge(...array_map(static fn (Polygon $p): array => $p->points, $flat->polygons)));
        $s = $box->height();
        if (abs($box->width() - $s) > 1e-3 * $s) {
            return null;
        }
        $middle = $box->centre();
        [$peak, $keel] = [new Point($middle->x, $box->top), new Point($middle->x, $box->bottom)];
        [$left, $right] = [new Point($box->left, $middle->y), new Point($box->right, $middle->y)];
        $isTip = self::tips($flat, [new Segment($keel, $left), new Segment($keel, $right)]);
        $isFront = self::fronts($flat, [new Segment($peak, $left), new Segment($peak, $right)]);

        return $isTip === null || $isFront === null ? null : new self(
            flat: $flat,
            isTip: $isTip,
            isFront: $isFront,
            keel: $keel,
            s: $s,
        );
    }

    /**
     * Whether each face belongs to a tip: whoever crosses a lower edge of the square gets from a wall to its tip or
     * back, and tips lie outside.
     *
     * @param  list<Segment>  $folds  the lower edges
     * @return array<int, bool>|null  by face; null where that leads to different answers
     */
    private static function tips(FoldedState $flat, array $folds): ?array
    {
        $isTip = [0 => false];
        $queue = [0];
        for ($i = 0; $i < count($queue); $i++) {
            $face = $queue[$i];
            foreach ($flat->pattern->around($face) as $edge) {
                $other = $edge->other($face);
                if ($other === null) {
                    continue;
                }
                $there = self::isOn($flat, $face, $edge, $folds) ? ! $isTip[$face] : $isTip[$face];
                if (isset($isTip[$other]) && $isTip[$other] !== $there) {
                    return null;
                }
                if (! isset($isTip[$other])) {
                    $isTip[$other] = $there;
                    $queue[] = $other;
                }
            }
        }
        $outermost = array_keys(LayerDepth::of($flat), 0, true)[0];

        return array_map(static fn (bool $tip): bool => $tip === $isTip[$outermost], $isTip);
    }

    /**
     * Whether each face lies in front of the hull's hollow: what hangs together apart from creases on the upper edges
     * lies on one side of it, and so does what lies partly over and partly under such a piece.
     *
     * @param  list<Segment>  $folds  the upper edges
     * @return array<int, bool>|null  by face; null where there are not two sides
     */
    private static function fronts(FoldedState $flat, array $folds): ?array
    {
        $faces = array_keys($flat->pattern->faces);
        $union = new Union();
        foreach ($faces as $face) {
            foreach ($flat->pattern->around($face) as $edge) {
                $other = $edge->other($face);
                if ($other !== null && ! self::isOn($flat, $face, $edge, $folds)) {
                    $union->join($face, $other);
                }
            }
        }
        do {
            [$above, $mixed] = [[], null];
            foreach ($faces as $face) {
                foreach ($faces as $other) {
                    [$one, $two] = [$union->root($face), $union->root($other)];
                    $isAbove = $one === $two ? null : $flat->order->above($face, $other);
                    if ($isAbove !== null && ($above[$one][$two] ??= $isAbove) !== $isAbove) {
                        $mixed = [$one, $two];
                    }
                }
            }
            $mixed === null || $union->join($mixed[0], $mixed[1]);
        } while ($mixed !== null);
        $sides = array_values(array_unique(array_map($union->root(...), $faces)));
        if (count($sides) !== 2) {
            return null;
        }
        $front = ($above[$sides[0]][$sides[1]] ?? false) ? $sides[0] : $sides[1];

        return array_map(static fn (int $face): bool => $union->root($face) === $front, $faces);
    }

    /** @param  list<Segment>  $lines */
    private static function isOn(FoldedState $flat, int $face, Edge $edge, array $lines): bool
    {
        $near = 10 * $flat->tolerance->aside;
        $crease = $flat->pattern->segment($edge)->placed($flat->placements[$face]);
        foreach ($lines as $line) {
            if ($line->passes($crease->middle(), $near) && $crease->liesOn($line->straight(), $near)) {
                return true;
            }
        }

        return false;
    }

    public function bends(int $face): array
    {
        $along = fn (float $across, float $up): Line => $this->flat->placements[$face]->inverse()->ofLine(
            Line::along($this->keel, new Point($across, $up)),
        );
        $lines = [$along(0.0, 1.0)];
        for ($i = 1; $this->isTip[$face] && $i <= self::STRIPS; $i++) {
            $m = $this->fold($i / self::STRIPS);
            array_push($lines, $along(1 - $m, $m), $along($m - 1, $m));
        }

        return $lines;
    }

    public function stages(): int
    {
        return 1;
    }

    public function at(Spot $spot, float $progress): array
    {
        [$isTip, $front] = [$this->isTip[$spot->face], $this->isFront[$spot->face] ? 1 : -1];
        $m = $this->fold($progress);
        ['peak' => $peak, 'turn' => $turn, 'tip' => $tip, 'keel' => $keel] = $this->corners($m, $progress);
        $keel = [0.0, 0.0, $front * $keel];
        $middle = $this->flat->placements[$spot->face]->of($spot->middle);
        $side = $middle->x < $this->keel->x ? -1 : 1;
        [$out, $up] = $this->unfolded($spot->flat, $isTip, $side);
        [$outOfMiddle, $upOfMiddle] = $this->unfolded($middle, $isTip, $side);
        if ($upOfMiddle * $m > $outOfMiddle * (1 - $m)) {
            $far = $out / ($m * $this->s);
            $p = $this->between(
                keel: $keel,
                turn: $turn,
                far: $far,
                end: $peak,
                further: $up / $this->s - $far * (1 - $m),
            );
        } else {
            $far = $up / ((1 - $m) * $this->s);
            $p = $this->between(keel: $keel, turn: $turn, far: $far, end: $tip, further: $out / $this->s - $far * $m);
        }

        return [$this->keel->x + $side * $p[0], $this->keel->y + $p[1], $p[2]];
    }

    public function sizes(): array
    {
        ['peak' => $peak, 'tip' => $tip, 'keel' => $keel] = $this->corners(self::END, 1.0);

        return ['width' => 2 * $tip[0], 'depth' => 2 * $keel, 'height' => $peak[1]];
    }

    /** The share of the diagonal at which the fold stands; it rolls from strip to strip. */
    private function fold(float $progress): float
    {
        return 0.5 + (self::END - 0.5) * round($progress * self::STRIPS) / self::STRIPS;
    }

    /**
     * A place of the flat state in half a square, from the keel.
     *
     * @param  int  $side  1 right, -1 left
     * @return array{float, float} how far out, how far up; mm
     */
    private function unfolded(Point $flat, bool $isTip, int $side): array
    {
        $from = $flat->minus($this->keel);

        return $isTip ? [$from->y, $side * $from->x] : [$side * $from->x, $from->y];
    }

    /**
     * @return array{peak: array{float, float, float}, turn: array{float, float, float},
     *     tip: array{float, float, float}, keel: float} out, up, toward the folder, from the middle of the keel, mm
     */
    private function corners(float $m, float $progress): array
    {
        $s = $this->s;
        $b = self::OPEN * $s * $progress;
        $h = sqrt($s ** 2 - $b ** 2);
        $v = ($h ** 2 - $b ** 2 - $s ** 2 * (2 * $m - 1)) / (2 * $h);
        $u = sqrt(max(0.0, $s ** 2 * ((1 - $m) ** 2 + $m ** 2) - $v ** 2 - $b ** 2));
        $far = hypot($u, $v);
        $angle = atan2($v, $u) + acos(($h ** 2 + $far ** 2 - 2 * ((1 - $m) * $s) ** 2) / (2 * $h * $far));

        return [
            'peak' => [0.0, $h, 0.0],
            'turn' => [$u, $v, 0.0],
            'tip' => [$h * cos($angle), $h * sin($angle), 0.0],
            'keel' => $b,
        ];
    }

    /**
     * @param  array{float, float, float}  $keel
     * @param  array{float, float, float}  $turn
     * @param  array{float, float, float}  $end
     * @return array{float, float, float}
     */
    private function between(array $keel, array $turn, float $far, array $end, float $further): array
    {
        $rest = 1 - $far - $further;

        return Vector::plus(
            p: [$rest * $keel[0], $rest * $keel[1], $rest * $keel[2]],
            a: $far,
            u: $turn,
            b: $further,
            v: $end,
        );
    }
}
