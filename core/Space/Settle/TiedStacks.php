<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Settle;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Numeric\Union;
use Cathedra\Core\Space\Transition;

/**
 * Layers that lie on one another before and after and move alike are one stack: their corners are one node, or tied.
 * In a fold that turns a flap inside out (some crease changes from mountain to valley) the two halves of the flap are
 * never tied, and each stays on its side of the table.
 *
 * @phpstan-import-type Row from BarsAndHinges
 */
final class TiedStacks
{
    /** @var array<int, int> by vertex */
    public array $nodeOf;

    public int $nodes;

    /** @var array<int, Row> by node: corners of what two cells of a stack share, where no corner of both lies */
    public array $ties = [];

    /** @var array<int, Row> by node: what lies over other paper must not go under it */
    public array $rows = [];

    /** @var array<int, int|null> by cell: the half it belongs to */
    public array $halfOf;

    /** @var array<int, int> by cell of a half: how many cells away from what moves */
    private array $away = [];

    /** @var array{array<int, Polygon>, array<int, Polygon>} the cells as they lie before and after */
    private array $polygons;

    /** @var array{array<int, array<int, bool>>, array<int, array<int, bool>>} */
    private array $layers;

    private Union $union;

    /**
     * @param  bool  $loose  whether layers that stay are left to themselves: a flap that hangs on two others opens only
     *     so
     */
    public function __construct(private readonly Transition $transition, private readonly bool $loose = false)
    {
        $this->polygons = [$transition->laid(false), $transition->laid(true)];
        $this->layers = [$transition->layers(false), $transition->layers(true)];
        $this->halfOf = $this->halves();
        $this->union = new Union();
        $pairs = $this->pairs();
        foreach ($pairs as [$i, $j]) {
            $this->unite($i, $j);
        }
        $number = [];
        $this->nodeOf = [];
        for ($v = 0; $v < $transition->mesh->vertexCount(); $v++) {
            $this->nodeOf[] = $number[$this->union->root($v)] ??= count($number);
        }
        $this->nodes = count($number);
        foreach ($pairs as [$i, $j, $common]) {
            foreach ($common->points as $p) {
                $row = $this->difference($i, $j, $p);
                if ($row !== []) {
                    $this->ties[] = $row;
                }
            }
        }
        $this->rows = $this->oneSided();
    }

    /** @return array<int, int|null> by cell */
    private function halves(): array
    {
        $mesh = $this->transition->mesh;
        $none = array_fill(0, count($mesh->cells), null);
        if (! Ridges::areIn($mesh)) {
            return $none;
        }
        $union = new Union();
        foreach ($this->layers[0] as $i => $others) {
            foreach ($others as $j => $over) {
                $motion = $this->transition->motionOf[$i];
                if (
                    $motion > 0 && $motion === $this->transition->motionOf[$j] &&
                    ! $this->transition->motions[$motion]->keepsOrientation() &&
                    ($this->layers[1][$i][$j] ?? $over) !== $over
                ) {
                    $union->join($i, $j);
                }
            }
        }
        $next = [];
        $ridges = new Ridges($mesh);
        foreach ($mesh->hinges as $hinge) {
            ['left' => $l, 'right' => $r] = $hinge;
            if (! Ridges::turns($hinge) && ! $ridges->goOnIn($hinge)) {
                $next[$l][] = $r;
                $next[$r][] = $l;
                if (! $this->transition->isStill($l) && ! $this->transition->isStill($r)) {
                    $union->join($l, $r);
                }
            }
        }
        $half = $none;
        $queue = [];
        foreach (array_keys($mesh->cells) as $cell) {
            if (! $this->transition->isStill($cell)) {
                $half[$cell] = (int) $union->root($cell);
                $this->away[$cell] = 0;
                $queue[] = $cell;
            }
        }
        for ($k = 0; $k < count($queue); $k++) {
            foreach ($next[$queue[$k]] ?? [] as $other) {
                if ($half[$other] === null) {
                    $half[$other] = $half[$queue[$k]];
                    $this->away[$other] = $this->away[$queue[$k]] + 1;
                    $queue[] = $other;
                }
            }
        }

        return $half;
    }

    /** @return array<int, array{int, int, Polygon}> neighbours that stay so and move alike, and what they share */
    private function pairs(): array
    {
        $pairs = [];
        foreach ($this->layers[0] as $i => $others) {
            foreach ($others as $j => $over) {
                $motion = $this->transition->motionOf[$i];
                if (
                    $i > $j || ($this->loose && $motion === 0) ||
                    $motion !== $this->transition->motionOf[$j] || $this->halfOf[$i] !== $this->halfOf[$j] ||
                    ! isset($this->layers[1][$i][$j]) ||
                    ($this->layers[1][$i][$j] === $over) !== $this->transition->motions[$motion]->keepsOrientation()
                ) {
                    continue;
                }
                if (! $this->between($i, $j, 0) && ! $this->between($i, $j, 1)) {
                    $pairs[] = [$i, $j, $this->polygons[0][$i]->intersection($this->polygons[0][$j])];
                }
            }
        }

        return $pairs;
    }

    /** Whether other paper lies between two cells, before (0) or after (1). */
    private function between(int $i, int $j, int $when): bool
    {
        $layers = $this->layers[$when];
        $over = $layers[$i][$j];
        $common = null;
        foreach ($layers[$i] as $k => $first) {
            if ($first === $over && ($layers[$k][$j] ?? null) === $over) {
                $common ??= $this->polygons[$when][$i]->intersection($this->polygons[$when][$j]);
                $there = $this->polygons[$when][$k]->intersection($common)->area();
                if ($there > $this->transition->before->tolerance->area) {
                    return true;
                }
            }
        }

        return false;
    }

