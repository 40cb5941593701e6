<?php

declare(strict_types=1);

namespace Cathedra\Core\Numeric;

use Closure;

/**
 * How much work may be done, counted in steps of the work itself, so that the same input gives the same answer at any
 * load. A clock handed in from outside is only a last fence; what it cut short says so (isCutByClock) and is not kept.
 */
final class Budget
{
    /** Steps between two looks at the clock. */
    private const LOOK = 4096;

    private int $spent = 0;

    private int $looked = 0;

    private bool $cutByClock = false;

    /** @param  (Closure(): bool)|null  $fence  whether the time outside is over */
    private function __construct(
        private readonly int $steps,
        private readonly ?Closure $fence,
        private readonly ?self $whole = null,
    ) {
    }

    /** @param  (Closure(): bool)|null  $fence  whether the time outside is over; null: only steps count */
    public static function steps(int $steps, ?Closure $fence = null): self
    {
        return new self($steps, $fence);
    }

    /** So many steps of this budget for one stage of the work: what the stage spends is spent here too. */
    public function part(int $steps): self
    {
        return new self(max(0, min($steps, $this->left())), $this->fence, $this);
    }

    /** Whether there is still something left after so many steps more. */
    public function spend(int $steps = 1): bool
    {
        $this->spent += $steps;
        $this->whole?->spend($steps);
        if ($this->fence !== null && $this->spent - $this->looked >= self::LOOK) {
            $this->looked = $this->spent;
            $this->cutByClock = $this->cutByClock || ($this->fence)();
            if ($this->whole !== null && $this->cutByClock) {
                $this->whole->cutByClock = true;
            }
        }

        return ! $this->isOver();
    }

    public function isOver(): bool
    {
        return $this->cutByClock || $this->spent > $this->steps;
    }

    public function left(): int
    {
        return max(0, $this->steps - $this->spent);
    }

    public function spent(): int
    {
        return $this->spent;
    }

    public function isCutByClock(): bool
    {
        return $this->cutByClock;
    }
}
