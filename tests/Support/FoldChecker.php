<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * Judges one foldedForm frame of a FOLD document from its numbers alone, sharing no code with the engine: isometry,
 * tiling, M/V against order, angles and counts at vertices, complete acyclic faceOrders, and no paper through paper by
 * probing points beside every crease. Returns complaints; none means the frame is paper.
 */
final class FoldChecker
{
    private const EPS = 1e-5;

    /** @var list<string> */
    private array $complaints = [];

    /** @var array<string, bool> "i j" => i above j as seen */
    private array $above = [];

    /** @var array<int, list<array{float, float}>> */
    private array $folded = [];

    /** @var array<int, bool> */
    private array $up = [];

    /** @param  array<string, mixed>  $f */
    private function __construct(private readonly array $f)
    {
    }

    /**
     * @param  array<string, mixed>  $frame
     * @return list<string>
     */
    public static function complaints(array $frame): array
    {
        $self = new self($frame);
        $self->faces();
        $self->edges();
        $self->vertices();
        $self->orders();
        $self->probes();

        return $self->complaints;
    }

    private function faces(): void
    {
        $area = 0.0;
        foreach ($this->f['faces_vertices'] as $i => $loop) {
            $sheet = $this->corners($loop, 'cathedra:vertices_sheet');
            $this->folded[$i] = $this->corners($loop, 'vertices_coords');
            $a = self::area($sheet);
            $b = self::area($this->folded[$i]);
            $area += $a;
            $this->up[$i] = $b > 0;
            $a > 0 || ($this->complaints[] = "face $i is not counterclockwise on the sheet");
            abs(abs($b) - $a) < self::EPS * max(1, $a) || ($this->complaints[] = "face $i changes its area");
            foreach ($loop as $k => $v) {
                foreach ($loop as $l => $w) {
                    $d =
                        self::distance($sheet[$k], $sheet[$l]) -
                        self::distance($this->folded[$i][$k], $this->folded[$i][$l]);
                    abs($d) < self::EPS || ($this->complaints[] = "face $i is stretched between $v and $w");
                }
            }
        }
        $whole = abs(self::area($this->f['cathedra:sheet']['polygon'])) - ($this->f['cathedra:removed_area_mm2'] ?? 0);
        abs($whole - $area) < 1e-6 * $whole || ($this->complaints[] = "the faces cover $area of $whole mm2");
    }

    /**
     * @param  list<int>  $loop
     * @return list<array{float, float}>
     */
    private function corners(array $loop, string $key): array
    {
        return array_map(fn (int $v): array => [(float) $this->f[$key][$v][0], (float) $this->f[$key][$v][1]], $loop);
    }

    private function edges(): void
    {
        foreach ($this->f['edges_vertices'] as $e => [$a, $b]) {
            [$i, $j] = $this->f['edges_faces'][$e];
            $kind = $this->f['edges_assignment'][$e];
            foreach (array_filter([$i, $j], is_int(...)) as $face) {
                $loop = $this->f['faces_vertices'][$face] ?? [];
                $at = (int) array_search($a, $loop, true);
                $n = count($loop);
                $beside =
                    in_array($a, $loop, true) && ($loop[($at + 1) % $n] === $b || $loop[($at + $n - 1) % $n] === $b);
                $beside || ($this->complaints[] = "edge $e is no side of face $face");
            }
            ($j === null) === in_array($kind, ['B', 'C'], true) ||
                ($this->complaints[] = "edge $e has the assignment $kind");
            if ($j !== null) {
                (($this->up[$i] ?? null) !== ($this->up[$j] ?? null)) === in_array($kind, ['M', 'V'], true) ||
                    ($this->complaints[] = "edge $e is $kind but its faces say otherwise");
            }
        }
    }

