<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Numeric\DualSimplex;
use Cathedra\Core\Numeric\LinearAnswer;
use Closure;

/**
 * Least-cost covering by whole numbers of columns: which patterns to cut, how often. Branch and bound; every bound is a
 * linear program, solved by the dual simplex method (costs are not negative, so "take nothing" is where it starts), and
 * rounded up to the next cost that whole sheets can add up to. Branches: a column whose share is a fraction is used at
 * least as often as the next whole number, or at most as often as the one before.
 */
final class CoverProgram
{
    /** Relative to costs of some 100,000 mm2; far above rounding, far below a square millimetre. */
    private const NEAR = 1e-7;

    /** How near to a whole number counts as whole. */
    private const WHOLE = 1e-6;

    private const MOST_LATE = 40;

    /** Totals tried in looking for the next one that whole sheets add up to. */
    private const MOST_TOTALS = 3000;

    /** @var list<float> what one square of a size is worth in rounding: its share of the cheapest cost */
    private array $weights = [];

    /** @var array<int, int>|null uses by column */
    private ?array $best = null;

    private float $bestCost = INF;

    private bool $complete = true;

    private int $nodes = 0;

    /** Choices looked at after time was up, while there was no plan at all. */
    private int $late = 0;

    /**
     * @param  list<Column>  $columns
     * @param  list<float>  $steps  costs of one column of each group: totals are sums of whole numbers of these
     * @param  Closure(): void  $still
     */
    private function __construct(
        private readonly array $columns,
        private readonly array $steps,
        private readonly Budget $budget,
        private readonly Closure $still,
    ) {
    }

    /**
     * @param  list<Column>  $columns
     * @param  array<int, int>  $need  by size
     * @param  array<int, int|null>  $limits  by group: how many columns of it may be used in all; null: any number
     * @param  Budget  $budget  after which the best found so far is taken
     * @param  Closure(): void|null  $still  called now and then while it works
     * @return array{uses: array<int, int>|null, cost: float, bound: float, proven: bool} uses null: nothing was found
     */
    public static function solve(
        array $columns,
        array $need,
        array $limits,
        Budget $budget,
        ?Closure $still = null,
    ): array {
        $steps = [];
        foreach ($columns as $column) {
            if ($column->cost > 0) {
                $steps[(string) round($column->cost, 6)] = $column->cost;
            }
        }
        rsort($steps);
        $self = new self($columns, $steps, $budget, $still ?? static fn () => null);
        $root = $self->relaxed($need, $limits, [], []);
        if ($root->solved === false) {
            return ['uses' => null, 'cost' => INF, 'bound' => INF, 'proven' => true];
        }
        // Where the linear program did not come to an end, nothing is the only bound that is known.
        $bound = $root->isKnown() ? $self->roundedUp($root->cost) : 0.0;
        foreach (array_keys($need) as $i) {
            $self->weights[] = min(
                array_map(
                    static fn (Column $c): float => $c->counts[$i] > 0 ? max($c->cost, 1.0) / $c->counts[$i] : INF,
                    $columns,
                ) ?: [1.0],
            );
        }
        $self->weights = array_map(static fn (float $w): float => is_finite($w) ? $w : 0.0, $self->weights);
        $self->branch(
            need: $need,
            limits: $limits,
            least: [],
            uses: array_fill(0, count($columns), 0),
            most: [],
            spent: 0.0,
            rootBound: $bound,
        );
        $proven = $self->complete || $self->bestCost <= $bound + self::NEAR * max(1.0, $bound);

        return [
            'uses' => $self->best,
            'cost' => $self->bestCost,
            'bound' => $proven ? $self->bestCost : $bound,
            'proven' => $proven,
        ];
    }

