<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * The square got from a rectangle by folding a corner over so that the short edge lies on the long edge. Lengths in mm.
 */
final readonly class Squaring
{
    /**
     * @param  float  $side  of the square: the shorter side of the sheet
     * @param  float  $strip  width of the strip that is removed; 0 when the sheet is square already
     * @param  list<float>  $further  sides of the squares that the strip gives in turn by the same method, largest
     *     first
     */
    private function __construct(public float $side, public float $strip, public array $further)
    {
    }

    /**
     * side = min(w, h), strip = |w - h| x min(w, h), and so on with the strip while its square is useful.
     *
     * @param  float  $smallestUseful  squares smaller than this are not listed
     */
    public static function of(float $width, float $height, float $smallestUseful = 40.0): self
    {
        $short = min($width, $height);
        $long = max($width, $height);
        $strip = $long - $short;
        $further = [];
        [$a, $b] = [min($strip, $short), max($strip, $short)];
        while ($a >= $smallestUseful && $a > 0) {
            $further[] = $a;
            [$a, $b] = [min($a, $b - $a), max($a, $b - $a)];
        }

        return new self($short, $strip, $further);
    }
}
