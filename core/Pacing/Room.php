<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Rules\Bounds;

/** Who is there: learners, helpers besides the lead, age band. */
final readonly class Room
{
    public const MAX_LEARNERS = Bounds::MAX_LEARNERS;

    /** @throws BadPlan when nobody or too many are there */
    public function __construct(public int $learners, public int $helpers, public string $ageBand)
    {
        if ($learners < 1 || $learners > self::MAX_LEARNERS) {
            throw new BadPlan('A group has 1 to '.self::MAX_LEARNERS." learners; this one has $learners.");
        }
        if (! Bounds::holds(Bounds::HELPERS, $helpers)) {
            throw new BadPlan(
                'Helpers are a whole number '.Bounds::said(Bounds::HELPERS).". This lesson has $helpers.",
            );
        }
    }
}
