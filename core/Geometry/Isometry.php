<?php

declare(strict_types=1);

namespace Cathedra\Core\Geometry;

/**
 * A rigid placement of the plane: rotation or reflection, then a shift in mm. Nothing can stretch, because every
 * entrance gives an orthogonal matrix and products of orthogonal matrices stay so.
 */
final readonly class Isometry
{
    /** (x, y) -> (a x + b y + e, c x + d y + f), with [[a, b], [c, d]] orthogonal. */
    private function __construct(
        private float $a,
        private float $b,
        private float $c,
        private float $d,
        private float $e,
        private float $f,
    ) {
    }

    public static function identity(): self
    {
        return new self(a: 1, b: 0, c: 0, d: 1, e: 0, f: 0);
    }

    public static function reflection(Line $axis): self
    {
        [$x, $y, $k] = [$axis->normal->x, $axis->normal->y, 2 * $axis->offset];

        return new self(
            a: 1 - 2 * $x * $x,
            b: -2 * $x * $y,
            c: -2 * $x * $y,
            d: 1 - 2 * $y * $y,
            e: $k * $x,
            f: $k * $y,
        );
    }

    /** @param  float  $radians counterclockwise */
    public static function rotation(float $radians, Point $centre): self
    {
        [$c, $s] = self::exact($radians);

        return new self(
            a: $c,
            b: -$s,
            c: $s,
            d: $c,
            e: $centre->x - $c * $centre->x + $s * $centre->y,
            f: $centre->y - $s * $centre->x - $c * $centre->y,
        );
    }

    public static function shift(Point $by): self
    {
        return new self(a: 1, b: 0, c: 0, d: 1, e: $by->x, f: $by->y);
    }

    /** First this, then $that. */
    public function then(self $that): self
    {
        return new self(
            a: $that->a * $this->a + $that->b * $this->c,
            b: $that->a * $this->b + $that->b * $this->d,
            c: $that->c * $this->a + $that->d * $this->c,
            d: $that->c * $this->b + $that->d * $this->d,
            e: $that->a * $this->e + $that->b * $this->f + $that->e,
            f: $that->c * $this->e + $that->d * $this->f + $that->f,
        );
    }

    public function inverse(): self
    {
        return new self(
            a: $this->a,
            b: $this->c,
            c: $this->b,
            d: $this->d,
            e: -($this->a * $this->e + $this->c * $this->f),
            f: -($this->b * $this->e + $this->d * $this->f),
        );
    }

    public function of(Point $p): Point
    {
        return new Point(
            $this->a * $p->x + $this->b * $p->y + $this->e,
            $this->c * $p->x + $this->d * $p->y + $this->f,
        );
    }

    /** The image of a line; sides go along with it. */
    public function ofLine(Line $line): Line
    {
        $foot = $this->of($line->foot());
        $along = $this->of($line->foot()->plus($line->direction()))->minus($foot);
        $image = Line::along($foot, $along);

        return $this->keepsOrientation() ? $image : $image->reversed();
    }

    /** True for rotations and shifts, false when the plane is turned over. */
    public function keepsOrientation(): bool
    {
        return $this->a * $this->d - $this->b * $this->c > 0;
    }

    /** Whether both move every point within $reach mm of the origin to the same place. */
    public function equals(self $that, Tolerance $tolerance, float $reach): bool
    {
        $turn = max(
            abs($this->a - $that->a),
            abs($this->b - $that->b),
            abs($this->c - $that->c),
            abs($this->d - $that->d),
        );

        return $turn * $reach <= $tolerance->meeting &&
            abs($this->e - $that->e) <= $tolerance->meeting &&
            abs($this->f - $that->f) <= $tolerance->meeting;
    }

    /**
     * Cosine and sine, exact at quarter turns so that turned sheets stay on round numbers.
     *
     * @return array{float, float}
     */
    private static function exact(float $radians): array
    {
        $quarters = $radians / (M_PI / 2);
        if (abs($quarters - round($quarters)) < 1e-12) {
            return match (((((int) round($quarters)) % 4) + 4) % 4) {
                0 => [1.0, 0.0],
                1 => [0.0, 1.0],
                2 => [-1.0, 0.0],
                default => [0.0, -1.0],
            };
        }

        return [cos($radians), sin($radians)];
    }
}
