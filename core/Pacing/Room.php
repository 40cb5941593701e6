<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Rules\Bounds;

/** Who is there: learners, helpers besides the lead, age band; what they can do already, and how quick they are. */
final readonly class Room
{
    public const MAX_LEARNERS = Bounds::MAX_LEARNERS;

    /**
     * @param  list<string>  $knows  kinds of fold that most of them can do
     * @param  float  $pace  their own beside others of their age, as taught lessons show it; above 1 slower
     *
     * @throws BadPlan when nobody or too many are there
     */
    public function __construct(
        public int $learners,
        public int $helpers,
        public string $ageBand,
        public array $knows = [],
        public float $pace = 1.0,
    ) {
        if ($learners < 1 || $learners > self::MAX_LEARNERS) {
            throw new BadPlan('A group has 1 to '.self::MAX_LEARNERS." learners; this one has $learners.");
        }
        if (! Bounds::holds(Bounds::HELPERS, $helpers)) {
            throw new BadPlan(
                'Helpers are a whole number '.Bounds::said(Bounds::HELPERS).". This lesson has $helpers.",
            );
        }
        if (! ($pace >= 0.1 && $pace <= 10.0)) {
            throw new BadPlan("A group's pace lies between 0.1 and 10; this one is $pace.");
        }
    }

    /** @param  array<string, mixed>  $change  of its properties */
    public function with(array $change): self
    {
        return new self(...$change + get_object_vars($this));
    }
}
