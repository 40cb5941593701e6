<?php

declare(strict_types=1);

namespace Cathedra\Core\Geometry;

/** A stretch of a straight line from $a to $b, in mm; both ends may be one point. */
final readonly class Segment
{
    public function __construct(public Point $a, public Point $b)
    {
    }

    /**
     * From the first to the last of the points in the line's own direction; null when there are fewer than two.
     *
     * @param  list<Point>  $points  on the line
     */
    public static function spanning(Line $line, array $points): ?self
    {
        $along = $line->direction();
        usort($points, static fn (Point $p, Point $q): int => $p->dot($along) <=> $q->dot($along));

        return count($points) < 2 ? null : new self($points[0], $points[count($points) - 1]);
    }

    public function length(): float
    {
        return $this->a->distanceTo($this->b);
    }

    public function middle(): Point
    {
        return $this->at(0.5);
    }

    /** The point at $share of the way from $a (0) to $b (1). */
    public function at(float $share): Point
    {
        return $this->a->toward($this->b, $share);
    }

    /** The share of the way at which the place of the endless line nearest $p lies; beyond the ends under 0, over 1. */
    public function shareOf(Point $p): float
    {
        $way = $this->b->minus($this->a);

        return $p->minus($this->a)->dot($way) / max($way->dot($way), 1e-300);
    }

    /** From $a to $b, of length 1. */
    public function direction(): Point
    {
        return $this->b->minus($this->a)->unit();
    }

    /** The endless line, its positive side on the left of the way; null when both ends are one point. */
    public function line(): ?Line
    {
        return Line::through($this->a, $this->b);
    }

    /** The endless line of a segment that is known to have length. */
    public function straight(): Line
    {
        return $this->line() ?? throw new \LogicException('A segment whose line is asked for has length.');
    }

    /** The same text for segments whose ends, either way round, lie in the same squares of a grid, $grid mm wide. */
    public function name(float $grid): string
    {
        $ends = [
            round($this->a->x / $grid).','.round($this->a->y / $grid),
            round($this->b->x / $grid).','.round($this->b->y / $grid),
        ];
        sort($ends);

        return implode(' ', $ends);
    }

    public function reversed(): self
    {
        return new self($this->b, $this->a);
    }

    public function placed(Isometry $by): self
    {
        return new self($by->of($this->a), $by->of($this->b));
    }

    /** mm from $p to the nearest place of the segment. */
    public function distanceTo(Point $p): float
    {
        return $p->distanceTo($this->at(max(0.0, min(1.0, $this->shareOf($p)))));
    }

    /** Whether it runs through $p, ends included. */
    public function passes(Point $p, float $margin): bool
    {
        return $this->distanceTo($p) <= $margin;
    }

    /** Whether all of it lies on the endless line. */
    public function liesOn(Line $line, float $margin): bool
    {
        return abs($line->distanceTo($this->a)) <= $margin && abs($line->distanceTo($this->b)) <= $margin;
    }

    /** Whether some of it lies further than $margin mm on the positive side of the line. */
    public function reachesBeyond(Line $line, float $margin): bool
    {
        return max($line->distanceTo($this->a), $line->distanceTo($this->b)) > $margin;
    }

    /** Whether all of it lies on that segment. */
    public function isPartOf(self $that, float $margin): bool
    {
        return $that->passes($this->a, $margin) && $that->passes($this->b, $margin);
    }

    /**
     * The part of this segment on which that one lies beside it; null when they are not on one line, or share no more
     * than a point.
     */
    public function sharedWith(self $that, float $margin): ?self
    {
        $line = $this->line();
        $length = $this->length();
        if ($line === null || ! $that->liesOn($line, $margin)) {
            return null;
        }
        [$s, $t] = [$this->shareOf($that->a), $this->shareOf($that->b)];
        [$from, $to] = [max(0.0, min($s, $t)), min(1.0, max($s, $t))];

        return ($to - $from) * $length > $margin ? new self($this->at($from), $this->at($to)) : null;
    }
}
