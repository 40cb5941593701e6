<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Closure;

/** A way to cut one sheet of a stock, as the search sees it. */
final readonly class Column
{
    /**
     * @param  array<int, int>  $counts  squares of each size, no more than are wanted
     * @param  int  $group  number of the stock; -1 for a square that is not had
     * @param  float  $cost  mm2 of the sheet, or what it counts for
     * @param  Closure(): list<array{x: float, y: float, size: int}>  $squares  where they lie
     */
    public function __construct(public array $counts, public int $group, public float $cost, public Closure $squares)
    {
    }

    /** A square of one size that is not had, at a price. */
    public static function without(int $size, int $sizes, float $cost): self
    {
        $counts = array_fill(0, $sizes, 0);
        $counts[$size] = 1;

        return new self($counts, -1, $cost, static fn (): array => []);
    }

    public function costing(float $cost): self
    {
        return new self($this->counts, $this->group, $cost, $this->squares);
    }
}
