<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Tolerance;

/**
 * One piece of paper: a rectangle in mm with its lower left corner at (0, 0), seen from its front.
 * Corners are named counterclockwise from there: A (lower left), B, C, D.
 */
final readonly class Sheet
{
    /** A stamp and a wall poster: outside these, a size is a slip of the keyboard. */
    public const MIN_MM = 10.0;

    public const MAX_MM = 2000.0;

    /** Limits of the longer side over the shorter one; beyond it is a strip, not a sheet. */
    public const MAX_RATIO = 8.0;

    /** @param  list<Pinch>  $pinches  short marks pressed on it so far */
    private function __construct(public float $width, public float $height, public array $pinches = [])
    {
    }

    /** @throws CannotFold when a side is not between MIN_MM and MAX_MM, or the sheet is a strip */
    public static function of(float $width, float $height): self
    {
        foreach ([$width, $height] as $side) {
            if (! is_finite($side) || $side < self::MIN_MM || $side > self::MAX_MM) {
                throw CannotFold::because(
                    sprintf(
                        'A sheet side must be between %d mm and %d mm; this one is %s mm.',
                        self::MIN_MM,
                        self::MAX_MM,
                        is_finite($side) ? (string) round($side, 3) : 'not a number',
                    ),
                );
            }
        }
        if (max($width, $height) / min($width, $height) > self::MAX_RATIO) {
            throw CannotFold::because(
                sprintf(
                    'A sheet may be at most %d times as long as wide; this one is %s x %s mm.',
                    self::MAX_RATIO,
                    round($width, 1),
                    round($height, 1),
                ),
            );
        }

        return new self($width, $height);
    }

    public static function square(float $side): self
    {
        return self::of($side, $side);
    }

    /** @param  list<Pinch>  $more */
    public function pinched(array $more): self
    {
        return new self($this->width, $this->height, [...$this->pinches, ...$more]);
    }

    public function isSquare(): bool
    {
        return abs($this->width - $this->height) < 1e-9 * $this->width;
    }

    public function area(): float
    {
        return $this->width * $this->height;
    }

    public function diagonal(): float
    {
        return hypot($this->width, $this->height);
    }

    public function polygon(): Polygon
    {
        return Polygon::rectangle($this->width, $this->height);
    }

    public function tolerance(): Tolerance
    {
        return Tolerance::forDiagonal($this->diagonal());
    }

    /** The point at these shares of width and height; (0, 0) is corner A, (1, 1) is corner C. */
    public function at(float $across, float $up): Point
    {
        return new Point($across * $this->width, $up * $this->height);
    }
}