    private function vertices(): void
    {
        foreach (array_keys($this->f['vertices_coords']) as $v) {
            $angles = [];
            $count = ['M' => 0, 'V' => 0];
            foreach ($this->f['edges_vertices'] as $e => $ends) {
                if (! in_array($v, $ends, true)) {
                    continue;
                }
                $kind = $this->f['edges_assignment'][$e];
                if ($kind === 'B' || $kind === 'C') {
                    continue 2;
                }
                if (isset($count[$kind])) {
                    $count[$kind]++;
                    [$p, $q] = array_map(
                        fn (int $w): array => $this->f['cathedra:vertices_sheet'][$w],
                        $ends[0] === $v ? $ends : array_reverse($ends),
                    );
                    $angles[] = atan2($q[1] - $p[1], $q[0] - $p[0]);
                }
            }
            if ($angles === []) {
                continue;
            }
            sort($angles);
            $odd = 0.0;
            for ($k = 0; $k < count($angles); $k += 2) {
                $odd += ($angles[$k + 1] ?? NAN) - $angles[$k];
            }
            abs($odd - M_PI) < 1e-6 || ($this->complaints[] = "angles at vertex $v add up to ".rad2deg($odd));
            abs($count['M'] - $count['V']) === 2 ||
                ($this->complaints[] = "vertex $v has {$count['M']} M and {$count['V']} V");
        }
    }

    private function orders(): void
    {
        foreach ($this->f['faceOrders'] as [$i, $j, $s]) {
            $this->above["$i $j"] = ($s === 1) === ($this->up[$j] ?? false);
            $this->above["$j $i"] = ! $this->above["$i $j"];
        }
        foreach ($this->f['edges_assignment'] as $e => $kind) {
            if ($kind === 'M' || $kind === 'V') {
                [$i, $j] = $this->f['edges_faces'][$e];
                [$front, $back] = $this->up[$i] ?? false ? [$i, $j] : [$j, $i];
                ($this->above["$back $front"] ?? null) === ($kind === 'V') ||
                    ($this->complaints[] = "edge $e is $kind against the order of faces $i and $j");
            }
        }
    }

    /**
     * At points a hair beside every edge: the stack is complete and without a ring, and no crease encloses a passing
     * layer.
     */
    private function probes(): void
    {
        foreach ($this->f['edges_vertices'] as $e => [$a, $b]) {
            $p = $this->f['vertices_coords'][$a];
            $q = $this->f['vertices_coords'][$b];
            $length = self::distance($p, $q);
            foreach ([0.137, 0.293, 0.5119, 0.731, 0.877] as $t) {
                $at = [$p[0] + ($q[0] - $p[0]) * $t, $p[1] + ($q[1] - $p[1]) * $t];
                $n = [(-($q[1] - $p[1]) / $length) * 1e-3, (($q[0] - $p[0]) / $length) * 1e-3];
                $left = $this->stack([$at[0] + $n[0], $at[1] + $n[1]], $e);
                $right = $this->stack([$at[0] - $n[0], $at[1] - $n[1]], $e);
                $this->through($e, $left, $right);
            }
        }
    }

    /**
     * @param  array{float, float}  $p
     * @return list<int> from the top down
     */
    private function stack(array $p, int $e): array
    {
        $faces = array_values(
            array_filter(array_keys($this->folded), fn (int $i): bool => self::inside($this->folded[$i], $p)),
        );
        foreach ($faces as $i) {
            foreach ($faces as $j) {
                if ($i < $j && ! isset($this->above["$i $j"])) {
                    $this->complaints[] = "no order is given for faces $i and $j, which overlap beside edge $e";

                    return [];
                }
            }
        }
        $rank = [];
        foreach ($faces as $i) {
            $rank[$i] = count(array_filter($faces, fn (int $j): bool => $i !== $j && $this->above["$j $i"]));
        }
        count(array_unique($rank)) === count($faces) ||
            ($this->complaints[] = "the layers beside edge $e run in a ring");
        asort($rank);

        return array_keys($rank);
    }

