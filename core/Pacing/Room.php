<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

/** Who is there: learners, helpers besides the lead, age band. */
final readonly class Room
{
    public const MAX_LEARNERS = 60;

    /** @throws BadPlan when nobody or too many are there */
    public function __construct(public int $learners, public int $helpers, public string $ageBand)
    {
        if ($learners < 1 || $learners > self::MAX_LEARNERS) {
            throw new BadPlan('A group has 1 to '.self::MAX_LEARNERS." learners; this one has $learners.");
        }
        if ($helpers < 0 || $helpers > 20) {
            throw new BadPlan("There can be 0 to 20 helpers, not $helpers.");
        }
    }
}
