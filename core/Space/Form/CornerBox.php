<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Space\Mesh\Vector;

/**
 * The open box from a square whose corners lay at its middle, two of them opened out again: the strip with the two
 * open points is laid over the ends. Stages: the long walls rise; both ends rise, their corners folding in; one
 * point goes over its rim, then the other (both at once would meet in the middle). By symmetry all is said for one
 * quarter: a along the strip, b across, q a quarter of half the diagonal, which is half the floor and the height.
 */
final readonly class CornerBox implements FormByFormula
{
    /** The share of the last two stages in which the tip is bent out, before all goes over the rim. */
    private const TIP = 0.3;

    private function __construct(private Floor $floor, private float $q)
    {
    }

    /** Null where the flat state has not two opposite corners at the middle and two where they were on the sheet. */
    public static function of(FoldedState $flat): ?self
    {
        $sheet = $flat->sheet;
        if (! $sheet->isSquare()) {
            return null;
        }
        $q = $sheet->diagonal() / 8;
        $middle = Floor::middle($flat);
        $face = $flat->pattern->faceAt($middle, 0.0);
        $open = [];
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as [$x, $y]) {
            $corner = new Point($x * $sheet->width, $y * $sheet->height);
            $on = $flat->pattern->faceAt($corner->toward($middle, 0.01), 0.0);
            if ($face === null || $on === null) {
                return null;
            }
            $far = $flat->placements[$on]->of($corner)->distanceTo($flat->placements[$face]->of($middle));
            if (abs($far - 4 * $q) < 1e-3 * $q) {
                $open[] = $corner;
            } elseif ($far > 1e-3 * $q) {
                return null;
            }
        }
        $floor = count($open) === 2 && $open[0]->toward($open[1], 0.5)->distanceTo($middle) < 1e-3 * $q
            ? Floor::of($flat, $open[0]->minus($middle))
            : null;

        return $floor === null ? null : new self($floor, $q);
    }

    public function bends(int $face): array
    {
        $line = fn (float $a, float $b, float $toA, float $toB): ?Line => Line::through(
            $this->floor->onSheet($a * $this->q, $b * $this->q),
            $this->floor->onSheet($toA * $this->q, $toB * $this->q),
        );
        $lines = [$line(0, 0, 1, 1), $line(0, 0, 1, -1)];
        foreach ([-3, -2, -1, 1, 2, 3] as $k) {
            $lines[] = $line($k, 0, $k, 1);
            $lines[] = $line(0, $k, 1, $k);
        }

        return array_values(array_filter($lines));
    }

    public function stages(): int
    {
        return 4;
    }

    public function at(Spot $spot, float $progress): array
    {
        [$a, $b] = $this->floor->local($spot->sheet);
        [$am, $bm] = $this->floor->local($spot->middle);
        [$signA, $signB] = [$am < 0 ? -1 : 1, $bm < 0 ? -1 : 1];
        $over = $signA > 0 ? $progress - 2 : $progress - 3;
        $p = $this->quarter(
            [$signA * $a, $signB * $b],
            [abs($am), abs($bm)],
            [M_PI_2 * self::within($progress), M_PI_2 * self::within($progress - 1)],
            [M_PI_2 * self::within($over / self::TIP), M_PI * self::within(($over - self::TIP) / (1 - self::TIP))],
        );

        return $this->floor->onTable([$signA * $p[0], $signB * $p[1], $p[2]]);
    }

    public function sizes(): array
    {
        $end = (float) $this->stages();
        $q = $this->q;
        $spot = fn (float $a, float $b): Spot => new Spot(
            $this->floor->onSheet(0.9 * $a, 0.9 * $b),
            $this->floor->onSheet($a, $b),
            new Point(0, 0),
        );
        $at = fn (float $a, float $b): array => $this->at($spot($a, $b), $end);

        return [
            'width' => Vector::far($at($q, $q), $at($q, -$q)),
            'depth' => Vector::far($at($q, $q), $at(-$q, $q)),
            'height' => Vector::far($at($q, $q), $at($q, 2 * $q)),
        ];
    }

    /**
     * @param  array{float, float}  $place  along and across, mm
     * @param  array{float, float}  $middle  of its cell
     * @param  array{float, float}  $rise  of the long wall and of the end, radians
     * @param  array{float, float}  $over  how far the tip is bent out, and all beyond the end's rim turned over it
     * @return array{float, float, float}
     */
    private function quarter(array $place, array $middle, array $rise, array $over): array
    {
        $q = $this->q;
        [$a, $am] = [$place[0], $middle[0]];
        // the corner that lies at the middle is doubled back onto the strip
        [$y, $ym] = $middle[1] > 2 * $q ? [4 * $q - $place[1], 4 * $q - $middle[1]] : [$place[1], $middle[1]];
        [$wall, $end] = $rise;
        if ($am < $q) {
            return $ym < $q ? [$a, $y, 0.0] : [$a, $q + ($y - $q) * cos($wall), ($y - $q) * sin($wall)];
        }
        $out = static fn (float $x, float $y): array => [$q + ($x - $q) * cos($end), $y, ($x - $q) * sin($end)];
        $gusset = $this->gusset($wall, $end);
        if ($am < 2 * $q) {
            if ($ym < $q) {
                return $out($a, $y);
            }
            $base = [$q, $q, 0.0];
            $rim = [$q, $q + $q * cos($wall), $q * sin($wall)];

            return $ym > $am
                ? self::in(p: $base, r: $rim, s: $gusset, far: ($y - $q) / $q, across: ($a - $q) / $q)
                : self::in(p: $base, r: $out(2 * $q, $q), s: $gusset, far: ($a - $q) / $q, across: ($y - $q) / $q);
        }
        [$tip, $turn] = $over;
        $p = match (true) {
            $ym > $q => self::in(
                p: $out(2 * $q, $q),
                r: $out(3 * $q, $q),
                s: Vector::plus(p: $gusset, a: 1.0, u: $out(3 * $q, $q), b: -1.0, v: $out(2 * $q, $q)),
                far: ($a - 2 * $q) / $q,
                across: ($y - $q) / $q,
            ),
            $am > 3 * $q && $tip > 0 => [
                $q + ($a - 3 * $q) * sin($tip),
                $y,
                2 * $q + ($a - 3 * $q) * cos($tip),
            ],
            default => $out($a, $y),
        };

        return [
            $q + ($p[0] - $q) * cos($turn) - ($p[2] - $q) * sin($turn),
            $p[1],
            $q + ($p[0] - $q) * sin($turn) + ($p[2] - $q) * cos($turn),
        ];
    }

    /**
     * Where the outer corner of the folded-in corner is: first it rises with the wall; then it is q from the upper
     * corner of the wall and from that of the end, and goes to the middle of the end's rim.
     *
     * @return array{float, float, float}
     */
    private function gusset(float $wall, float $end): array
    {
        $q = $this->q;
        if ($end <= 0.0) {
            return [2 * $q, $q + $q * cos($wall), $q * sin($wall)];
        }
        $d = $q * tan((M_PI_2 - $end) / 2);

        return [$q + $d, $q - sqrt(max(0.0, $q ** 2 - $d ** 2)), $q];
    }

    /**
     * The place that lies so far from p toward r, and from there so far along the way from r to s.
     *
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $r
     * @param  array{float, float, float}  $s
     * @return array{float, float, float}
     */
    private static function in(array $p, array $r, array $s, float $far, float $across): array
    {
        return Vector::plus(p: $p, a: $far, u: Vector::minus($r, $p), b: $across, v: Vector::minus($s, $r));
    }

    private static function within(float $share): float
    {
        return max(0.0, min(1.0, $share));
    }
}
