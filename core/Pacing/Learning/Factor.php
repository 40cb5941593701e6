<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

/** A factor on an estimated time, and how sure it is: eight of ten truths lie between low and high. */
final readonly class Factor
{
    /** z of 0.9: eight of ten truths lie between the bands. */
    private const BAND = 1.2815515655446004;

    /** @param  int  $marks  that it rests on */
    public function __construct(public float $middle, public float $low, public float $high, public int $marks)
    {
    }

    /** Of a posterior that is normal in the natural log of the factor. */
    public static function normal(float $mean, float $variance, int $marks): self
    {
        $s = self::BAND * sqrt($variance);

        return new self(exp($mean), exp($mean - $s), exp($mean + $s), $marks);
    }
}
