<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Mesh\Vector;

/**
 * A pyramid on a square from the triangle base with its four flaps turned in: each quarter of the sheet gives a side
 * with 45 degrees at the tip, what is left over hangs inside as four fins. Front and back lean out, the sides between
 * them, folded in half, spread until they are flat.
 *
 * With the tip as origin, front and back stand at the angle p from the axis; the middle m of a side stays in the plane
 * between them. That half a side keeps its angle g = 22.5 degrees between m and the edge e of the front asks
 * e m = cos g: with the axis down and A = atan2(tan g, cos p), m stands at A - acos(cos g / hypot(sin g, cos g cos p))
 * from the axis. At the end all four are alike: sin p = tan g. A fin lies in the plane of its edge and the axis.
 */
final readonly class LeafPyramid implements FormByFormula
{
    private const HALF = M_PI / 8;

    /**
     * @param  float  $slope  from the tip to the middle of a side's foot, mm
     * @param  array{Point, Point, Point}  $frame  on the table: the tip, the axis, the direction across
     * @param  array<int, array{int, int}>  $roles  by quarter of the sheet (0: right, 1: upper, 2: left, 3: lower): 1
     *     in front, -1 behind, 0 a side; and the sign across of what lies counterclockwise of its middle
     */
    private function __construct(
        private float $slope,
        private Point $middle,
        private array $frame,
        private array $roles,
    ) {
    }

    public static function of(FoldedState $flat): ?self
    {
        $middle = Floor::middle($flat);
        $half = $flat->sheet->width / 2;
        $at = static function (int $quarter, float $aside) use ($flat, $middle, $half): ?array {
            $angle = $quarter * M_PI_2 + $aside;
            $p = $middle->plus((new Point(cos($angle), sin($angle)))->times($half / 4));
            $face = $flat->pattern->faceAt($p, 0.0);

            return $face === null ? null : [$flat->placements[$face]->of($p), $face];
        };
        [$roles, $whole] = [[], []];
        foreach ([0, 1, 2, 3] as $k) {
            [$one, $other] = [$at($k, 0.1), $at($k, -0.1)];
            if ($one === null || $other === null) {
                return null;
            }
            if ($one[0]->distanceTo($other[0]) > $half / 100) {
                $whole[] = [$k, $one, $other];
            }
        }
        if (! $flat->sheet->isSquare() || count($whole) !== 2 || ($whole[0][0] + $whole[1][0]) % 2 !== 0) {
            return null;
        }
        $front = $flat->order->above($whole[0][1][1], $whole[1][1][1]) === true ? 0 : 1;
        $tip = $flat->placements[$whole[0][1][1]]->of($middle);
        $down = $whole[0][1][0]->toward($whole[0][2][0], 0.5)->minus($tip)->unit();
        $across = $down->turnedLeft();
        $sign = static fn (?array $spot): int => $spot !== null && $spot[0]->minus($tip)->dot($across) > 0 ? 1 : -1;
        foreach ([0, 1, 2, 3] as $k) {
            $isWhole = $k % 2 === $whole[0][0] % 2;
            $roles[$k] = [
                $isWhole ? ($k === $whole[$front][0] ? 1 : -1) : 0,
                $sign($at($k, $isWhole ? 0.1 : 0.3)),
            ];
        }

        return new self($half, $middle, [$tip, $down, $across], $roles);
    }

    public function bends(int $face): array
    {
        return [];
    }

    public function stages(): int
    {
        return 1;
    }

    public function at(Spot $spot, float $progress): array
    {
        $from = $spot->middle->minus($this->middle);
        $angle = atan2($from->y, $from->x);
        $quarter = (int) round($angle / M_PI_2);
        $aside = $angle - $quarter * M_PI_2;
        [$face, $sign] = $this->roles[($quarter + 4) % 4];
        // what is left of its quarter's middle lies on that side across, in front; a side has both its halves there
        $across = $face === 0 ? $sign : ($aside > 0 ? $sign : -$sign);
        $before = $face !== 0 ? $face : $this->roles[($quarter + ($aside > 0 ? 5 : 3)) % 4][0];
        [$axis, $edge, $side] = $this->directions($across, $before, asin(tan(self::HALF)) * $progress);
        $flat = $spot->flat->minus($this->frame[0]);
        [$down, $out] = [$flat->dot($this->frame[1]), $flat->dot($this->frame[2])];
        $inner = match (true) {
            abs($aside) > self::HALF => $axis,
            $face === 0 => $side,
            default => null,
        };
        if ($inner === null) {
            $lean = asin(tan(self::HALF)) * $progress;
            $p = [$down * cos($lean), $out, $before * $down * sin($lean)];
        } else {
            // in the plane of the inner direction, which lay on the axis, and the edge, 22.5 degrees from it
            $far = $across * $out / sin(self::HALF);
            $p = Vector::plus(p: [0.0, 0.0, 0.0], a: $down - $far * cos(self::HALF), u: $inner, b: $far, v: $edge);
        }
        $on = $this->frame[0]->plus($this->frame[1]->times($p[0]))->plus($this->frame[2]->times($p[1]));

        return [$on->x, $on->y, $p[2]];
    }

    public function sizes(): array
    {
        $lean = asin(tan(self::HALF));
        $one = $this->directions(1, 1, $lean)[1];
        $other = $this->directions(-1, 1, $lean)[1];
        $edge = $this->slope / cos(self::HALF);

        return [
            'width' => $edge * Vector::far($one, $other),
            'height' => $edge * $one[0],
            'slope' => $edge * Vector::length(Vector::plus(
                p: [0.0, 0.0, 0.0],
                a: 0.5,
                u: $one,
                b: 0.5,
                v: $other,
            )),
        ];
    }

    /**
     * Directions from the tip (down the axis, across, toward the folder): of a fin's inner side, of the edge, of the
     * middle of the side.
     *
     * @param  int  $across  1 or -1: which side
     * @param  int  $before  1 in front, -1 behind
     * @param  float  $lean  of front and back, radians
     * @return array{array{float, float, float}, array{float, float, float}, array{float, float, float}}
     */
    private function directions(int $across, int $before, float $lean): array
    {
        $g = self::HALF;
        $edge = [cos($g) * cos($lean), $across * sin($g), $before * cos($g) * sin($lean)];
        $m = atan2(tan($g), cos($lean)) - acos(min(1.0, cos($g) / hypot(sin($g), cos($g) * cos($lean))));
        // the fin: from the edge toward the axis by g
        $away = hypot($edge[1], $edge[2]);
        $angle = atan2($away, $edge[0]) - $g;
        $fin = [cos($angle), sin($angle) * $edge[1] / $away, sin($angle) * $edge[2] / $away];

        return [$fin, $edge, [cos($m), $across * sin($m), 0.0]];
    }
}
