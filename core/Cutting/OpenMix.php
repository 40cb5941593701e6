<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Numeric\DualSimplex;
use Cathedra\Core\Numeric\LinearAnswer;

/** A mix of columns that is settled in part: what is used already, what is still needed, and within which limits. */
final readonly class OpenMix
{
    /**
     * @param  list<Column>  $columns
     * @param  array<int, int>  $need  squares still needed, by size
     * @param  array<int, int|null>  $limits  columns that may still be used, by group; null: any number
     * @param  array<int, int>  $least  columns of a group that must still be used
     * @param  array<int, int>  $uses  settled so far, by column
     * @param  array<int, int>  $most  by column: how often it may be used beyond that
     * @param  float  $spent  on what is settled
     */
    private function __construct(
        private array $columns,
        public array $need,
        public array $limits,
        private array $least,
        public array $uses,
        private array $most,
        public float $spent,
    ) {
    }

    /**
     * Nothing is settled yet.
     *
     * @param  list<Column>  $columns
     * @param  array<int, int>  $need  by size
     * @param  array<int, int|null>  $limits  by group
     */
    public static function of(array $columns, array $need, array $limits): self
    {
        return new self(
            columns: $columns,
            need: $need,
            limits: $limits,
            least: [],
            uses: array_fill(0, count($columns), 0),
            most: [],
            spent: 0.0,
        );
    }

    public function isMet(): bool
    {
        return max([0, ...$this->need]) <= 0;
    }

    public function atMost(int $group, int $number): self
    {
        return $this->with(limits: [$group => $number] + $this->limits);
    }

    public function atLeast(int $group, int $number): self
    {
        return $this->with(least: [$group => $number] + $this->least);
    }

    public function columnAtMost(int $column, int $number): self
    {
        return $this->with(most: [$column => $number] + $this->most);
    }

    /** So often a column more is settled. */
    public function taking(int $column, int $times): self
    {
        [$need, $limits, $least, $uses, $most] = [$this->need, $this->limits, $this->least, $this->uses, $this->most];
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
        $uses[$column] += $times;
        if (isset($most[$column])) {
            $most[$column] -= $times;
        }

        return new self(
            columns: $this->columns,
            need: $need,
            limits: $limits,
            least: $least,
            uses: $uses,
            most: $most,
            spent: $this->spent + $times * $this->columns[$column]->cost,
        );
    }

    /** How often a column can be used with as much gain each time. */
    public function timesAsUseful(int $column): int
    {
        $times = $this->limits[$this->columns[$column]->group] ?? PHP_INT_MAX;
        foreach ($this->columns[$column]->counts as $i => $count) {
            if ($count > 0 && $this->need[$i] > 0) {
                $times = min($times, max(1, intdiv($this->need[$i], $count)));
            }
        }

        return $times;
    }

    /**
     * The linear program: at least as many of each size as are needed, at most the limits, fractions allowed.
     *
     * @param  Budget  $budget  after which the answer is not known
     */
    public function relaxed(Budget $budget): LinearAnswer
    {
        $open = [];
        foreach ($this->columns as $c => $column) {
            if (($this->most[$c] ?? 1) > 0 && ($this->limits[$column->group] ?? 1) > 0) {
                $open[] = $c;
            }
        }
        $rows = [];
        foreach ($this->need as $i => $n) {
            if ($n > 0) {
                $rows[] = [
                    array_map(fn (int $c): float => (float) -$this->columns[$c]->counts[$i], $open),
                    (float) -$n,
                ];
            }
        }
        foreach ($this->limits as $group => $limit) {
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
        foreach ($this->least as $group => $number) {
            if ($number > 0) {
                $rows[] = [
                    array_map(fn (int $c): float => $this->columns[$c]->group === $group ? -1.0 : 0.0, $open),
                    (float) -$number,
                ];
            }
        }
        foreach ($this->most as $column => $limit) {
            if ($limit < 0) {
                return LinearAnswer::impossible();
            }
            if ($limit > 0) {
                $rows[] = [array_map(static fn (int $c): float => $c === $column ? 1.0 : 0.0, $open), (float) $limit];
            }
        }
        if ($rows === [] || $open === []) {
            return max([0, ...$this->need]) > 0 ? LinearAnswer::impossible() : LinearAnswer::solved(0.0, [], []);
        }

        return DualSimplex::least(
            array_map(fn (int $c): float => $this->columns[$c]->cost, $open),
            $rows,
            $open,
            $budget,
        );
    }

    /**
     * @param  array<int, int|null>|null  $limits
     * @param  array<int, int>|null  $least
     * @param  array<int, int>|null  $most
     */
    private function with(?array $limits = null, ?array $least = null, ?array $most = null): self
    {
        return new self(
            columns: $this->columns,
            need: $this->need,
            limits: $limits ?? $this->limits,
            least: $least ?? $this->least,
            uses: $this->uses,
            most: $most ?? $this->most,
            spent: $this->spent,
        );
    }
}
