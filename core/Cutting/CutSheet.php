<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/** So many sheets of one stock, all cut alike. */
final readonly class CutSheet
{
    /**
     * @param  int  $stock  number of the stock in the request
     * @param  list<Square>  $squares
     */
    public function __construct(public int $stock, public int $times, public array $squares)
    {
    }

    public function gives(int $size): bool
    {
        foreach ($this->squares as $square) {
            if ($square->size === $size) {
                return true;
            }
        }

        return false;
    }

    /** mm2 of the squares of one sheet. */
    public function squaresArea(): float
    {
        return array_sum(array_map(static fn (Square $s): float => $s->side ** 2, $this->squares));
    }
}
