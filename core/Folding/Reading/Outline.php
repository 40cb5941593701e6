<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * The silhouette of a folded state: its outer rim, counterclockwise, corners only (no points in the middle of a side).
 */
final readonly class Outline
{
    /** @param  list<Point>  $corners in mm */
    private function __construct(public array $corners, private float $tolerance)
    {
    }

    public static function of(FoldedState $state): self
    {
        $rim = [];
        $probe = $state->tolerance->aside;
        foreach (self::pieces($state) as $piece) {
            $normal = $piece->direction()->turnedLeft()->times($probe);
            $middle = $piece->middle();
            $left = self::covered($state, $middle->plus($normal));
            if ($left !== self::covered($state, $middle->minus($normal))) {
                $rim[] = $left ? $piece : $piece->reversed();
            }
        }

        return new self(self::straightened(self::outerLoop($rim, $probe), $probe), $probe);
    }

    /** @return list<Segment> sides with the paper on their left */
    public function sides(): array
    {
        $n = count($this->corners);

        return array_map(
            fn (int $i): Segment => new Segment($this->corners[$i], $this->corners[($i + 1) % $n]),
            range(0, $n - 1),
        );
    }

    public function area(): float
    {
        $twice = 0.0;
        foreach ($this->sides() as $side) {
            $twice += $side->a->cross($side->b);
        }

        return $twice / 2;
    }

    /** Index of the corner at this place; null when there is none. */
    public function cornerAt(Point $p): ?int
    {
        foreach ($this->corners as $i => $corner) {
            if ($corner->distanceTo($p) <= $this->tolerance) {
                return $i;
            }
        }

        return null;
    }

    /** Index of the side on which the point lies, ends included. */
    public function sideThrough(Point $p): ?int
    {
        foreach ($this->sides() as $i => $side) {
            if ($side->passes($p, $this->tolerance)) {
                return $i;
            }
        }

        return null;
    }

    /** @return list<Segment> all edges, divided where they cross or touch */
    private static function pieces(FoldedState $state): array
    {
        $segments = Stacks::segments($state);
        $snap = $state->tolerance->sight;
        $pieces = [];
        foreach ($segments as $i => $segment) {
            $a = $segment->a;
            $b = $segment->b;
            $length = $segment->length();
            if ($length < 1e-12) {
                continue;
            }
            // In plain numbers: every edge is asked against every other.
            [$x, $y, $ux, $uy] = [$a->x, $a->y, ($b->x - $a->x) / $length, ($b->y - $a->y) / $length];
            $cuts = [0.0, $length];
            foreach ($segments as $j => $that) {
                if ($i === $j) {
                    continue;
                }
                $c = $that->a;
                $d = $that->b;
                $dc = $ux * ($c->y - $y) - $uy * ($c->x - $x);
                $dd = $ux * ($d->y - $y) - $uy * ($d->x - $x);
                if (($dc > $snap && $dd > $snap) || ($dc < -$snap && $dd < -$snap)) {
                    continue;
                }
                $tc = $ux * ($c->x - $x) + $uy * ($c->y - $y);
                $td = $ux * ($d->x - $x) + $uy * ($d->y - $y);
                if (abs($dc) <= $snap) {
                    $cuts[] = $tc;
                }
                if (abs($dd) <= $snap) {
                    $cuts[] = $td;
                }
                if (min($dc, $dd) < -$snap && max($dc, $dd) > $snap) {
                    $cuts[] = $tc + ($td - $tc) * ($dc / ($dc - $dd));
                }
            }
            sort($cuts);
            $from = 0.0;
            foreach ($cuts as $to) {
                if ($to - $from > $snap && $to <= $length + $snap) {
                    $piece = new Segment($segment->at($from / $length), $segment->at($to / $length));
                    $pieces[$piece->name(10 * $snap)] ??= $piece;
                    $from = $to;
                }
            }
        }

        return array_values($pieces);
    }

    private static function covered(FoldedState $state, Point $p): bool
    {
        foreach ($state->polygons as $polygon) {
            if ($polygon->contains($p)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Segment>  $rim
     * @return list<Point> the loop with the largest area
     */
    private static function outerLoop(array $rim, float $snap): array
    {
        $best = [];
        $bestArea = -INF;
        while ($rim !== []) {
            $first = array_pop($rim);
            [$start, $end] = [$first->a, $first->b];
            $loop = [$start];
            $came = $start;
            while ($end->distanceTo($start) > $snap) {
                $loop[] = $end;
                $next = self::next($rim, $end, $end->minus($came), $snap);
                if ($next === null) {
                    break;
                }
                $came = $end;
                $end = $rim[$next]->b;
                array_splice($rim, $next, 1);
            }
            $area = 0.0;
            foreach ($loop as $i => $p) {
                $area += $p->cross($loop[($i + 1) % count($loop)]);
            }
            if ($area > $bestArea) {
                [$best, $bestArea] = [$loop, $area];
            }
        }

        return $best;
    }

    /**
     * Where the rim goes on; at a place where the silhouette touches itself, the sharpest turn to the right, which
     * keeps to the outside.
     *
     * @param  list<Segment>  $rim
     */
    private static function next(array $rim, Point $from, Point $came, float $snap): ?int
    {
        $best = null;
        $bestTurn = INF;
        foreach ($rim as $i => $piece) {
            if ($piece->a->distanceTo($from) <= $snap) {
                $go = $piece->b->minus($piece->a);
                $turn = atan2($came->cross($go), $came->dot($go));
                if ($turn < $bestTurn) {
                    [$best, $bestTurn] = [$i, $turn];
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<Point>  $loop
     * @return list<Point>
     */
    private static function straightened(array $loop, float $snap): array
    {
        $n = count($loop);
        $corners = [];
        foreach ($loop as $i => $p) {
            $line = Line::through($loop[($i + $n - 1) % $n], $loop[($i + 1) % $n]);
            if ($line === null || abs($line->distanceTo($p)) > $snap) {
                $corners[] = $p;
            }
        }

        return $corners;
    }
}
