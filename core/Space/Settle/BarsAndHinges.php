<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Settle;

use Cathedra\Core\Numeric\Cholesky;

/**
 * Paper as bars that keep their length and hinges that are drawn to an angle, and the step that lowers its energy
 *
 *     E = kb sum ((l - L) / L)^2 + sum w (angle - target)^2 + sum p |x - q|^2 / s^2 + kt sum |tie|^2 / s^2
 *       + ko sum max(0, -row z)^2 / s^2
 *
 * by Gauss and Newton (Levenberg's damping). Points x in mm, s the shorter side, angles in radians (unwrapped: they go
 * on from where they were, so that +pi and -pi are two angles). Everything is flat lists of numbers: this is walked
 * hundreds of times a step of a model.
 *
 * @phpstan-type Row array<int, float>
 */
final class BarsAndHinges
{
    /** Longest step of a coordinate, as a share of the shorter side. */
    private const LONGEST = 0.06;

    private const STEPS = 25;

    private const TRIES = 8;

    /** The energy falls by less than this share: it is at rest. */
    private const REST = 1e-4;

    /** @var array<int, int> by node: its first variable; -1: it stays where it is */
    private array $variable;

    private int $n;

    /** @var array<int, float> by hinge, radians: where it was last */
    private array $angles;

    private float $lambda = 1e-4;

    /** @var array<int, float> by hinge, radians */
    public array $targets;

    /** @var array<int, array{float, float, float, float}> by node: pulled to a place with a weight: [p, x, y, z] */
    public array $pulls = [];

    /** @var array<int, array{float, float, float, float}> a second pull, the same way */
    public array $holds = [];

    public int $solves = 0;

    /**
     * @param  array<int, float>  $x  three numbers a node
     * @param  array<int, bool>  $fixed  by node
     * @param  array<int, array{int, int, float}>  $bars  two nodes and the length in mm
     * @param  array<int, array{int, int, int, int, float}>  $hinges  nodes: from, to, left, right; weight
     * @param  array<int, float>  $angles  by hinge: where it is at first
     * @param  array<int, Row>  $ties  weights by node, whose sum of x is to be nothing
     * @param  array<int, Row>  $rows  weights by node, whose sum of z must not be under nothing
     */
    public function __construct(
        public array $x,
        array $fixed,
        private readonly array $bars,
        private readonly array $hinges,
        array $angles,
        private readonly float $side,
        private readonly float $kb,
        private readonly array $ties = [],
        private readonly float $kt = 1e4,
        private readonly array $rows = [],
        private readonly float $ko = 3e4,
    ) {
        $this->angles = $angles;
        $this->targets = $angles;
        $this->variable = [];
        $this->n = 0;
        foreach ($fixed as $node => $stays) {
            $this->variable[$node] = $stays ? -1 : $this->n;
            $this->n += $stays ? 0 : 3;
        }
    }

    public function unknowns(): int
    {
        return $this->n;
    }

    /** Lowers the energy until it rests, or for as many steps as are allowed; returns it. */
    public function settle(): float
    {
        $angles = [];
        $energy = $this->energy($this->x, $this->angles, $angles);
        $this->angles = $angles;
        for ($step = 0; $step < self::STEPS; $step++) {
            [$matrix, $gradient] = $this->assembled();
            $next = null;
            for ($try = 0; $try < self::TRIES; $try++) {
                $way = Cholesky::solve($matrix, $gradient, $this->lambda);
                $this->solves++;
                if ($way !== null) {
                    $x = $this->moved($way);
                    $new = $this->energy($x, $this->angles, $angles);
                    if ($new < $energy) {
                        $next = $x;
                        break;
                    }
                }
                $this->lambda *= 8;
            }
            if ($next === null) {
                $this->lambda = max(1e-6, $this->lambda / 8 ** self::TRIES);

                return $energy;
            }
            $this->lambda = max(1e-9, $this->lambda / 6);
            $fell = $energy - $new;
            [$this->x, $this->angles, $energy] = [$next, $angles, $new];
            if ($fell < self::REST * $energy) {
                break;
            }
        }

        return $energy;
    }

