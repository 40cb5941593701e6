<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

/** The totals that whole numbers of columns can add up to. */
final readonly class WholeTotals
{
    /** Totals tried in looking for the next one. */
    private const MOST_TOTALS = 3000;

    /** @param  list<float>  $steps  costs of one column of each group, falling */
    private function __construct(private array $steps, private float $near)
    {
    }

    /**
     * @param  list<Column>  $columns
     * @param  float  $near  what counts as equal, as a share of a total
     */
    public static function of(array $columns, float $near): self
    {
        $steps = [];
        foreach ($columns as $column) {
            if ($column->cost > 0) {
                $steps[(string) round($column->cost, 6)] = $column->cost;
            }
        }
        rsort($steps);

        return new self($steps, $near);
    }

    /** The next total from a cost on; a bound below it is as good as it. */
    public function from(float $cost): float
    {
        $from = $cost - $this->near * max(1.0, $cost);
        $steps = $this->steps;
        $last = array_pop($steps);
        if (
            $last === null ||
            count($steps) > 2 ||
            array_product(array_map(static fn (float $step): float => 1 + $from / $step, $steps)) > self::MOST_TOTALS
        ) {
            return $from;
        }
        $least = INF;
        $try = function (array $steps, float $spent) use (&$try, &$least, $from, $last): void {
            if ($spent >= $least) {
                return;
            }
            if ($steps === []) {
                $least = min($least, $spent + max(0.0, ceil(($from - $spent) / $last)) * $last);

                return;
            }
            $step = array_pop($steps);
            for ($total = $spent; $total < $from + $step; $total += $step) {
                $try($steps, $total);
            }
        };
        $try($steps, 0.0);

        return $least;
    }
}
