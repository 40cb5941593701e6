<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Mesh\Vector;

/**
 * Four beaks in a ring, from a square blintzed twice and folded in half. Stages: the upper half is laid back; the four
 * corners rise to an elevation. With h a quarter of the side and the sheet's middle O fixed, the corners of the small
 * square stand in four directions at the distance h times the root of 2, the middles of its sides between them at the
 * distance h; that a middle stays h from both corners beside it gives its elevation. The sheet's corners are O mirrored
 * in the plane of a corner and the two middles beside it: the pockets for the fingers.
 */
final readonly class Beaks implements FormByFormula
{
    /** Degrees to which the corners rise: 35 to 65 close the paper without strain, 50 is how it is held. */
    private const RISE = 50.0;

    /**
     * @param  Line  $fold  on the table, its positive side the side of that half
     * @param  array{float, float}  $stays  a direction on the sheet, from the middle into the half that stays
     */
    private function __construct(
        private Floor $floor,
        private float $h,
        private Line $fold,
        private array $stays,
    ) {
    }

    public static function of(FoldedState $flat): ?self
    {
        $sheet = $flat->sheet;
        $middle = Floor::middle($flat);
        $h = $sheet->width / 4;
        if (! $sheet->isSquare()) {
            return null;
        }
        foreach ([[1, 0], [0, 1], [-1, 0], [0, -1]] as [$x, $y]) {
            $into = new Point($x, $y);
            $aside = $into->turnedLeft()->times($h / 40);
            $one = $flat->pattern->faceAt($middle->plus($into->times($h / 10))->plus($aside), 0.0);
            $other = $flat->pattern->faceAt($middle->minus($into->times($h / 10))->plus($aside), 0.0);
            $tip = $flat->pattern->faceAt($middle->plus($into->times(1.9 * $h))->plus($aside), 0.0);
            if ($one === null || $other === null || $tip === null) {
                return null;
            }
            // the half whose told side is up: the flap with the sheet's edge in its tip lies over the middle
            $halved = $flat->frontUp[$one] !== $flat->frontUp[$other];
            if ($halved && $flat->order->above($tip, $one) === true) {
                $place = $flat->placements[$one];
                $on = $place->of($middle);
                $line = Line::through($on, $place->of($middle->plus($into->turnedLeft())));
                $floor = Floor::of($flat, new Point(1, 0), $middle->plus($into->times($h / 10))->plus($aside));
                if ($line === null || $floor === null) {
                    return null;
                }
                $ahead = $line->distanceTo($place->of($middle->plus($into))) > 0;

                return new self($floor, $h, $ahead ? $line : $line->reversed(), [(float) $x, (float) $y]);
            }
        }

        return null;
    }

    public function bends(int $face): array
    {
        $line = fn (float $a, float $b, float $toA, float $toB): ?Line => Line::through(
            $this->floor->onSheet($a * $this->h, $b * $this->h),
            $this->floor->onSheet($toA * $this->h, $toB * $this->h),
        );
        $lines = [$line(0, 0, 1, 1), $line(0, 0, 1, -1)];
        foreach ([-1, 0, 1] as $k) {
            $lines[] = $line($k, 0, $k, 1);
            $lines[] = $line(0, $k, 1, $k);
        }
        foreach ([[0, 2, 2, 0], [2, 0, 0, -2], [0, -2, -2, 0], [-2, 0, 0, 2]] as $side) {
            $lines[] = $line(...$side);
        }

        return array_values(array_filter($lines));
    }

    public function stages(): int
    {
        return 2;
    }

    public function at(Spot $spot, float $progress): array
    {
        [$p, $tip] = $this->small($spot);
        [$middle] = $this->small(new Spot($spot->middle, $spot->middle, $spot->flat));
        if ($progress <= 1.0) {
            $on = $this->floor->onTable([...$p, 0.0]);
            $away = $p[0] * $this->stays[0] + $p[1] * $this->stays[1];
            $moves = $middle[0] * $this->stays[0] + $middle[1] * $this->stays[1] < 0;
            if (! $moves) {
                return $on;
            }
            // it lay on the half that stays and is laid back by half a turn
            $turn = M_PI * $progress;
            $line = $this->fold;
            $foot = Vector::plus($on, -$away, [$line->normal->x, $line->normal->y, 0.0]);

            return Vector::plus(
                p: $foot,
                a: -$away * cos($turn),
                u: [$line->normal->x, $line->normal->y, 0.0],
                b: 1.0,
                v: [
                    0.0,
                    0.0,
                    -$away * sin($turn),
                ],
            );
        }

        return $this->floor->onTable($this->risen($p, $middle, $tip, deg2rad(self::RISE) * ($progress - 1)));
    }

    public function sizes(): array
    {
        $rise = deg2rad(self::RISE);
        $corner = fn (int $a, int $b): array => $this->corner($a, $b, $rise);

        return [
            'width' => Vector::far($corner(1, 1), $corner(-1, 1)),
            'depth' => Vector::far($corner(1, 1), $corner(1, -1)),
            'height' => $corner(1, 1)[2],
        ];
    }

    /**
     * Where a place lies in the small square, as both blintz folds bring it; told by the middle of its cell.
     *
     * @return array{array{float, float}, bool} mm from its middle, along the sheet's sides; whether it is in the square
     *     at a corner of the sheet
     */
    private function small(Spot $spot): array
    {
        $h = $this->h;
        [$a, $b] = $this->floor->local($spot->sheet);
        [$am, $bm] = $this->floor->local($spot->middle);
        $tip = abs($am) > $h && abs($bm) > $h;
        [$signA, $signB] = [$am < 0 ? -1 : 1, $bm < 0 ? -1 : 1];
        if (abs($am) + abs($bm) > 2 * $h) {
            [$a, $b] = [$signA * (2 * $h - $signB * $b), $signB * (2 * $h - $signA * $a)];
            [$am, $bm] = [$signA * (2 * $h - abs($bm)), $signB * (2 * $h - abs($am))];
        }
        if (abs($am) > $h) {
            $a = $signA * 2 * $h - $a;
        }
        if (abs($bm) > $h) {
            $b = $signB * 2 * $h - $b;
        }

        return [[$a, $b], $tip];
    }

    /**
     * @param  array{float, float}  $p  in the small square
     * @param  array{float, float}  $middle  of its cell
     * @return array{float, float, float}
     */
    private function risen(array $p, array $middle, bool $tip, float $rise): array
    {
        $h = $this->h;
        [$a, $b] = $p;
        [$i, $j] = [$middle[0] < 0 ? -1 : 1, $middle[1] < 0 ? -1 : 1];
        $v = $this->corner($i, $j, $rise);
        $along = abs($middle[0]) > abs($middle[1]);
        $m = $this->middle($along ? $i : 0, $along ? 0 : $j, $rise);
        $o = [0.0, 0.0, 0.0];
        if ($tip) {
            $n = Vector::unit(Vector::cross(
                Vector::minus($this->middle($i, 0, $rise), $v),
                Vector::minus($this->middle(0, $j, $rise), $v),
            ));
            $o = Vector::plus($o, 2 * Vector::dot($v, $n), $n);
        }
        [$far, $across] = [max(abs($a), abs($b)) / $h, min(abs($a), abs($b)) / $h];

        return Vector::plus(p: $o, a: $far, u: Vector::minus($m, $o), b: $across, v: Vector::minus($v, $m));
    }

    /** @return array{float, float, float} of the small square's corner in the quarter with these signs */
    private function corner(int $i, int $j, float $rise): array
    {
        return [$i * $this->h * cos($rise), $j * $this->h * cos($rise), M_SQRT2 * $this->h * sin($rise)];
    }

    /** @return array{float, float, float} of the middle of its side in this direction */
    private function middle(int $i, int $j, float $rise): array
    {
        [$up, $out] = [sin($rise), cos($rise) / M_SQRT2];
        $e = atan2($up, $out) - acos(min(1.0, M_SQRT1_2 / hypot($up, $out)));

        return [$i * $this->h * cos($e), $j * $this->h * cos($e), $this->h * sin($e)];
    }
}