    /** @return array{array<int, float>, array<int, float>, float} where it stands, to come back to */
    public function state(): array
    {
        return [$this->x, $this->angles, $this->lambda];
    }

    /** @param  array{array<int, float>, array<int, float>, float}  $state */
    public function restore(array $state): void
    {
        [$this->x, $this->angles, $this->lambda] = $state;
    }

    /**
     * @param  array<int, float>  $way
     * @return array<int, float>
     */
    private function moved(array $way): array
    {
        $most = 0.0;
        foreach ($way as $d) {
            $most = max($most, abs($d));
        }
        $cut = $most > self::LONGEST * $this->side ? self::LONGEST * $this->side / $most : 1.0;
        $x = $this->x;
        foreach ($this->variable as $node => $v) {
            if ($v >= 0) {
                $i = 3 * $node;
                $x[$i] += $cut * $way[$v];
                $x[$i + 1] += $cut * $way[$v + 1];
                $x[$i + 2] += $cut * $way[$v + 2];
            }
        }

        return $x;
    }

    /**
     * @param  array<int, float>  $x
     * @param  array<int, float>  $last
     * @param  array<int, float>  $angles  out: unwrapped
     */
    private function energy(array $x, array $last, array &$angles): float
    {
        $sum = 0.0;
        foreach ($this->bars as [$a, $b, $length]) {
            $i = 3 * $a;
            $j = 3 * $b;
            $dx = $x[$j] - $x[$i];
            $dy = $x[$j + 1] - $x[$i + 1];
            $dz = $x[$j + 2] - $x[$i + 2];
            $r = sqrt($dx * $dx + $dy * $dy + $dz * $dz) / $length - 1;
            $sum += $r * $r;
        }
        $energy = $this->kb * $sum;
        $angles = [];
        foreach ($this->hinges as $h => [$p, $q, $l, $r, $w]) {
            $angle = self::angle(x: $x, p: 3 * $p, q: 3 * $q, l: 3 * $l, r: 3 * $r);
            $d = $angle - $last[$h];
            $angles[] = $now = $last[$h] + $d - 2 * M_PI * round($d / (2 * M_PI));
            $off = $now - $this->targets[$h];
            $energy += $w * $off * $off;
        }
        $inverse = 1 / ($this->side * $this->side);
        foreach ([$this->pulls, $this->holds] as $pulls) {
            foreach ($pulls as $node => [$w, $px, $py, $pz]) {
                $i = 3 * $node;
                $energy += $w * $inverse *
                    (($x[$i] - $px) ** 2 + ($x[$i + 1] - $py) ** 2 + ($x[$i + 2] - $pz) ** 2);
            }
        }
        foreach ($this->ties as $row) {
            $tx = $ty = $tz = 0.0;
            foreach ($row as $node => $w) {
                $i = 3 * $node;
                $tx += $w * $x[$i];
                $ty += $w * $x[$i + 1];
                $tz += $w * $x[$i + 2];
            }
            $energy += $this->kt * $inverse * ($tx * $tx + $ty * $ty + $tz * $tz);
        }
        foreach ($this->rows as $row) {
            $z = 0.0;
            foreach ($row as $node => $w) {
                $z += $w * $x[3 * $node + 2];
            }
            if ($z < 0) {
                $energy += $this->ko * $inverse * $z * $z;
            }
        }

        return $energy;
    }

    /**
     * The angle between two triangles: 0 flat, towards their front (a valley) positive.
     *
     * @param  array{float, float, float}  $from  an end of their common edge, mm
     * @param  array{float, float, float}  $to  the other end
     * @param  array{float, float, float}  $left  the third corner of the one in which the way is counterclockwise
     * @param  array{float, float, float}  $right  the third corner of the other one
     * @return float radians
     */
    public static function angleOf(array $from, array $to, array $left, array $right): float
    {
        return self::angle(x: [...$from, ...$to, ...$left, ...$right], p: 0, q: 3, l: 6, r: 9);
    }

