<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;

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

    /**
     * @var array<string, array{area: float, closed: float, open: float, mouth: Point, shut: list<Segment>,
     *     free: list<Segment>}>
     */
    private array $gaps = [];

    /** @param  list<array{polygon: Polygon, faces: list<int>}>  $cells */
    private function __construct(private readonly FoldedState $state, private readonly array $cells)
    {
    }

    /** @return list<Direction|null> where each is open, as the folder sees it; null: at several sides at once */
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
                    'shut' => [],
                    'free' => [],
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
        $sight = $this->state->tolerance->sight;
        foreach ($points as $i => $a) {
            $side = new Segment($a, $points[($i + 1) % count($points)]);
            $left = $side->length();
            if ($left < $sight) {
                continue;
            }
            foreach ($this->cells as $d => $other) {
                $shared = $d === $c ? null : $this->shared($side, $other['polygon']);
                if ($shared !== null) {
                    $this->cross($c, $d, $shared);
                    $left -= $shared->length();
                }
            }
            if ($left > $sight) {
                $this->cross($c, null, new Segment($a, $side->at($left / $side->length())));
            }
        }
    }

    /** The stretch of a cell's side along which the polygon lies on its other side. */
    private function shared(Segment $side, Polygon $other): ?Segment
    {
        $line = $side->straight();
        $sight = $this->state->tolerance->sight;
        if ($line->distanceTo($other->centroid()) >= 0) {
            return null;
        }
        $on = array_filter($other->points, static fn (Point $p): bool => abs($line->distanceTo($p)) < $sight);
        $touching = Segment::spanning($line, array_values($on));

        return $touching === null ? null : $side->sharedWith($touching, $sight);
    }

    private function cross(int $c, ?int $d, Segment $shared): void
    {
        $middle = $shared->middle();
        $stack = $this->cells[$c]['faces'];
        $beyond = $d === null ? [] : array_flip($this->cells[$d]['faces']);
        $length = $shared->length();
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
                $of['shut'][] = $shared;
            } else {
                $of['open'] += $length;
                $of['free'][] = $shared;
                $of['mouth'] = $of['mouth']->plus($shared->direction()->turnedLeft()->times(-$length));
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
            if ($edge->isCrease() && $this->state->segment($edge)->passes($place, $this->state->tolerance->sight)) {
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

    /** @return list<Direction|null> */
    private function found(): array
    {
        $whole = [];
        foreach ($this->gaps as $gap => $of) {
            $root = $this->root($gap);
            $whole[$root] ??= [
                'area' => 0.0,
                'closed' => 0.0,
                'open' => 0.0,
                'mouth' => new Point(0, 0),
                'shut' => [],
                'free' => [],
            ];
            $whole[$root] = [
                'area' => $whole[$root]['area'] + $of['area'],
                'closed' => $whole[$root]['closed'] + $of['closed'],
                'open' => $whole[$root]['open'] + $of['open'],
                'mouth' => $whole[$root]['mouth']->plus($of['mouth']),
                'shut' => [...$whole[$root]['shut'], ...$of['shut']],
                'free' => [...$whole[$root]['free'], ...$of['free']],
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
                $mouths[] = $this->isOpen($directions[0], $gap['free'], $gap['shut']) ? $directions[0] : null;
            }
        }

        return $mouths;
    }

    /**
     * Whether a gap is open where it reaches furthest that way: mouths at the left and right of a closed edge are no
     * mouth there.
     *
     * @param  list<Segment>  $free  rim that is open
     * @param  list<Segment>  $shut  rim that is closed
     */
    private function isOpen(Direction $way, array $free, array $shut): bool
    {
        $reach = static fn (array $rim): float => max([-INF, ...array_map(
            static fn (Segment $part): float => max($way->vector()->dot($part->a), $way->vector()->dot($part->b)),
            $rim,
        )]);
        // A closed side may run up to the corner of the mouth; beyond the mouth it may not lie.
        $middles = static fn (array $rim): float => max([-INF, ...array_map(
            static fn (Segment $part): float => $way->vector()->dot($part->middle()),
            $rim,
        )]);

        return $reach($free) >= $reach($shut) - $this->state->tolerance->sight &&
            $middles($free) > $middles($shut) - $this->state->tolerance->sight;
    }
}