    private function unite(int $i, int $j): void
    {
        $start = $this->transition->start;
        $near = $this->transition->before->tolerance->aside;
        foreach ($this->transition->mesh->cells[$i] as $v) {
            foreach ($this->transition->mesh->cells[$j] as $w) {
                if (abs($start[$v][0] - $start[$w][0]) < $near && abs($start[$v][1] - $start[$w][1]) < $near) {
                    $this->union->join($v, $w);
                }
            }
        }
    }

    /** @return array<int, Row> */
    private function oneSided(): array
    {
        if (! Ridges::areIn($this->transition->mesh)) {
            return [];
        }
        $rows = [];
        foreach ($this->layers[0] as $i => $others) {
            foreach ($others as $j => $over) {
                $motion = $this->transition->motionOf[$i];
                if (
                    ! $over || $motion !== $this->transition->motionOf[$j] ||
                    ! $this->transition->motions[$motion]->keepsOrientation() ||
                    ($this->layers[1][$i][$j] ?? false) !== true
                ) {
                    continue;
                }
                $common = $this->polygons[0][$i]->intersection($this->polygons[0][$j]);
                if ($common->isEmpty() || $this->between($i, $j, 0)) {
                    continue;
                }
                foreach ([...$common->points, $common->centroid()] as $p) {
                    $row = $this->difference($i, $j, $p);
                    if ($row !== []) {
                        $rows[self::name($row)] = $row;
                    }
                }
            }
        }

        return array_values($rows);
    }

    /**
     * Every corner of the upper half stays over the table, of the lower half under it, of both on it. Where paper of
     * the lower half lies over the upper one all the same, the piece farther from what moves is left to itself.
     *
     * @return array<int, Row>
     */
    public function sides(): array
    {
        $sum = [];
        foreach ($this->halfOf as $cell => $half) {
            if ($half !== null && ! $this->transition->isStill($cell)) {
                $under = count(array_filter($this->layers[0][$cell] ?? []));
                $sum[$half][] = 2 * $under - count($this->layers[0][$cell] ?? []);
            }
        }
        if (count($sum) < 2) {
            return [];
        }
        $mean = array_map(static fn (array $of): float => array_sum($of) / count($of), $sum);
        $middle = array_sum($mean) / count($mean);
        $sides = [];
        foreach ($this->halfOf as $cell => $half) {
            if ($half !== null) {
                $sides[$cell] = $mean[$half] >= $middle ? 1.0 : -1.0;
            }
        }
        $rows = [];
        foreach (array_diff_key($sides, $this->astray($sides)) as $cell => $side) {
            foreach ($this->transition->mesh->cells[$cell] as $vertex) {
                $rows["{$this->nodeOf[$vertex]} $side"] = [$this->nodeOf[$vertex] => $side];
            }
        }

        return array_values($rows);
    }

    /**
     * @param  array<int, float>  $sides  by cell
     * @return array<int, true> still cells on the wrong side of the other half
     */
    private function astray(array $sides): array
    {
        $astray = [];
        foreach ($sides as $i => $one) {
            foreach ($this->layers[0][$i] ?? [] as $j => $over) {
                if ($one < 0 && $over && ($sides[$j] ?? $one) > 0) {
                    $far = $this->away[$i] <=> $this->away[$j];
                    $astray += ($far >= 0 ? [$i => true] : []) + ($far <= 0 ? [$j => true] : []);
                }
            }
        }

        return array_filter($astray, $this->transition->isStill(...), ARRAY_FILTER_USE_KEY);
    }

    /** @param  Row  $row */
    private static function name(array $row): string
    {
        ksort($row);

        return implode(' ', array_map(
            static fn (int $node, float $w): string => sprintf('%d:%.3f', $node, $w),
            array_keys($row),
            $row,
        ));
    }

    /**
     * The place of one cell less the same place of another, as weights of nodes; none where they are one anyway.
     *
     * @return Row
     */
    private function difference(int $i, int $j, Point $p): array
    {
        $row = [];
        foreach ([[$i, 1.0], [$j, -1.0]] as [$cell, $sign]) {
            foreach ($this->weights($cell, $p) as $vertex => $w) {
                $node = $this->nodeOf[$vertex];
                $row[$node] = ($row[$node] ?? 0.0) + $sign * $w;
            }
        }

        return array_filter($row, static fn (float $w): bool => abs($w) > 1e-6);
    }

    /** @return array<int, float> barycentric weights of the vertices of the triangle of a cell that holds the place */
    private function weights(int $cell, Point $p): array
    {
        $best = [];
        $inside = -INF;
        foreach ($this->transition->mesh->triangles as $t => $triangle) {
            if ($this->transition->mesh->cellOf[$t] !== $cell) {
                continue;
            }
            [$a, $b, $c] = array_map(fn (int $v): array => $this->transition->start[$v], $triangle);
            $area = ($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0]);
            $v = (($p->x - $a[0]) * ($c[1] - $a[1]) - ($p->y - $a[1]) * ($c[0] - $a[0])) / $area;
            $w = (($b[0] - $a[0]) * ($p->y - $a[1]) - ($b[1] - $a[1]) * ($p->x - $a[0])) / $area;
            $least = min(1 - $v - $w, $v, $w);
            if ($least > $inside) {
                $inside = $least;
                $best = [$triangle[0] => 1 - $v - $w, $triangle[1] => $v, $triangle[2] => $w];
            }
        }

        return $best;
    }
}