    /**
     * @param  array<int, int>  $need  still
     * @param  array<int, int|null>  $limits  still, by group
     * @param  array<int, int>  $least  columns of a group that must still be used
     * @param  array<int, int>  $uses  settled so far
     * @param  array<int, int>  $most  by column: how often it may be used beyond that
     */
    private function branch(
        array $need,
        array $limits,
        array $least,
        array $uses,
        array $most,
        float $spent,
        float $rootBound,
    ): void {
        if ($this->bestCost <= $rootBound + self::NEAR * max(1.0, $rootBound)) {
            return;
        }
        if (++$this->nodes % 8 === 0) {
            ($this->still)();
            $this->complete = $this->complete && ! $this->budget->isOver();
        }
        if (! $this->complete && ($this->best !== null || ++$this->late > self::MOST_LATE)) {
            return;
        }
        $relaxed = $this->relaxed($need, $limits, $least, $most);
        if (! $relaxed->isKnown()) {
            // What lies below is not looked at, so nothing is proven any more; a plan near nothing is still tried.
            $this->complete = false;
            $this->rounded(shares: [], need: $need, limits: $limits, uses: $uses, spent: $spent);

            return;
        }
        if (
            $relaxed->solved === false ||
            $this->roundedUp($spent + $relaxed->cost) >= $this->bestCost - self::NEAR * max(1.0, $this->bestCost)
        ) {
            return;
        }
        $this->rounded(shares: $relaxed->uses, need: $need, limits: $limits, uses: $uses, spent: $spent);
        $inGroup = [];
        foreach ($relaxed->uses as $c => $share) {
            $inGroup[$this->columns[$c]->group] = ($inGroup[$this->columns[$c]->group] ?? 0.0) + $share;
        }
        $group = self::mostFractional($inGroup);
        $column = $group === null ? self::mostFractional($relaxed->uses) : null;
        if ($group !== null) {
            // how many sheets of a stock is settled first: it settles the cost
            $share = $inGroup[$group];
            $down = fn () => $this->branch(
                need: $need,
                limits: [$group => (int) floor($share)] + $limits,
                least: $least,
                uses: $uses,
                most: $most,
                spent: $spent,
                rootBound: $rootBound,
            );
            $up = fn () => $this->branch(
                need: $need,
                limits: $limits,
                least: [$group => (int) ceil($share)] + $least,
                uses: $uses,
                most: $most,
                spent: $spent,
                rootBound: $rootBound,
            );
        } elseif ($column !== null) {
            $share = $relaxed->uses[$column];
            $down = fn () => $this->branch(
                need: $need,
                limits: $limits,
                least: $least,
                uses: $uses,
                most: [$column => (int) floor($share)] + $most,
                spent: $spent,
                rootBound: $rootBound,
            );
            $up = function () use ($column, $share, $need, $limits, $least, $uses, $most, $spent, $rootBound): void {
                $times = (int) ceil($share);
                [$need, $limits, $least] = $this->after(
                    column: $column,
                    times: $times,
                    need: $need,
                    limits: $limits,
                    least: $least,
                );
                $uses[$column] += $times;
                if (isset($most[$column])) {
                    $most[$column] -= $times;
                }
                $this->branch(
                    need: $need,
                    limits: $limits,
                    least: $least,
                    uses: $uses,
                    most: $most,
                    spent: $spent + $times * $this->columns[$column]->cost,
                    rootBound: $rootBound,
                );
            };
        } else {
            // whole numbers already: this is the best below here, and rounded() has taken it
            return;
        }
        foreach ($share - floor($share) > 0.4 ? [$up, $down] : [$down, $up] as $go) {
            $go();
        }
    }

    /** @param  array<int, float>  $shares */
    private static function mostFractional(array $shares): ?int
    {
        $found = null;
        $furthest = self::WHOLE;
        foreach ($shares as $key => $share) {
            if (abs($share - round($share)) > $furthest) {
                [$found, $furthest] = [$key, abs($share - round($share))];
            }
        }

        return $found;
    }

    /**
     * @param  array<int, int>  $need
     * @param  array<int, int|null>  $limits
     * @param  array<int, int>  $least
     * @return array{array<int, int>, array<int, int|null>, array<int, int>}
     */
    private function after(int $column, int $times, array $need, array $limits, array $least = []): array
    {
        foreach ($this->columns[$column]->counts as $i => $count) {
            $need[$i] -= $times * $count;
        }
        $group = $this->columns[$column]->group;
        if ($limits[$group] !== null) {
            $limits[$group] -= $times;
        }
        if (isset($least[$group])) {
            $least[$group] -= $times;
        }

        return [$need, $limits, $least];
    }

