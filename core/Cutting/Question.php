<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Paper\Stock;
use Closure;

/** A request as the stages of planning see it: sizes, numbers, limits, the work that is left, and whom to tell. */
final readonly class Question
{
    /** @var list<float> mm, largest first */
    public array $sides;

    /** @var list<int> squares wanted, by size */
    public array $need;

    /** @var array<int, int|null> sheets there are, by stock; null: plenty */
    public array $limits;

    /**
     * @param  Closure(float, string): void  $tell  share of the work done, and what is being done: list, search, tidy
     */
    public function __construct(public CutRequest $request, public Budget $budget, public Closure $tell)
    {
        $sizes = $request->sizes();
        $this->sides = array_column($sizes, 'side');
        $this->need = array_column($sizes, 'count');
        $this->limits = array_map(static fn (Stock $s): ?int => $s->count, $request->stock);
    }

    /**
     * mm2 of so many squares: no plan uses less.
     *
     * @param  array<int, int>  $counts  by size
     */
    public function squaresArea(array $counts): float
    {
        return array_sum(array_map(static fn (int $n, float $side): float => $n * $side ** 2, $counts, $this->sides));
    }
}
