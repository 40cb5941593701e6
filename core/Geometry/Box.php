<?php

declare(strict_types=1);

namespace Cathedra\Core\Geometry;

/**
 * The upright rectangle around some points, in mm. The empty box runs from +INF to -INF, so that growing it needs no
 * first case.
 */
final readonly class Box
{
    private function __construct(public float $left, public float $bottom, public float $right, public float $top)
    {
    }

    /** @param  iterable<Point>  $points */
    public static function around(iterable $points): self
    {
        [$l, $b, $r, $t] = [INF, INF, -INF, -INF];
        foreach ($points as $p) {
            $l = min($l, $p->x);
            $r = max($r, $p->x);
            $b = min($b, $p->y);
            $t = max($t, $p->y);
        }

        return new self($l, $b, $r, $t);
    }

    public function width(): float
    {
        return max(0.0, $this->right - $this->left);
    }

    public function height(): float
    {
        return max(0.0, $this->top - $this->bottom);
    }

    public function centre(): Point
    {
        return new Point(($this->left + $this->right) / 2, ($this->bottom + $this->top) / 2);
    }

    /** Whether the two share more than $margin mm in both directions. */
    public function overlaps(self $that, float $margin): bool
    {
        return $this->right - $that->left > $margin &&
            $that->right - $this->left > $margin &&
            $this->top - $that->bottom > $margin &&
            $that->top - $this->bottom > $margin;
    }
}
