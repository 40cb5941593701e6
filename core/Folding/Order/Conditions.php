<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

use Cathedra\Core\Folding\Assignment;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\Pattern;
use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Tolerance;

/**
 * Everything that mountain and valley and "no paper through paper" say about the layer order of a folded pattern, as
 * linear conditions over GF(2). The crossing conditions are those known as taco-taco, taco-tortilla and
 * tortilla-tortilla in the literature on flat foldability; together with "no ring among three faces over one place"
 * they are complete.
 */
final class Conditions
{
    /** @var list<Condition> */
    private array $list = [];

    private readonly int $n;

    /** @var array<int, Point> centres of faces, as they are asked for */
    private array $middles = [];

    /** @var list<array{edge: Edge, p: Point, q: Point, box: Box}> */
    private array $creases = [];

    /** @param  list<Polygon>  $polygons faces in the folded plane */
    private function __construct(
        private readonly array $polygons,
        private readonly Overlaps $overlaps,
        private readonly Tolerance $tolerance,
    ) {
        $this->n = count($polygons);
    }

    /**
     * @param  list<Polygon>  $polygons  faces in the folded plane
     * @param  callable(int $face, int $vertex): Point  $corner  where a vertex of a face lies in the folded plane
     * @param  list<bool>  $frontUp
     * @param  array<string, true>  $open  edges (Edge::key) that may bend either way
     * @return list<Condition>
     */
    public static function of(
        Pattern $pattern,
        array $polygons,
        callable $corner,
        array $frontUp,
        Overlaps $overlaps,
        Tolerance $tolerance,
        array $open = [],
    ): array {
        $self = new self($polygons, $overlaps, $tolerance);
        foreach ($pattern->creases() as $edge) {
            $p = $corner($edge->faces[0], $edge->a);
            $q = $corner($edge->faces[0], $edge->b);
            $self->creases[] = ['edge' => $edge, 'p' => $p, 'q' => $q, 'box' => Box::around([$p, $q])];
            if ($edge->assignment->isFolded() && ! isset($open[Edge::key($edge->a, $edge->b)])) {
                $self->mountainOrValley($edge, $frontUp, $p->toward($q, 0.5));
            }
        }
        $self->coveredCreases();
        $self->stackedCreases();

        return $self->list;
    }

    /**
     * Valley: the fronts face each other, so the face showing its back lies above the one showing its front.
     *
     * @param  list<bool>  $frontUp
     */
    private function mountainOrValley(Edge $edge, array $frontUp, Point $place): void
    {
        [$i, $j] = $edge->faces;
        $showsBack = $frontUp[$i] ? $j : $i;
        $showsFront = $frontUp[$i] ? $i : $j;
        $sum = $edge->assignment === Assignment::Valley ? 1 : 0;
        $this->add([[$showsBack, $showsFront]], $sum, 'a crease would have to bend the other way', $place);
    }

    /** A face whose inside is crossed by a crease lies above both its faces or below both. */
    private function coveredCreases(): void
    {
        $with = $this->overlaps->neighbours();
        $margin = $this->tolerance->meeting;
        foreach ($this->creases as ['edge' => $edge, 'p' => $p, 'q' => $q, 'box' => $box]) {
            [$f, $g] = $edge->faces;
            foreach (array_intersect_key($with[$f], $with[$g]) as $h => $_) {
                if (! $this->overlaps->boxes[$h]->overlaps($box, -$this->tolerance->length)) {
                    continue;
                }
                $span = $this->polygons[$h]->spanInside($p, $q, $margin);
                if ($span !== null && ($span[1] - $span[0]) * $p->distanceTo($q) > $margin) {
                    $this->add(
                        [[$h, $f], [$h, $g]],
                        0,
                        'a layer would lie between the two sides of a crease',
                        $p->toward($q, ($span[0] + $span[1]) / 2),
                    );
                }
            }
        }
    }

