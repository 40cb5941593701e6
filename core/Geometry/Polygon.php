<?php

declare(strict_types=1);

namespace Cathedra\Core\Geometry;

/**
 * A convex polygon, counterclockwise; vertices in the middle of a side are allowed. Areas in mm2, lengths in mm.
 * The empty polygon has no points: it is what a clip that leaves nothing returns, and merges without a special case.
 */
final readonly class Polygon
{
    /** @param  list<Point>  $points */
    private function __construct(public array $points)
    {
    }

    /**
     * The convex polygon with these corners in order round it, either way round.
     *
     * @param  list<Point>  $points
     */
    public static function of(array $points): self
    {
        return self::signedArea($points) < 0 ? new self(array_reverse($points)) : new self($points);
    }

    public static function rectangle(float $width, float $height): self
    {
        return new self([new Point(0, 0), new Point($width, 0), new Point($width, $height), new Point(0, $height)]);
    }

    public function isEmpty(): bool
    {
        return $this->points === [];
    }

    public function area(): float
    {
        return self::signedArea($this->points);
    }

    /**
     * The centre of area; the mean of the corners for a polygon without area. In plain numbers: asked for very often.
     */
    public function centroid(): Point
    {
        $points = $this->points;
        $n = count($points);
        if ($n === 0) {
            return new Point(0, 0);
        }
        [$x, $y] = [$points[0]->x, $points[0]->y];
        [$sumX, $sumY, $twice] = [0.0, 0.0, 0.0];
        for ($i = 1; $i < $n - 1; $i++) {
            [$ux, $uy] = [$points[$i]->x - $x, $points[$i]->y - $y];
            [$vx, $vy] = [$points[$i + 1]->x - $x, $points[$i + 1]->y - $y];
            $weight = $ux * $vy - $uy * $vx;
            $twice += $weight;
            $sumX += ($ux + $vx) * $weight;
            $sumY += ($uy + $vy) * $weight;
        }
        if (abs($twice) < 1e-18) {
            foreach ($points as $p) {
                $sumX += ($p->x - $x) / $n;
                $sumY += ($p->y - $y) / $n;
            }

            return new Point($x + $sumX, $y + $sumY);
        }

        return new Point($x + $sumX / (3 * $twice), $y + $sumY / (3 * $twice));
    }

    /** The part on the positive side of $line; points on the line belong to it. */
    public function clippedBy(Line $line): self
    {
        $kept = [];
        $n = count($this->points);
        if ($n === 0) {
            return $this;
        }
        $q = $this->points[$n - 1];
        $dq = $line->distanceTo($q);
        foreach ($this->points as $p) {
            $dp = $line->distanceTo($p);
            if (($dp > 0 && $dq < 0) || ($dp < 0 && $dq > 0)) {
                $kept[] = $q->toward($p, $dq / ($dq - $dp));
            }
            if ($dp >= 0) {
                $kept[] = $p;
            }
            $q = $p;
            $dq = $dp;
        }

        return new self(count($kept) < 3 ? [] : $kept);
    }

    /**
     * The part common to both. Written out in plain numbers: orders of layers are found by asking this for every pair
     * and triple of faces.
     */
    public function intersection(self $that): self
    {
        $kept = $this->points;
        $n = count($that->points);
        for ($i = 0; $i < $n && $kept !== []; $i++) {
            $a = $that->points[$i];
            $b = $that->points[$i + 1 === $n ? 0 : $i + 1];
            $ux = $b->x - $a->x;
            $uy = $b->y - $a->y;
            if ($ux * $ux + $uy * $uy < 1e-24) {
                continue;
            }
            $before = $kept;
            $kept = [];
            $q = $before[count($before) - 1];
            $dq = $ux * ($q->y - $a->y) - $uy * ($q->x - $a->x);
            foreach ($before as $p) {
                $dp = $ux * ($p->y - $a->y) - $uy * ($p->x - $a->x);
                if (($dp > 0 && $dq < 0) || ($dp < 0 && $dq > 0)) {
                    $kept[] = $q->toward($p, $dq / ($dq - $dp));
                }
                if ($dp >= 0) {
                    $kept[] = $p;
                }
                $q = $p;
                $dq = $dp;
            }
            $kept = count($kept) < 3 ? [] : $kept;
        }

        return new self($kept);
    }

    /** Whether $p lies inside by more than $margin mm (negative: or outside by no more than that). */
    public function contains(Point $p, float $margin = 0.0): bool
    {
        $n = count($this->points);
        for ($i = 0; $i < $n; $i++) {
            $a = $this->points[$i];
            $b = $this->points[$i + 1 === $n ? 0 : $i + 1];
            $ux = $b->x - $a->x;
            $uy = $b->y - $a->y;
            $length = sqrt($ux * $ux + $uy * $uy);
            if ($length > 1e-12 && ($ux * ($p->y - $a->y) - $uy * ($p->x - $a->x)) / $length <= $margin) {
                return false;
            }
        }

        return $n > 0;
    }

    /**
     * How much of the segment runs inside, further than $margin mm from every side.
     *
     * @return array{float, float}|null shares of the way from $a to $b where it enters and leaves; null when it stays
     *     out
     */
    public function spanInside(Point $a, Point $b, float $margin): ?array
    {
        $low = 0.0;
        $high = 1.0;
        $n = count($this->points);
        for ($i = 0; $i < $n; $i++) {
            $p = $this->points[$i];
            $q = $this->points[$i + 1 === $n ? 0 : $i + 1];
            $ux = $q->x - $p->x;
            $uy = $q->y - $p->y;
            $length = sqrt($ux * $ux + $uy * $uy);
            if ($length < 1e-12) {
                continue;
            }
            $da = ($ux * ($a->y - $p->y) - $uy * ($a->x - $p->x)) / $length - $margin;
            $db = ($ux * ($b->y - $p->y) - $uy * ($b->x - $p->x)) / $length - $margin;
            if ($da <= 0 && $db <= 0) {
                return null;
            }
            if ($da < 0) {
                $low = max($low, $da / ($da - $db));
            } elseif ($db < 0) {
                $high = min($high, $da / ($da - $db));
            }
            if ($low >= $high) {
                return null;
            }
        }

        return $n > 0 ? [$low, $high] : null;
    }

    public function box(): Box
    {
        return Box::around($this->points);
    }

    public function placed(Isometry $placement): self
    {
        $points = array_map($placement->of(...), $this->points);

        return new self($placement->keepsOrientation() ? $points : array_reverse($points));
    }

    /** @param  list<Point>  $points */
    private static function signedArea(array $points): float
    {
        $n = count($points);
        $twice = 0.0;
        if ($n < 3) {
            return 0.0;
        }
        [$x, $y] = [$points[0]->x, $points[0]->y];
        for ($i = 1; $i < $n - 1; $i++) {
            $p = $points[$i];
            $q = $points[$i + 1];
            $twice += ($p->x - $x) * ($q->y - $y) - ($p->y - $y) * ($q->x - $x);
        }

        return $twice / 2;
    }
}
