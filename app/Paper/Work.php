<?php

declare(strict_types=1);

namespace App\Paper;

use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Numeric\Budget;

/**
 * How much work a cutting plan may take, by who waits for it: counted in steps, so that the answer is the same at any
 * load. The clock is only the last fence, at four times what the steps usually take.
 */
final readonly class Work
{
    private const FENCE = 4.0;

    private function __construct(private float $seconds)
    {
    }

    /** One plan of a lesson: two seconds of steps. */
    public static function lesson(): self
    {
        return new self(2.0);
    }

    /** One of many that are tried to make an offer. */
    public static function offer(): self
    {
        return new self(0.3);
    }

    /** The bench, where somebody watches the bar: eight. */
    public static function bench(): self
    {
        return new self(8.0);
    }

    /** The command line: twenty. */
    public static function command(): self
    {
        return new self(20.0);
    }

    public function steps(): int
    {
        return (int) ($this->seconds * CutPlanner::STEPS_A_SECOND);
    }

    public function budget(): Budget
    {
        $until = microtime(true) + self::FENCE * $this->seconds;

        return Budget::steps($this->steps(), static fn (): bool => microtime(true) > $until);
    }
}