    /**
     * A whole-number plan near the fractions: their whole parts, then one sheet after another that gives most for its
     * cost.
     *
     * @param  array<int, float>  $shares
     * @param  array<int, int>  $need
     * @param  array<int, int|null>  $limits
     * @param  array<int, int>  $uses
     */
    private function rounded(array $shares, array $need, array $limits, array $uses, float $spent): void
    {
        foreach ($shares as $c => $share) {
            $times = (int) floor($share + self::WHOLE);
            [$need, $limits] = $this->after($c, $times, $need, $limits);
            $uses[$c] += $times;
            $spent += $times * $this->columns[$c]->cost;
        }
        while (max([0, ...$need]) > 0 && $spent < $this->bestCost) {
            $best = null;
            $bestGain = 0.0;
            foreach ($this->columns as $c => $column) {
                [$counts, $group, $cost] = [$column->counts, $column->group, $column->cost];
                if (($limits[$group] ?? 1) <= 0) {
                    continue;
                }
                $gain = 0.0;
                foreach ($counts as $i => $count) {
                    $gain += max(0, min($count, $need[$i])) * $this->weights[$i];
                }
                $gain /= max($cost, self::WHOLE);
                if ($gain > $bestGain) {
                    [$best, $bestGain] = [$c, $gain];
                }
            }
            if ($best === null) {
                return;
            }
            $times = $limits[$this->columns[$best]->group] ?? PHP_INT_MAX; // as long as it brings as much each time
            foreach ($this->columns[$best]->counts as $i => $count) {
                if ($count > 0 && $need[$i] > 0) {
                    $times = min($times, max(1, intdiv($need[$i], $count)));
                }
            }
            [$need, $limits] = $this->after($best, $times, $need, $limits);
            $uses[$best] += $times;
            $spent += $times * $this->columns[$best]->cost;
        }
        if (max([0, ...$need]) <= 0 && $spent < $this->bestCost - self::NEAR * max(1.0, $spent)) {
            [$this->best, $this->bestCost] = [$uses, $spent];
        }
    }

    /** The next total that whole columns can add up to; a bound below it is as good as it. */
    private function roundedUp(float $cost): float
    {
        $from = $cost - self::NEAR * max(1.0, $cost);
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

    /**
     * The linear program: at least $need of each size, at most the limits, fractions allowed.
     *
     * @param  array<int, int>  $need
     * @param  array<int, int|null>  $limits
     * @param  array<int, int>  $least  by group
     * @param  array<int, int>  $most  by column
     */
    private function relaxed(array $need, array $limits, array $least, array $most): LinearAnswer
    {
        $open = [];
        foreach ($this->columns as $c => $column) {
            if (($most[$c] ?? 1) > 0 && ($limits[$column->group] ?? 1) > 0) {
                $open[] = $c;
            }
        }
        $rows = [];
        foreach ($need as $i => $n) {
            if ($n > 0) {
                $rows[] = [
                    array_map(fn (int $c): float => (float) -$this->columns[$c]->counts[$i], $open),
                    (float) -$n,
                ];
            }
        }
        foreach ($limits as $group => $limit) {
            if ($limit !== null && $limit < 0) {
                return LinearAnswer::impossible();
            }
            if ($limit !== null && $limit > 0) {
                $rows[] = [
                    array_map(fn (int $c): float => $this->columns[$c]->group === $group ? 1.0 : 0.0, $open),
                    (float) $limit,
                ];
            }
        }
        foreach ($least as $group => $number) {
            if ($number > 0) {
                $rows[] = [
                    array_map(fn (int $c): float => $this->columns[$c]->group === $group ? -1.0 : 0.0, $open),
                    (float) -$number,
                ];
            }
        }
        foreach ($most as $column => $limit) {
            if ($limit < 0) {
                return LinearAnswer::impossible();
            }
            if ($limit > 0) {
                $rows[] = [array_map(static fn (int $c): float => $c === $column ? 1.0 : 0.0, $open), (float) $limit];
            }
        }
        if ($rows === [] || $open === []) {
            return max([0, ...$need]) > 0 ? LinearAnswer::impossible() : LinearAnswer::solved(0.0, [], []);
        }

        return DualSimplex::least(
            array_map(fn (int $c): float => $this->columns[$c]->cost, $open),
            $rows,
            $open,
            $this->budget,
        );
    }
}