    /** @param  array<int, float>  $x */
    private static function angle(array $x, int $p, int $q, int $l, int $r): float
    {
        [$ex, $ey, $ez] = [$x[$q] - $x[$p], $x[$q + 1] - $x[$p + 1], $x[$q + 2] - $x[$p + 2]];
        [$ux, $uy, $uz] = [$x[$l] - $x[$p], $x[$l + 1] - $x[$p + 1], $x[$l + 2] - $x[$p + 2]];
        [$vx, $vy, $vz] = [$x[$r] - $x[$p], $x[$r + 1] - $x[$p + 1], $x[$r + 2] - $x[$p + 2]];
        [$ax, $ay, $az] = [$ey * $uz - $ez * $uy, $ez * $ux - $ex * $uz, $ex * $uy - $ey * $ux];
        [$bx, $by, $bz] = [$vy * $ez - $vz * $ey, $vz * $ex - $vx * $ez, $vx * $ey - $vy * $ex];

        return atan2(
            (($by * $az - $bz * $ay) * $ex + ($bz * $ax - $bx * $az) * $ey + ($bx * $ay - $by * $ax) * $ez) /
                sqrt($ex * $ex + $ey * $ey + $ez * $ez),
            $ax * $bx + $ay * $by + $az * $bz,
        );
    }

