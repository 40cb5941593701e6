<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
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
     * @param  Closure(): void  $still
     */
    private function __construct(
        private readonly array $columns,
        private readonly WholeTotals $totals,
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
        $self = new self($columns, WholeTotals::of($columns, self::NEAR), $budget, $still ?? static fn () => null);
        $open = OpenMix::of($columns, $need, $limits);
        $root = $open->relaxed($budget);
        if ($root->solved === false) {
            return ['uses' => null, 'cost' => INF, 'bound' => INF, 'proven' => true];
        }
        // Where the linear program did not come to an end, nothing is the only bound that is known.
        $bound = $root->isKnown() ? $self->totals->from($root->cost) : 0.0;
        foreach (array_keys($need) as $i) {
            $self->weights[] = min(
                array_map(
                    static fn (Column $c): float => $c->counts[$i] > 0 ? max($c->cost, 1.0) / $c->counts[$i] : INF,
                    $columns,
                ) ?: [1.0],
            );
        }
        $self->weights = array_map(static fn (float $w): float => is_finite($w) ? $w : 0.0, $self->weights);
        $self->branch($open, $bound);
        $proven = $self->complete || $self->bestCost <= $bound + self::NEAR * max(1.0, $bound);

        return [
            'uses' => $self->best,
            'cost' => $self->bestCost,
            'bound' => $proven ? $self->bestCost : $bound,
            'proven' => $proven,
        ];
    }

    private function branch(OpenMix $open, float $rootBound): void
    {
        if ($this->bestCost <= $rootBound + self::NEAR * max(1.0, $rootBound) || $this->isOver()) {
            return;
        }
        $relaxed = $open->relaxed($this->budget);
        if (! $relaxed->isKnown()) {
            // What lies below is not looked at, so nothing is proven any more; a plan near nothing is still tried.
            $this->complete = false;
            $this->rounded([], $open);

            return;
        }
        $better = $this->bestCost - self::NEAR * max(1.0, $this->bestCost);
        if ($relaxed->solved === false || $this->totals->from($open->spent + $relaxed->cost) >= $better) {
            return;
        }
        $this->rounded($relaxed->uses, $open);
        // Whole numbers already: this is the best below here, and rounded() has taken it.
        foreach ($this->below($relaxed->uses, $open) as $next) {
            $this->branch($next, $rootBound);
        }
    }

    /** Whether time is up; while there is no plan at all, a few more are looked at. */
    private function isOver(): bool
    {
        if (++$this->nodes % 8 === 0) {
            ($this->still)();
            $this->complete = $this->complete && ! $this->budget->isOver();
        }

        return ! $this->complete && ($this->best !== null || ++$this->late > self::MOST_LATE);
    }

    /**
     * The two halves of what is open, the likelier first: how many sheets of a stock is settled before how often a
     * pattern is used, for it settles the cost.
     *
     * @param  array<int, float>  $shares  by column, as the linear program has them
     * @return iterable<OpenMix> none when all are whole numbers
     */
    private function below(array $shares, OpenMix $open): iterable
    {
        $inGroup = [];
        foreach ($shares as $c => $share) {
            $inGroup[$this->columns[$c]->group] = ($inGroup[$this->columns[$c]->group] ?? 0.0) + $share;
        }
        $group = self::mostFractional($inGroup);
        $column = $group === null ? self::mostFractional($shares) : null;
        if ($group !== null) {
            $share = $inGroup[$group];
            $down = static fn (): OpenMix => $open->atMost($group, (int) floor($share));
            $up = static fn (): OpenMix => $open->atLeast($group, (int) ceil($share));
        } elseif ($column !== null) {
            $share = $shares[$column];
            $down = static fn (): OpenMix => $open->columnAtMost($column, (int) floor($share));
            $up = static fn (): OpenMix => $open->taking($column, (int) ceil($share));
        } else {
            return;
        }
        foreach ($share - floor($share) > 0.4 ? [$up, $down] : [$down, $up] as $half) {
            yield $half();
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
     * A whole-number plan near the fractions: their whole parts, then one sheet after another that gives most for its
     * cost.
     *
     * @param  array<int, float>  $shares
     */
    private function rounded(array $shares, OpenMix $open): void
    {
        foreach ($shares as $c => $share) {
            $open = $open->taking($c, (int) floor($share + self::WHOLE));
        }
        while (! $open->isMet() && $open->spent < $this->bestCost) {
            $best = $this->mostForItsCost($open);
            if ($best === null) {
                return;
            }
            $open = $open->taking($best, $open->timesAsUseful($best));
        }
        if ($open->isMet() && $open->spent < $this->bestCost - self::NEAR * max(1.0, $open->spent)) {
            [$this->best, $this->bestCost] = [$open->uses, $open->spent];
        }
    }

    /** The column whose squares are worth most for its cost; null: none may be used, or none gives what is needed. */
    private function mostForItsCost(OpenMix $open): ?int
    {
        $best = null;
        $bestGain = 0.0;
        foreach ($this->columns as $c => $column) {
            if (($open->limits[$column->group] ?? 1) <= 0) {
                continue;
            }
            $gain = 0.0;
            foreach ($column->counts as $i => $count) {
                $gain += max(0, min($count, $open->need[$i])) * $this->weights[$i];
            }
            $gain /= max($column->cost, self::WHOLE);
            if ($gain > $bestGain) {
                [$best, $bestGain] = [$c, $gain];
            }
        }

        return $best;
    }
}