    /**
     * Going across the line, every layer goes on as itself, as the face joined to it flat, or turns back into the face
     * it is folded to; drawn as arcs between positions, none may cross.
     *
     * @param  list<int>  $left
     * @param  list<int>  $right
     */
    private function through(int $e, array $left, array $right): void
    {
        $pos = ['l' => array_flip($left), 'r' => array_flip($right)];
        $arcs = ['l' => [], 'r' => []];
        $across = [];
        foreach (array_intersect($left, $right) as $face) {
            $across[] = [$pos['l'][$face], $pos['r'][$face]];
        }
        foreach ($this->f['edges_faces'] as $k => [$i, $j]) {
            if ($j === null || ! $this->sameLine($e, $k)) {
                continue;
            }
            foreach (['l', 'r'] as $side) {
                $other = $side === 'l' ? 'r' : 'l';
                if (isset($pos[$side][$i], $pos[$side][$j]) && $this->up[$i] !== $this->up[$j]) {
                    $arcs[$side][] = [min($pos[$side][$i], $pos[$side][$j]), max($pos[$side][$i], $pos[$side][$j])];
                } elseif ($side === 'l' && isset($pos['l'][$i], $pos['r'][$j])) {
                    $across[] = [$pos['l'][$i], $pos['r'][$j]];
                } elseif ($side === 'r' && isset($pos['l'][$j], $pos['r'][$i])) {
                    $across[] = [$pos['l'][$j], $pos['r'][$i]];
                }
                unset($other);
            }
        }
        foreach ($across as $m => [$a, $b]) {
            foreach ($across as $n => [$c, $d]) {
                if ($m < $n && $a < $c !== $b < $d) {
                    $this->complaints[] = "layers change places at edge $e";
                }
            }
        }
        foreach ($arcs as $side => $list) {
            foreach ($list as $m => [$a, $b]) {
                foreach ($list as $n => [$c, $d]) {
                    if ($m !== $n && $a < $c && $c < $b && $b < $d) {
                        $this->complaints[] = "two creases interleave at edge $e";
                    }
                }
                foreach ($across as [$x, $y]) {
                    $at = $side === 'l' ? $x : $y;
                    if ($a < $at && $at < $b) {
                        $this->complaints[] = "a layer passes through the crease at edge $e";
                    }
                }
            }
        }
    }

    private function sameLine(int $e, int $k): bool
    {
        [$p, $q] = array_map(fn (int $v): array => $this->f['vertices_coords'][$v], $this->f['edges_vertices'][$e]);
        foreach ($this->f['edges_vertices'][$k] as $v) {
            $r = $this->f['vertices_coords'][$v];
            $off = (($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0])) / self::distance($p, $q);
            if (abs($off) > 1e-4) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<array{float, float}>  $points */
    private static function area(array $points): float
    {
        $sum = 0.0;
        foreach ($points as $i => $p) {
            $q = $points[($i + 1) % count($points)];
            $sum += $p[0] * $q[1] - $p[1] * $q[0];
        }

        return $sum / 2;
    }

    /**
     * @param  array<array-key, mixed>  $p
     * @param  array<array-key, mixed>  $q
     */
    private static function distance(array $p, array $q): float
    {
        return hypot($p[0] - $q[0], $p[1] - $q[1]);
    }

    /**
     * @param  list<array{float, float}>  $polygon
     * @param  array{float, float}  $p
     */
    private static function inside(array $polygon, array $p): bool
    {
        $sign = self::area($polygon) > 0 ? 1 : -1;
        foreach ($polygon as $i => $a) {
            $b = $polygon[($i + 1) % count($polygon)];
            if ($sign * (($b[0] - $a[0]) * ($p[1] - $a[1]) - ($b[1] - $a[1]) * ($p[0] - $a[0])) <= 0) {
                return false;
            }
        }

        return true;
    }
}