    /** @return array{array<int, array<int, float>>, array<int, float>} J'J, lower triangle by rows, and -J'r */
    private function assembled(): array
    {
        $n = $this->n;
        $matrix = [];
        for ($i = 0; $i < $n; $i++) {
            $matrix[] = array_fill(0, $i + 1, 0.0);
        }
        $gradient = array_fill(0, $n, 0.0);
        $this->addBars($matrix, $gradient);
        foreach ($this->hinges as $h => [$p, $q, $l, $r, $w]) {
            $this->addHinge(
                matrix: $matrix,
                gradient: $gradient,
                nodes: [$p, $q, $l, $r],
                weight: sqrt($w),
                off: $this->angles[$h] - $this->targets[$h],
            );
        }
        $this->addPulls($matrix, $gradient);
        $this->addTies($matrix, $gradient);
        $this->addOrder($matrix, $gradient);

        return [$matrix, $gradient];
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $gradient
     */
    private function addBars(array &$matrix, array &$gradient): void
    {
        $x = $this->x;
        foreach ($this->bars as [$a, $b, $length]) {
            [$va, $vb] = [$this->variable[$a], $this->variable[$b]];
            if ($va < 0 && $vb < 0) {
                continue;
            }
            $i = 3 * $a;
            $j = 3 * $b;
            $d = [$x[$j] - $x[$i], $x[$j + 1] - $x[$i + 1], $x[$j + 2] - $x[$i + 2]];
            $l = sqrt($d[0] * $d[0] + $d[1] * $d[1] + $d[2] * $d[2]);
            $k = sqrt($this->kb) / ($l * $length);
            $row = [];
            foreach ([0, 1, 2] as $c) {
                if ($va >= 0) {
                    $row[$va + $c] = -$k * $d[$c];
                }
                if ($vb >= 0) {
                    $row[$vb + $c] = $k * $d[$c];
                }
            }
            self::add($matrix, $gradient, $row, sqrt($this->kb) * ($l / $length - 1));
        }
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $gradient
     */
    private function addPulls(array &$matrix, array &$gradient): void
    {
        $x = $this->x;
        $inverse = 1 / ($this->side * $this->side);
        foreach ([$this->pulls, $this->holds] as $pulls) {
            foreach ($pulls as $node => [$w, $px, $py, $pz]) {
                $v = $this->variable[$node];
                if ($v >= 0) {
                    foreach ([$px, $py, $pz] as $c => $to) {
                        $matrix[$v + $c][$v + $c] += $w * $inverse;
                        $gradient[$v + $c] -= $w * $inverse * ($x[3 * $node + $c] - $to);
                    }
                }
            }
        }
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $gradient
     */
    private function addTies(array &$matrix, array &$gradient): void
    {
        $x = $this->x;
        $weight = sqrt($this->kt * (1 / ($this->side * $this->side)));
        foreach ($this->ties as $tie) {
            foreach ([0, 1, 2] as $c) {
                $row = [];
                $sum = 0.0;
                foreach ($tie as $node => $w) {
                    $sum += $w * $x[3 * $node + $c];
                    if ($this->variable[$node] >= 0) {
                        $row[$this->variable[$node] + $c] = $weight * $w;
                    }
                }
                self::add($matrix, $gradient, $row, $weight * $sum);
            }
        }
    }

    /**
     * What must lie above something else and lies below it is pushed back.
     *
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $gradient
     */
    private function addOrder(array &$matrix, array &$gradient): void
    {
        $x = $this->x;
        $inverse = 1 / ($this->side * $this->side);
        $weight = sqrt($this->ko * $inverse);
        foreach ($this->rows as $weights) {
            $row = [];
            $sum = 0.0;
            foreach ($weights as $node => $w) {
                $sum += $w * $x[3 * $node + 2];
                if ($this->variable[$node] >= 0) {
                    $row[$this->variable[$node] + 2] = $weight * $w;
                }
            }
            if ($sum < 0) {
                self::add($matrix, $gradient, $row, $weight * $sum);
            }
        }
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $gradient
     * @param  array{int, int, int, int}  $nodes  from, to, left, right
     */
    private function addHinge(array &$matrix, array &$gradient, array $nodes, float $weight, float $off): void
    {
        [$p, $q, $l, $r] = $nodes;
        $x = $this->x;
        [$i, $j, $k, $m] = [3 * $p, 3 * $q, 3 * $l, 3 * $r];
        [$ex, $ey, $ez] = [$x[$j] - $x[$i], $x[$j + 1] - $x[$i + 1], $x[$j + 2] - $x[$i + 2]];
        [$ux, $uy, $uz] = [$x[$k] - $x[$i], $x[$k + 1] - $x[$i + 1], $x[$k + 2] - $x[$i + 2]];
        [$vx, $vy, $vz] = [$x[$m] - $x[$i], $x[$m + 1] - $x[$i + 1], $x[$m + 2] - $x[$i + 2]];
        [$ax, $ay, $az] = [$ey * $uz - $ez * $uy, $ez * $ux - $ex * $uz, $ex * $uy - $ey * $ux];
        [$bx, $by, $bz] = [$vy * $ez - $vz * $ey, $vz * $ex - $vx * $ez, $vx * $ey - $vy * $ex];
        $ee = $ex * $ex + $ey * $ey + $ez * $ez;
        $e = sqrt($ee);
        $fa = $weight * $e / max(1e-12, $ax * $ax + $ay * $ay + $az * $az);
        $fb = $weight * $e / max(1e-12, $bx * $bx + $by * $by + $bz * $bz);
        $a = ($ux * $ex + $uy * $ey + $uz * $ez) / $ee;
        $b = ($vx * $ex + $vy * $ey + $vz * $ez) / $ee;
        $gl = [$fa * $ax, $fa * $ay, $fa * $az];
        $gr = [$fb * $bx, $fb * $by, $fb * $bz];
        $row = [];
        foreach ([[$p, $a - 1, $b - 1], [$q, -$a, -$b], [$l, 1.0, 0.0], [$r, 0.0, 1.0]] as [$node, $s, $t]) {
            $v = $this->variable[$node];
            if ($v >= 0) {
                foreach ([0, 1, 2] as $c) {
                    $row[$v + $c] = ($row[$v + $c] ?? 0.0) + $s * $gl[$c] + $t * $gr[$c];
                }
            }
        }
        self::add($matrix, $gradient, $row, $weight * $off);
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $gradient
     * @param  array<int, float>  $row  of J
     */
    private static function add(array &$matrix, array &$gradient, array $row, float $residual): void
    {
        foreach ($row as $i => $u) {
            $gradient[$i] -= $u * $residual;
            foreach ($row as $j => $v) {
                if ($j <= $i) {
                    $matrix[$i][$j] += $u * $v;
                }
            }
        }
    }
}