    /**
     * Two creases lying on one another do not interleave. Which lie on one line is asked in plain numbers first: it is
     * asked of every two creases, and nearly none do.
     */
    private function stackedCreases(): void
    {
        $near = $this->tolerance->meeting;
        $count = count($this->creases);
        for ($s = 0; $s < $count; $s++) {
            ['p' => $p, 'q' => $q, 'box' => $box] = $this->creases[$s];
            $length = $p->distanceTo($q);
            if ($length < 1e-12) {
                continue;
            }
            [$x, $y, $ux, $uy] = [$p->x, $p->y, ($q->x - $p->x) / $length, ($q->y - $p->y) / $length];
            for ($t = $s + 1; $t < $count; $t++) {
                $that = $this->creases[$t];
                $a = $that['p'];
                $b = $that['q'];
                if (
                    abs($ux * ($a->y - $y) - $uy * ($a->x - $x)) > $near ||
                    abs($ux * ($b->y - $y) - $uy * ($b->x - $x)) > $near ||
                    ! $box->overlaps($that['box'], -$this->tolerance->length)
                ) {
                    continue;
                }
                $u = $ux * ($a->x - $x) + $uy * ($a->y - $y);
                $v = $ux * ($b->x - $x) + $uy * ($b->y - $y);
                $from = max(0.0, min($u, $v));
                $to = min($length, max($u, $v));
                if ($to - $from > $this->tolerance->meeting) {
                    $middle = ($from + $to) / 2;
                    $place = new Point($x + $ux * $middle, $y + $uy * $middle);
                    $this->stacked($this->creases[$s]['edge'], $that['edge'], $place, [$x, $y, $ux, $uy]);
                }
            }
        }
    }

    /** @param  array{float, float, float, float}  $line  a point and the direction of the line on which both lie */
    private function stacked(Edge $first, Edge $second, Point $place, array $line): void
    {
        if (array_intersect($first->faces, $second->faces) !== []) {
            return;
        }
        [$i, $j] = $this->bySide($first, $line);
        [$k, $l] = $this->bySide($second, $line);
        $what = 'two creases that lie on one another would interleave';
        $firstFolded = $first->assignment->isFolded();
        $secondFolded = $second->assignment->isFolded();
        if ($firstFolded && $secondFolded) {
            if ($this->side($i, $line) === $this->side($k, $line)) {
                $this->add([[$i, $k], [$j, $k], [$i, $l], [$j, $l]], 0, $what, $place);
            }
        } elseif (! $firstFolded && ! $secondFolded) {
            $this->add([[$i, $k], [$j, $l]], 0, $what, $place);
        } else {
            [$bent, $flat] = $firstFolded ? [[$i, $j], [$k, $l]] : [[$k, $l], [$i, $j]];
            $t = $this->side($flat[0], $line) === $this->side($bent[0], $line) ? $flat[0] : $flat[1];
            $this->add([[$t, $bent[0]], [$t, $bent[1]]], 0, $what, $place);
        }
    }

    /**
     * The crease's faces, the one on the left of the line first.
     *
     * @param  array{float, float, float, float}  $line
     * @return array{int, int}
     */
    private function bySide(Edge $edge, array $line): array
    {
        [$f, $g] = $edge->faces;

        return $this->side($f, $line) ? [$f, $g] : [$g, $f];
    }

    /** @param  array{float, float, float, float}  $line */
    private function side(int $face, array $line): bool
    {
        [$x, $y, $ux, $uy] = $line;
        $middle = $this->middles[$face] ??= $this->polygons[$face]->centroid();

        return $ux * ($middle->y - $y) - $uy * ($middle->x - $x) > 0;
    }

    /** @param  list<array{int, int}>  $ordered */
    private function add(array $ordered, int $sum, string $what, Point $place): void
    {
        $common = $this->overlaps->common;
        $n = $this->n;
        foreach ($ordered as [$i, $j]) {
            if (! isset($common[$i < $j ? $i * $n + $j : $j * $n + $i])) {
                return;
            }
        }
        $this->list[] = Condition::on(faceCount: $this->n, ordered: $ordered, sum: $sum, what: $what, place: $place);
    }
}
