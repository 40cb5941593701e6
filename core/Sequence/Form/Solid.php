<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Form;

/**
 * The body that a form is, so that what it holds follows from lengths a ruler can read. Lengths in mm, volumes in mm3.
 * A pyramid's height stands upright in its middle; its slope lies on a side face, from the middle of a base edge to the
 * tip. A cube is the flat-sided body of a ball that is blown up: an approximation, since its walls bulge.
 */
enum Solid: string
{
    case Box = 'box';
    case SquarePyramid = 'square-pyramid';
    case TriangularPyramid = 'triangular-pyramid';
    case Cube = 'cube';

    /** Formulas of a height and a slope may differ by this share; they are written with rounded roots. */
    private const AGREE = 1e-3;

    /** @return list<string> the lengths it is measured by */
    public function lengths(): array
    {
        return match ($this) {
            self::Box => ['width', 'depth', 'height'],
            self::SquarePyramid, self::TriangularPyramid => ['width', 'slope', 'height'],
            self::Cube => ['width'],
        };
    }

    /** @param  array<string, float>  $sizes  mm, those of lengths() */
    public function volume(array $sizes): float
    {
        return match ($this) {
            self::Box => $sizes['width'] * $sizes['depth'] * $sizes['height'],
            self::SquarePyramid => $sizes['width'] ** 2 * $sizes['height'] / 3,
            // An equilateral base of side a has the area a squared times the root of three over four.
            self::TriangularPyramid => sqrt(3) / 4 * $sizes['width'] ** 2 * $sizes['height'] / 3,
            self::Cube => $sizes['width'] ** 3,
        };
    }

    /**
     * How often each length counts in the product: an error of a hundredth in it is so many hundredths of the volume.
     *
     * @return array<string, int>
     */
    public function powers(): array
    {
        return match ($this) {
            self::Box => ['width' => 1, 'depth' => 1, 'height' => 1],
            self::SquarePyramid, self::TriangularPyramid => ['width' => 2, 'height' => 1],
            self::Cube => ['width' => 3],
        };
    }

    /**
     * By which share of itself the volume may be out when every length is read to the nearest mark: half a mark of each
     * length, as often as it counts.
     *
     * @param  array<string, float>  $sizes  mm
     * @param  float  $mark  mm from one mark of the ruler to the next
     */
    public function error(array $sizes, float $mark): float
    {
        $error = 0.0;
        foreach ($this->powers() as $length => $power) {
            $error += $power * ($mark / 2) / $sizes[$length];
        }

        return $error;
    }

    /**
     * Whether the lengths can be those of one body; null when they can.
     *
     * @param  array<string, float>  $sizes
     */
    public function objection(array $sizes): ?string
    {
        // From the middle of the base to the middle of a base edge.
        $inner = match ($this) {
            self::SquarePyramid => $sizes['width'] / 2,
            self::TriangularPyramid => $sizes['width'] / (2 * sqrt(3)),
            self::Box, self::Cube => null,
        };
        if ($inner === null) {
            return null;
        }
        $slope = hypot($sizes['height'], $inner);

        return abs($slope - $sizes['slope']) <= self::AGREE * $slope ? null : sprintf(
            'a pyramid %.1f mm high over a side of %.1f mm has a slope of %.1f mm, not %.1f mm',
            $sizes['height'],
            $sizes['width'],
            $slope,
            $sizes['slope'],
        );
    }
}
