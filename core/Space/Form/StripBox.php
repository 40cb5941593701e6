<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Mesh\Vector;

/**
 * The open box from an uncut sheet whose doors lie closed, its corners folded in and the doors' rims turned back over
 * them: drawn apart by the rims. Four rigid kinds of parts: the floor, the doors that rise and lean out, the ends, and
 * the folded corners, each one stiff stack that hinges on its end and on its door. For one quarter: a half the floor's
 * length, b half its width and the height; u along the floor, v across.
 *
 * A corner's stack has the triangle K = (a, b), R, D. K and R are the ends of the door's edge beside it, so
 * R = K + b (cos p, 0, sin p) with the door at p, half a turn when it lies closed; D is the end of the crease on the
 * sheet's end wall at q: D = K + b (-1, cos q, sin q). That the angle at K is 45 degrees asks (R - K)(D - K) = b b, so
 * -cos p + sin p sin q = 1, which is sin q = cot(p / 2).
 */
final readonly class StripBox implements FormByFormula
{
    private function __construct(private Floor $floor, private float $a, private float $b)
    {
    }

    /** Null where not just one pair of opposite edges is folded in. */
    public static function of(FoldedState $flat): ?self
    {
        $sheet = $flat->sheet;
        $middle = Floor::middle($flat);
        $along = null;
        $axes = [
            [new Point(1, 0), $sheet->width, $sheet->height],
            [new Point(0, 1), $sheet->height, $sheet->width],
        ];
        foreach ($axes as [$axis, $length, $width]) {
            $reach = self::reach($flat, $middle, $axis, $length / 2);
            $across = self::reach($flat, $middle, $axis->turnedLeft(), $width / 2);
            if ($reach < 0.45 * $length && abs($across - $width / 2) < 1e-6 * $width && $length >= $width) {
                $along = $along === null ? [$axis, $length / 4, $width / 4] : null;
            }
        }
        $floor = $along === null ? null : Floor::of($flat, $along[0]);

        return $floor === null || $along === null ? null : new self($floor, $along[1], $along[2]);
    }

    /** How far the middle of an edge lies from where the sheet's middle lies, mm. */
    private static function reach(FoldedState $flat, Point $middle, Point $axis, float $far): float
    {
        $aside = $axis->times(-0.002 * $far)->plus($axis->turnedLeft()->times(0.001 * $far)); // off all creases
        $place = static function (Point $p) use ($flat, $aside): ?Point {
            $face = $flat->pattern->faceAt($p->plus($aside), 0.0);

            return $face === null ? null : $flat->placements[$face]->of($p);
        };
        [$one, $other] = [$place($middle->plus($axis->times($far))), $place($middle)];

        return $one === null || $other === null ? INF : $one->distanceTo($other);
    }

    public function bends(int $face): array
    {
        $line = fn (float $u, float $v, float $toU, float $toV): ?Line => Line::through(
            $this->floor->onSheet($u, $v),
            $this->floor->onSheet($toU, $toV),
        );

        return array_values(array_filter([
            $line($this->a, 0, $this->a, 1),
            $line(-$this->a, 0, -$this->a, 1),
            $line(0, $this->b, 1, $this->b),
            $line(0, -$this->b, 1, -$this->b),
        ]));
    }

    public function stages(): int
    {
        return 1;
    }

    public function at(Spot $spot, float $progress): array
    {
        [$u, $v] = $this->floor->local($spot->middle);
        [$x, $y] = $this->floor->localOfTable($spot->flat);
        [$signU, $signV] = [$u < 0 ? -1 : 1, $v < 0 ? -1 : 1];
        $p = $this->quarter([$signU * $x, $signV * $y], [abs($u), abs($v)], M_PI_2 * $progress);

        return $this->floor->onTable([$signU * $p[0], $signV * $p[1], $p[2]]);
    }

    /**
     * @param  array{float, float}  $flat  where the place lies in the flat state
     * @param  array{float, float}  $middle  of its cell, on the sheet
     * @param  float  $end  how far the end wall has risen, radians
     * @return array{float, float, float}
     */
    private function quarter(array $flat, array $middle, float $end): array
    {
        [$a, $b] = [$this->a, $this->b];
        [$x, $y] = $flat;
        [$u, $v] = $middle;
        $door = 2 * atan2(1.0, sin($end));
        if ($v < $b) {
            return $u < $a ? [$x, $y, 0.0] : [$a + ($a - $x) * cos($door), $y, ($a - $x) * sin($door)];
        }
        if ($u < $a && $a - $u > $v - $b) {
            return [$x, $b + ($y - $b) * cos($end), ($y - $b) * sin($end)];
        }
        $k = [$a, $b, 0.0];
        $r = [$a + $b * cos($door), $b, $b * sin($door)];
        $d = [$a - $b, $b + $b * cos($end), $b * sin($end)];

        return Vector::plus(
            p: $k,
            a: ($a - $x) / $b,
            u: Vector::minus($r, $k),
            b: ($y - $b) / $b,
            v: Vector::minus($d, $r),
        );
    }

    public function sizes(): array
    {
        [$a, $b] = [$this->a, $this->b];
        $at = fn (float $u, float $v): array => $this->at(
            new Spot($this->floor->onSheet(0.9 * $u, 0.9 * $v), new Point(0, 0), $this->onTable($u, $v)),
            1.0,
        );

        return [
            'width' => Vector::far($at($a, 0), $at(-$a, 0)),
            'depth' => Vector::far($at(0, $b), $at(0, -$b)),
            'height' => Vector::far($at(0, $b), $at(0, 2 * $b)),
        ];
    }

    private function onTable(float $u, float $v): Point
    {
        [$x, $y] = $this->floor->onTable([$u, $v, 0.0]);

        return new Point($x, $y);
    }
}
