<?php

declare(strict_types=1);

namespace Cathedra\Core\Geometry;

/**
 * What counts as "the same" in the folded plane. One object per sheet, so that no other epsilon is needed anywhere.
 *
 * The relative size 1e-8 leaves six orders of magnitude above the rounding of double precision (2e-16 relative, growing
 * with the few dozen reflections a model needs) and stays far under what a hand can fold (0.1 mm on 150 mm is 7e-4).
 */
final readonly class Tolerance
{
    private const RELATIVE = 1e-8;

    /** Millimetres: points nearer than this are one point. */
    public float $length;

    /**
     * Square millimetres: overlaps smaller than this are only touching. A sliver as long as the sheet and 10 lengths
     * wide.
     */
    public float $area;

    private function __construct(float $diagonal)
    {
        $this->length = self::RELATIVE * $diagonal;
        $this->area = 10 * self::RELATIVE * $diagonal * $diagonal;
    }

    /** @param  float  $diagonal the sheet's diagonal in mm */
    public static function forDiagonal(float $diagonal): self
    {
        return new self($diagonal);
    }

    public function isZero(float $length): bool
    {
        return abs($length) <= $this->length;
    }

    public function same(Point $a, Point $b): bool
    {
        return abs($a->x - $b->x) <= $this->length && abs($a->y - $b->y) <= $this->length;
    }
}
