<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * The waterbomb blown up until its walls are flat: a cube with an edge of a quarter of the sheet. The sheet's middle
 * is the middle of the top; straight down each of the four sides go an eighth of the sheet e (top), a quarter (side)
 * and an eighth (bottom). What lies in front or behind, in however many layers, bends along the cube's edges; the two
 * sides are the strips that were folded in between.
 *
 * On the way front and back are a roof, a wall and a floor: roof and floor slope by an angle whose cosine c falls from
 * 1 to 0. A side is folded in along its middle, at e (1 - c) from the axis, as deep as that leaves; it meets the roof
 * in the two lines from the roof's corner A to the end of the ridge, which lies e (1 - c) from the tip. So what was
 * side rolls over into the roof, strip by strip about A, and below into the floor. Each piece keeps its shape: a place
 * f down the strip and h beside its middle lies at (f, h c, h s) in the roof, out, down and forward, and at
 * (e (1 - c) + h c, e c + f - e, h s) in the side, s^2 = 1 - c^2; both agree on the lines, where h / e is
 * (f - e (1 - c)) / (e c).
 */
final readonly class BlownCube implements FormByFormula
{
    /** Places of the rolling fold. */
    private const STRIPS = 8;

    /**
     * @param  float  $e  an eighth of the sheet's side, mm
     * @param  array{Point, Point, Point}  $frame  on the table: the tip, the way down, the direction across
     * @param  array<int, array{int, int}>  $roles  by quarter of the sheet (0: right, 1: upper, 2: left, 3: lower): 1
     *     in front, -1 behind, 0 a side; and, for a side, the sign across
     */
    private function __construct(
        private FoldedState $flat,
        private float $e,
        private Point $middle,
        private array $frame,
        private array $roles,
    ) {
    }

    public static function of(FoldedState $flat): ?self
    {
        $middle = Floor::middle($flat);
        $e = $flat->sheet->width / 8;
        $at = static function (float $x, float $y) use ($flat, $middle, $e): ?array {
            $p = $middle->plus(new Point($x * $e, $y * $e));
            $face = $flat->pattern->faceAt($p, 0.0);

            return $face === null ? null : [$flat->placements[$face]->of($p), $face];
        };
        $quarters = [[1, 0], [0, 1], [-1, 0], [0, -1]];
        $front = [];
        foreach ($quarters as $k => [$x, $y]) {
            $one = $at(0.5 * $x - 0.2 * $y, 0.5 * $y + 0.2 * $x);
            $other = $at(0.5 * $x + 0.2 * $y, 0.5 * $y - 0.2 * $x);
            if ($one === null || $other === null) {
                return null;
            }
            if ($one[0]->distanceTo($other[0]) > 0.1 * $e) {
                $front[] = [$k, $one, $other];
            }
        }
        if (! $flat->sheet->isSquare() || count($front) !== 2 || ($front[0][0] + $front[1][0]) % 2 !== 0) {
            return null;
        }
        if ($flat->order->above($front[0][1][1], $front[1][1][1]) !== true) {
            $front = array_reverse($front);
        }
        $tip = $flat->placements[$front[0][1][1]]->of($middle);
        $down = $front[0][1][0]->toward($front[0][2][0], 0.5)->minus($tip)->unit();
        $across = $down->turnedLeft();
        $roles = [];
        foreach ($quarters as $k => [$x, $y]) {
            $isWhole = $k % 2 === $front[0][0] % 2;
            // a side belongs across where the corners beside it lie, which are folded in with front and back
            $near = $at(1.2 * $x - 1.1 * $y, 1.2 * $y + 1.1 * $x);
            if ($near === null) {
                return null;
            }
            $roles[$k] = [
                $isWhole ? ($k === $front[0][0] ? 1 : -1) : 0,
                $near[0]->minus($tip)->dot($across) > 0 ? 1 : -1,
            ];
        }

        return new self(flat: $flat, e: $e, middle: $middle, frame: [$tip, $down, $across], roles: $roles);
    }

    public function bends(int $face): array
    {
        $lines = [];
        foreach ([-3, -1, 1, 3] as $k) {
            $lines[] = Line::along($this->middle->plus(new Point($k * $this->e, 0)), new Point(0, 1));
            $lines[] = Line::along($this->middle->plus(new Point(0, $k * $this->e)), new Point(1, 0));
        }

        return [...$lines, ...$this->strips($face)];
    }

    /** @return list<Line> along which a face of a side rolls into roof and floor */
    private function strips(int $face): array
    {
        $from = $this->flat->pattern->polygon($face)->centroid()->minus($this->middle);
        $quarter = self::quarter($from);
        if ($this->roles[$quarter][0] !== 0) {
            return [];
        }
        $down = new Point([1, 0, -1, 0][$quarter], [0, 1, 0, -1][$quarter]);
        $beside = $down->turnedLeft();
        $lines = [];
        foreach ([1, 3] as $corner) {
            foreach ([-1, 1] as $half) {
                $a = $this->middle->plus($down->times($corner * $this->e))->plus($beside->times($half * $this->e));
                for ($k = 1; $k <= self::STRIPS; $k++) {
                    $ridge = $this->e * $k / self::STRIPS;
                    $far = $corner === 1 ? $ridge : 4 * $this->e - $ridge;
                    $lines[] = Line::along($a, $this->middle->plus($down->times($far))->minus($a));
                }
            }
        }

        return $lines;
    }

    public function stages(): int
    {
        return 1;
    }

    public function at(Spot $spot, float $progress): array
    {
        $e = $this->e;
        $c = 1 - round($progress * self::STRIPS) / self::STRIPS;
        $from = $spot->middle->minus($this->middle);
        $along = abs($from->x) > abs($from->y);
        $quarter = self::quarter($from);
        [$face, $sign] = $this->roles[$quarter];
        $aside = $along ? abs($from->y) : abs($from->x);
        if ($face === 0 && $aside < $e) {
            $place = $spot->sheet->minus($this->middle);
            $far = $along ? $place->x * ($quarter === 0 ? 1 : -1) : $place->y * ($quarter === 1 ? 1 : -1);
            $left = self::left($place, $quarter);
            $next = $this->roles[($quarter + 1) % 4][0]; // counterclockwise of it: in front or behind
            $half = self::left($from, $quarter) > 0 ? 1 : -1;
            $down = $along ? abs($from->x) : abs($from->y);
            [$out, $low, $forward] = $this->side(
                far: $far,
                beside: $half * $left,
                cellFar: $down,
                cellBeside: $aside,
                c: $c,
            );

            return $this->onTable([$low, $sign * $out, $next * $half * $forward]);
        }
        $beside = $along ? ($from->y > 0 ? 1 : 3) : ($from->x > 0 ? 0 : 2);
        $before = $face !== 0 ? $face : $this->roles[$beside][0]; // corners lie with the front or the back
        $flat = $spot->flat->minus($this->frame[0]);
        [$far, $across] = [$flat->dot($this->frame[1]), $flat->dot($this->frame[2])];
        [$forward, $low] = $this->front($far, $c);

        return $this->onTable([$low, $across, $before * $forward]);
    }

    /** 0: right, 1: upper, 2: left, 3: lower. */
    private static function quarter(Point $from): int
    {
        return abs($from->x) > abs($from->y) ? ($from->x > 0 ? 0 : 2) : ($from->y > 0 ? 1 : 3);
    }

    /** mm on the left of the way down a quarter. */
    private static function left(Point $from, int $quarter): float
    {
        return [$from->y, -$from->x, -$from->y, $from->x][$quarter];
    }

    /**
     * A place of a side.
     *
     * @param  float  $far  mm down the strip
     * @param  float  $beside  mm beside its middle, toward the half it belongs to
     * @param  float  $cellFar  of the middle of its cell
     * @param  float  $cellBeside  of the middle of its cell
     * @return array{float, float, float} out, low, forward; mm
     */
    private function side(float $far, float $beside, float $cellFar, float $cellBeside, float $c): array
    {
        $e = $this->e;
        if ($cellFar > 2 * $e) {
            [$out, $low, $forward] = $this->side(
                far: 4 * $e - $far,
                beside: $beside,
                cellFar: 4 * $e - $cellFar,
                cellBeside: $cellBeside,
                c: $c,
            );

            return [$out, 2 * $e * (1 + $c) - $low, $forward];
        }
        $forward = $beside * sqrt(1 - $c ** 2);
        if (($cellFar - $e * (1 - $c)) < $cellBeside * $c) {
            return [$far, $beside * $c, $forward];
        }

        return [$e * (1 - $c) + $beside * $c, $e * $c + $far - $e, $forward];
    }

    public function sizes(): array
    {
        return ['width' => 2 * $this->e, 'depth' => 2 * $this->e, 'height' => 2 * $this->e];
    }

    /**
     * How far forward and how low a place of front or back is that lies so far down from the tip.
     *
     * @return array{float, float} mm
     */
    private function front(float $far, float $c): array
    {
        $e = $this->e;
        $s = sqrt(1 - $c ** 2);

        return match (true) {
            $far < $e => [$far * $s, $far * $c],
            $far < 3 * $e => [$e * $s, $e * $c + $far - $e],
            default => [(4 * $e - $far) * $s, 2 * $e * (1 + $c) - (4 * $e - $far) * $c],
        };
    }

    /**
     * @param  array{float, float, float}  $p  down, across, toward the folder
     * @return array{float, float, float}
     */
    private function onTable(array $p): array
    {
        $on = $this->frame[0]->plus($this->frame[1]->times($p[0]))->plus($this->frame[2]->times($p[1]));

        return [$on->x, $on->y, $p[2]];
    }
}
