<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;

/**
 * The waterbomb blown up until its walls are flat: a cube with an edge of a quarter of the sheet. The sheet's middle
 * is the middle of the top; straight down each of the four sides go an eighth of the sheet (top), a quarter (side)
 * and an eighth (bottom). What lies in front or behind, in however many layers, bends along the cube's edges; the
 * two sides are the strips that were folded in between. There is no way to it by formula: paper gives a little on
 * that way.
 */
final readonly class BlownCube implements Shape
{
    /**
     * @param  float  $e  an eighth of the sheet's side, mm
     * @param  array{Point, Point, Point}  $frame  on the table: the tip, the way down, the direction across
     * @param  array<int, array{int, int}>  $roles  by quarter of the sheet (0: right, 1: upper, 2: left, 3: lower): 1
     *     in front, -1 behind, 0 a side; and, for a side, the sign across
     */
    private function __construct(
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

        return new self($e, $middle, [$tip, $down, $across], $roles);
    }

    public function bends(int $face): array
    {
        $lines = [];
        foreach ([-3, -1, 1, 3] as $k) {
            $lines[] = Line::along($this->middle->plus(new Point($k * $this->e, 0)), new Point(0, 1));
            $lines[] = Line::along($this->middle->plus(new Point(0, $k * $this->e)), new Point(1, 0));
        }

        return $lines;
    }

    public function stages(): int
    {
        return 0;
    }

    public function at(Spot $spot, float $progress): array
    {
        $e = $this->e;
        $from = $spot->middle->minus($this->middle);
        $along = abs($from->x) > abs($from->y);
        $quarter = $along ? ($from->x > 0 ? 0 : 2) : ($from->y > 0 ? 1 : 3);
        [$face, $sign] = $this->roles[$quarter];
        $aside = $along ? abs($from->y) : abs($from->x);
        if ($face === 0 && $aside < $e) {
            // a side, as it lies on the sheet
            $place = $spot->sheet->minus($this->middle);
            $far = $along ? $place->x * ($quarter === 0 ? 1 : -1) : $place->y * ($quarter === 1 ? 1 : -1);
            $next = $this->roles[($quarter + 1) % 4][0]; // counterclockwise of it: in front or behind
            $left = match ($quarter) {
                0 => $place->y,
                1 => -$place->x,
                2 => -$place->y,
                default => $place->x,
            };
            $middle = $along ? abs($from->x) : abs($from->y);
            [$out, $low] = $this->round($far, $middle);

            return $this->onTable([$low, $sign * $out, $next * $left]);
        }
        $beside = $along ? ($from->y > 0 ? 1 : 3) : ($from->x > 0 ? 0 : 2);
        $before = $face !== 0 ? $face : $this->roles[$beside][0]; // corners lie with the front or the back
        $flat = $spot->flat->minus($this->frame[0]);
        [$far, $across] = [$flat->dot($this->frame[1]), $flat->dot($this->frame[2])];
        [$out, $low] = $this->round($far, $far);

        return $this->onTable([$low, $across, $before * $out]);
    }

    public function sizes(): array
    {
        return ['width' => 2 * $this->e, 'depth' => 2 * $this->e, 'height' => 2 * $this->e];
    }

    /**
     * How far out and how low a place is that lies so far down from the middle of the top.
     *
     * @return array{float, float} mm
     */
    private function round(float $far, float $middle): array
    {
        $e = $this->e;

        return match (true) {
            $middle < $e => [$far, 0.0],
            $middle < 3 * $e => [$e, $far - $e],
            default => [4 * $e - $far, 2 * $e],
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
