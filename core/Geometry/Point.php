<?php

declare(strict_types=1);

namespace Cathedra\Core\Geometry;

/** A point or a displacement in a plane, in mm; x to the right, y up. */
final readonly class Point
{
    public function __construct(public float $x, public float $y)
    {
    }

    public function plus(self $that): self
    {
        return new self($this->x + $that->x, $this->y + $that->y);
    }

    public function minus(self $that): self
    {
        return new self($this->x - $that->x, $this->y - $that->y);
    }

    public function times(float $factor): self
    {
        return new self($this->x * $factor, $this->y * $factor);
    }

    public function dot(self $that): float
    {
        return $this->x * $that->x + $this->y * $that->y;
    }

    /** Positive when $that lies counterclockwise of this displacement. */
    public function cross(self $that): float
    {
        return $this->x * $that->y - $this->y * $that->x;
    }

    public function length(): float
    {
        return sqrt($this->x * $this->x + $this->y * $this->y);
    }

    public function distanceTo(self $that): float
    {
        return $this->minus($that)->length();
    }

    /** The point at $share of the way from here (0) to $that (1). */
    public function toward(self $that, float $share): self
    {
        return new self($this->x + ($that->x - $this->x) * $share, $this->y + ($that->y - $this->y) * $share);
    }

    /** The displacement of length 1 in the same direction; a zero displacement stays zero. */
    public function unit(): self
    {
        $length = $this->length();

        return $length > 0.0 ? $this->times(1 / $length) : $this;
    }

    /** Turned a quarter counterclockwise. */
    public function turnedLeft(): self
    {
        return new self(-$this->y, $this->x);
    }
}
