<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

/** A factor on an estimated time, and how sure it is: eight of ten truths lie between low and high. */
final readonly class Factor
{
    /** @param  int  $marks  that it rests on */
    public function __construct(public float $middle, public float $low, public float $high, public int $marks)
    {
    }
}
