<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Line;
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
        $boxes = array_map(static fn (Polygon $p): Box => $p->box(), $this->polygons);
        foreach ($this->creases as ['edge' => $edge, 'p' => $p, 'q' => $q, 'box' => $box]) {
            [$f, $g] = $edge->faces;
            foreach ($this->polygons as $h => $polygon) {
                if (
                    $h === $f ||
                    $h === $g ||
                    ! $this->overlaps->has($h, $f) ||
                    ! $this->overlaps->has($h, $g) ||
                    ! $boxes[$h]->overlaps($box, -$this->tolerance->length)
                ) {
                    continue;
                }
                $span = $polygon->spanInside($p, $q, $this->tolerance->length * 10);
                if ($span !== null && ($span[1] - $span[0]) * $p->distanceTo($q) > $this->tolerance->length * 10) {
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

    /** Two creases lying on one another do not interleave. */
    private function stackedCreases(): void
    {
        $count = count($this->creases);
        for ($s = 0; $s < $count; $s++) {
            for ($t = $s + 1; $t < $count; $t++) {
                if ($this->creases[$s]['box']->overlaps($this->creases[$t]['box'], -$this->tolerance->length)) {
                    $place = $this->commonStretch($this->creases[$s], $this->creases[$t]);
                    if ($place !== null) {
                        $this->stacked(
                            $this->creases[$s]['edge'],
                            $this->creases[$t]['edge'],
                            $place,
                            $this->creases[$s],
                        );
                    }
                }
            }
        }
    }

    /**
     * @param  array{edge: Edge, p: Point, q: Point, box: Box}  $s
     * @param  array{edge: Edge, p: Point, q: Point, box: Box}  $t
     * @return Point|null the middle of the stretch on which both lie
     */
    private function commonStretch(array $s, array $t): ?Point
    {
        $line = Line::through($s['p'], $s['q']);
        if (
            $line === null ||
            abs($line->distanceTo($t['p'])) > 4 * $this->tolerance->length ||
            abs($line->distanceTo($t['q'])) > 4 * $this->tolerance->length
        ) {
            return null;
        }
        $along = $s['q']->minus($s['p'])->unit();
        $length = $s['p']->distanceTo($s['q']);
        $u = $t['p']->minus($s['p'])->dot($along);
        $v = $t['q']->minus($s['p'])->dot($along);
        $from = max(0.0, min($u, $v));
        $to = min($length, max($u, $v));

        return $to - $from > 10 * $this->tolerance->length ? $s['p']->plus($along->times(($from + $to) / 2)) : null;
    }

    /** @param  array{edge: Edge, p: Point, q: Point, box: Box}  $at the first crease, which gives the line */
    private function stacked(Edge $first, Edge $second, Point $place, array $at): void
    {
        $line = Line::through($at['p'], $at['q']) ?? throw new \LogicException('A crease has length.');
        [$i, $j] = $this->bySide($first, $line);
        [$k, $l] = $this->bySide($second, $line);
        if (array_intersect($first->faces, $second->faces) !== []) {
            return;
        }
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
     * The crease's faces, the one on the positive side of the line first.
     *
     * @return array{int, int}
     */
    private function bySide(Edge $edge, Line $line): array
    {
        [$f, $g] = $edge->faces;

        return $this->side($f, $line) ? [$f, $g] : [$g, $f];
    }

    private function side(int $face, Line $line): bool
    {
        return $line->distanceTo($this->polygons[$face]->centroid()) > 0;
    }

    /** @param  list<array{int, int}>  $ordered */
    private function add(array $ordered, int $sum, string $what, Point $place): void
    {
        foreach ($ordered as [$i, $j]) {
            if (! $this->overlaps->has($i, $j)) {
                return;
            }
        }
        $this->list[] = Condition::on($this->n, $ordered, $sum, $what, $place);
    }
}
