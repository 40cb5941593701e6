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

    /** Sine of the angle under which two directions are one: 0.00006 degrees; far above rounding, far under a hand. */
    public const ANGLE = 1e-6;

    /** Millimetres: points nearer than this are one point. */
    public float $length;

    /**
     * Millimetres: what has been placed by two ways round (along different layers, through different creases) and comes
     * out nearer than this has met. Ten lengths: each way adds its own rounding.
     */
    public float $meeting;

    /** Millimetres: what lies nearer than this looks like one place (a point on an edge, two edges on one line). */
    public float $sight;

    /** Millimetres: a step aside to look what lies beside an edge; shorter pieces of paper are none. */
    public float $aside;

    /**
     * Square millimetres: overlaps smaller than this are only touching. A sliver as long as the sheet and 10 lengths
     * wide.
     */
    public float $area;

    private function __construct(float $diagonal)
    {
        $this->length = self::RELATIVE * $diagonal;
        $this->meeting = 10 * $this->length;
        $this->sight = 100 * $this->length;
        $this->aside = 1000 * $this->length;
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
