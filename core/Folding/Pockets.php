<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;

/**
 * Pockets: gaps between two layers that a finger can enter from one side and not leave at the others. The gap between
 * neighbouring layers is followed from cell to cell of Stacks; its rim is closed where a fold joins the two layers, or
 * where both are folded over to the same side, and a mouth where one of them ends. A pocket is closed along at least
 * half of its rim.
 */
final class Pockets
{
    /**
     * Share of the rim that must be closed: a sheet folded once is no pocket (closed at most along 0.41 of it), a cone
     * is.
     */
    private const CLOSED = 0.5;

    /** Of the sheet's area; a smaller gap is of no use to anybody. */
    private const LEAST = 0.02;

    /** @var array<string, string> union-find over gaps "cell:layer" */
    private array $parent = [];

    /** @var array<string, array{area: float, closed: float, open: float, mouth: Point}> */
    private array $gaps = [];

    /** @param  list<array{polygon: Polygon, faces: list<int>}>  $cells */
    private function __construct(private readonly FoldedState $state, private readonly array $cells)
    {
    }

    /** @return list<Direction> where each pocket is open, as the folder sees it */
    public static function of(FoldedState $state, Stacks $stacks): array
    {
        $self = new self($state, $stacks->cells);
        foreach ($stacks->cells as $c => $cell) {
            for ($k = 0; $k < count($cell['faces']) - 1; $k++) {
                $self->gaps["$c:$k"] = [
                    'area' => $cell['polygon']->area(),
                    'closed' => 0.0,
                    'open' => 0.0,
                    'mouth' => new Point(0, 0),
                ];
            }
        }
        foreach (array_keys($stacks->cells) as $c) {
            $self->walkRim($c);
        }

        return $self->found();
    }

    private function walkRim(int $c): void
    {
        $points = $this->cells[$c]['polygon']->points;
        foreach ($points as $i => $a) {
            $b = $points[($i + 1) % count($points)];
            $left = $a->distanceTo($b);
            if ($left < 100 * $this->state->tolerance->length) {
                continue;
            }
            foreach ($this->cells as $d => $other) {
                $shared = $d === $c ? null : $this->shared($a, $b, $other['polygon']);
                if ($shared !== null) {
                    $this->cross($c, $d, $shared[0], $shared[1], $a, $b);
                    $left -= $shared[0]->distanceTo($shared[1]);
                }
            }
            if ($left > 100 * $this->state->tolerance->length) {
                $this->cross($c, null, $a, $a->toward($b, $left / $a->distanceTo($b)), $a, $b);
            }
        }
    }

    /**
     * @return array{Point, Point}|null the stretch of the side from a to b along which the polygon lies on its other
     *     side
     */
    private function shared(Point $a, Point $b, Polygon $other): ?array
    {
        $line = Line::through($a, $b);
        $near = 20 * $this->state->tolerance->length;
        if ($line === null || $line->distanceTo($other->centroid()) >= 0) {
            return null;
        }
        $along = $b->minus($a)->unit();
        $length = $a->distanceTo($b);
        $on = [];
        foreach ($other->points as $p) {
            if (abs($line->distanceTo($p)) < $near) {
                $on[] = $p->minus($a)->dot($along);
            }
        }
        $from = max(0.0, min([INF, ...$on]));
        $to = min($length, max([-INF, ...$on]));

        return count($on) > 1 && $to - $from > 100 * $this->state->tolerance->length
            ? [$a->plus($along->times($from)), $a->plus($along->times($to))]
            : null;
    }

    private function cross(int $c, ?int $d, Point $p, Point $q, Point $a, Point $b): void
    {
        $middle = $p->toward($q, 0.5);
        $stack = $this->cells[$c]['faces'];
        $beyond = $d === null ? [] : array_flip($this->cells[$d]['faces']);
        $length = $p->distanceTo($q);
        foreach (array_slice($stack, 0, -1) as $k => $upper) {
            $lower = $stack[$k + 1];
            $gap = "$c:$k";
            [$u, $joinU] = $this->across($upper, $middle, $beyond);
            [$l, $joinL] = $this->across($lower, $middle, $beyond);
            if ($u !== null && $l !== null) {
                for ($m = min($beyond[$u], $beyond[$l]); $m < max($beyond[$u], $beyond[$l]); $m++) {
                    $this->join($gap, "$d:$m");
                }

                continue;
            }
            $of = $this->gaps[$gap];
            if (
                $joinU === $lower ||
                ($joinU !== null &&
                    $joinL !== null &&
                    $this->state->order->above($joinU, $upper) === $this->state->order->above($joinL, $lower))
            ) {
                $of['closed'] += $length;
            } else {
                $of['open'] += $length;
                $of['mouth'] = $of['mouth']->plus(
                    $b
                        ->minus($a)
                        ->unit()
                        ->turnedLeft()
                        ->times(-$length),
                );
            }
            $this->gaps[$gap] = $of;
        }
    }

    /**
     * The face that goes on beyond a place on the rim of a cell, or the one that is joined there by a fold.
     *
     * @param  array<int, int>  $beyond  faces of the next cell
     * @return array{int|null, int|null}
     */
    private function across(int $face, Point $place, array $beyond): array
    {
        if (isset($beyond[$face])) {
            return [$face, null];
        }
        foreach ($this->state->pattern->around($face) as $edge) {
            [$p, $q] = $this->state->ends($edge);
            if (
                $edge->isCrease() &&
                $p->distanceTo($place) + $place->distanceTo($q) - $p->distanceTo($q) <
                    20 * $this->state->tolerance->length
            ) {
                $other = $edge->other($face) ?? $face;

                return $edge->assignment->isFolded() ? [null, $other] : [isset($beyond[$other]) ? $other : null, null];
            }
        }

        return [null, null];
    }

    private function root(string $gap): string
    {
        while (isset($this->parent[$gap])) {
            $gap = $this->parent[$gap];
        }

        return $gap;
    }

    private function join(string $a, string $b): void
    {
        [$a, $b] = [$this->root($a), $this->root($b)];
        if ($a !== $b) {
            $this->parent[$a] = $b;
        }
    }

    /** @return list<Direction> */
    private function found(): array
    {
        $whole = [];
        foreach ($this->gaps as $gap => $of) {
            $root = $this->root($gap);
            $whole[$root] ??= ['area' => 0.0, 'closed' => 0.0, 'open' => 0.0, 'mouth' => new Point(0, 0)];
            $whole[$root] = [
                'area' => $whole[$root]['area'] + $of['area'],
                'closed' => $whole[$root]['closed'] + $of['closed'],
                'open' => $whole[$root]['open'] + $of['open'],
                'mouth' => $whole[$root]['mouth']->plus($of['mouth']),
            ];
        }
        $least = self::LEAST * $this->state->sheet->width * $this->state->sheet->height;
        $mouths = [];
        foreach ($whole as $gap) {
            if (
                $gap['area'] >= $least &&
                $gap['open'] > 0 &&
                $gap['closed'] >= self::CLOSED * ($gap['closed'] + $gap['open']) &&
                $gap['mouth']->length() > 1e-6
            ) {
                $directions = Direction::cases();
                usort(
                    $directions,
                    static fn (Direction $s, Direction $t): int => $t->vector()->dot($gap['mouth']) <=>
                        $s->vector()->dot($gap['mouth']),
                );
                $mouths[] = $directions[0];
            }
        }

        return $mouths;
    }
}
