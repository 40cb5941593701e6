<?php

declare(strict_types=1);

namespace Cathedra\Core\Geometry;

/** An endless line: all p with normal . p = offset. The positive side is the one the normal points to. */
final readonly class Line
{
    /**
     * @param  Point  $normal  of length 1
     * @param  float  $offset  mm along the normal from the origin
     */
    private function __construct(public Point $normal, public float $offset)
    {
    }

    /**
     * The line through two points, its positive side on the left of the way from $a to $b; null when they are the same
     * point.
     */
    public static function through(Point $a, Point $b): ?self
    {
        $direction = $b->minus($a);
        if ($direction->length() < 1e-12) {
            return null;
        }
        $normal = $direction->unit()->turnedLeft();

        return new self($normal, $normal->dot($a));
    }

    /** The line through $point along $direction (any length but zero), positive side on the left. */
    public static function along(Point $point, Point $direction): self
    {
        $normal = $direction->unit()->turnedLeft();

        return new self($normal, $normal->dot($point));
    }

    /**
     * The crease that brings $from onto $to, its positive side the side of $from; null when they are the same point.
     */
    public static function bringing(Point $from, Point $to): ?self
    {
        $direction = $from->minus($to);
        if ($direction->length() < 1e-12) {
            return null;
        }
        $normal = $direction->unit();

        return new self($normal, $normal->dot($from->toward($to, 0.5)));
    }

    public function direction(): Point
    {
        return new Point($this->normal->y, -$this->normal->x);
    }

    /** Some point on the line: the one nearest the origin. */
    public function foot(): Point
    {
        return $this->normal->times($this->offset);
    }

    /** mm, positive on the side the normal points to. */
    public function distanceTo(Point $p): float
    {
        return $this->normal->x * $p->x + $this->normal->y * $p->y - $this->offset;
    }

    public function reversed(): self
    {
        return new self($this->normal->times(-1), -$this->offset);
    }

    public function reflected(Point $p): Point
    {
        return $p->minus($this->normal->times(2 * $this->distanceTo($p)));
    }

    /** The point of the line nearest $p. */
    public function nearest(Point $p): Point
    {
        return $p->minus($this->normal->times($this->distanceTo($p)));
    }

    public function perpendicularThrough(Point $p): self
    {
        return self::along($p, $this->normal);
    }

    public function isParallelTo(self $that): bool
    {
        return abs($this->normal->cross($that->normal)) < 1e-9;
    }

    /** Where the two lines cross; null when they are parallel or the same. */
    public function crossing(self $that): ?Point
    {
        $determinant = $this->normal->cross($that->normal);
        if (abs($determinant) < 1e-9) {
            return null;
        }

        return new Point(
            ($this->offset * $that->normal->y - $that->offset * $this->normal->y) / $determinant,
            ($that->offset * $this->normal->x - $this->offset * $that->normal->x) / $determinant,
        );
    }

    /**
     * The creases that bring this line onto $that: two bisectors, or one midline when they are parallel.
     *
     * @return list<self>
     */
    public function bisectors(self $that): array
    {
        $centre = $this->crossing($that);
        if ($centre === null) {
            $a = $this->foot();

            return [self::along($a->toward($that->nearest($a), 0.5), $this->direction())];
        }
        $u = $this->direction();
        $v = $that->direction();

        return [self::along($centre, $u->plus($v)), self::along($centre, $u->minus($v))];
    }
}
