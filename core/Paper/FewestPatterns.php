<?php

declare(strict_types=1);

namespace Cathedra\Core\Paper;

/**
 * People cut in stacks, many sheets the same way: of all plans within a budget one with the fewest different patterns,
 * and
 * of those the cheapest. One pattern is tried, then two, then three ...; a choice is given up when what is still wanted
 * costs more than the budget has left, at the prices of the linear program (no pattern makes squares cheaper than
 * these).
 */
final class FewestPatterns
{
    /** Choices tried before the search is given up. */
    private const MOST_NODES = 400_000;

    /** mm2: areas closer than this are the same. */
    private const SAME = 1e-3;

    /** @var array<int, int>|null */
    private ?array $best = null;

    private int $nodes = 0;

    private int $tries = 0;

    /**
     * @param  list<array{counts: array<int, int>, group: int, cost: float}>  $columns
     * @param  list<float>  $prices  by size
     */
    private function __construct(
        private readonly array $columns,
        private readonly array $prices,
        private float $budget,
        private readonly float $deadline,
    ) {
    }

    /**
     * @param  list<array{counts: array<int, int>, group: int, cost: float}>  $columns  patterns
     * @param  array<int, int>  $need  squares by size
     * @param  array<int, int|null>  $limits  sheets by group; null: any number
     * @param  float  $budget  what the patterns may cost in all
     * @param  array<int, int>  $uses  a plan within the budget: times by column
     * @param  float  $deadline  microtime
     * @return array{uses: array<int, int>, proven: bool} proven: there is none with fewer patterns
     */
    public static function of(
        array $columns,
        array $need,
        array $limits,
        float $budget,
        array $uses,
        float $deadline,
    ): array {
        $rows = [];
        foreach ($need as $i => $n) {
            $rows[] = [array_map(static fn (array $c): float => (float) -$c['counts'][$i], $columns), (float) -$n];
        }
        $prices =
            $columns === [] ? null : DualSimplex::least(array_column($columns, 'cost'), $rows, array_keys($columns));
        $self = new self(
            $columns,
            $prices['prices'] ?? array_fill(0, count($need), 0.0),
            $budget + self::SAME,
            $deadline,
        );
        for ($patterns = 1; $patterns < count(array_filter($uses)); $patterns++) {
            $self->search($patterns, $need, $limits, array_fill(0, count($columns), 0), 0.0, 0);
            if ($self->best !== null) {
                return ['uses' => $self->best, 'proven' => true];
            }
            if ($self->tired()) {
                return ['uses' => $uses, 'proven' => false];
            }
        }

        return ['uses' => $uses, 'proven' => true];
    }

    private function tired(): bool
    {
        if ($this->nodes % 512 === 0 && microtime(true) > $this->deadline) {
            $this->nodes = self::MOST_NODES + 1;
        }

        return $this->nodes > self::MOST_NODES;
    }

    /**
     * @param  int  $patterns  that may still be taken
     * @param  array<int, int>  $need
     * @param  array<int, int|null>  $limits
     * @param  array<int, int>  $uses
     * @param  int  $from  columns before this one have had their turn
     */
    private function search(int $patterns, array $need, array $limits, array $uses, float $spent, int $from): void
    {
        for ($c = $from; $c < count($this->columns); $c++) {
            $this->nodes++;
            if ($this->tired()) {
                return;
            }
            ['counts' => $counts, 'group' => $group, 'cost' => $cost] = $this->columns[$c];
            $most = $this->most($counts, $need, $patterns === 1);
            if ($limits[$group] !== null && $limits[$group] < $most) {
                $most = $patterns === 1 ? 0 : $limits[$group];
            }
            for ($times = $most; $times >= 1; $times = $patterns === 1 ? 0 : $times - 1) {
                if (++$this->tries % 4096 === 0 && microtime(true) > $this->deadline) {
                    $this->nodes = self::MOST_NODES + 1;

                    return;
                }
                $rest = $need;
                $bound = $spent + $times * $cost;
                foreach ($counts as $i => $count) {
                    $rest[$i] -= $times * $count;
                    $bound += max(0, $rest[$i]) * $this->prices[$i];
                }
                if ($bound >= $this->budget) {
                    continue;
                }
                if (max([0, ...$rest]) <= 0) {
                    $this->best = [$c => $times] + $uses;
                    ksort($this->best);
                    $this->budget = $spent + $times * $cost - self::SAME;
                } elseif ($patterns > 1) {
                    $this->search(
                        $patterns - 1,
                        $rest,
                        $limits[$group] === null ? $limits : [$group => $limits[$group] - $times] + $limits,
                        [$c => $times] + $uses,
                        $spent + $times * $cost,
                        $c + 1,
                    );
                }
            }
        }
    }

    /**
     * How often a pattern is of use; the last one must bring all that is wanted, or it is of none.
     *
     * @param  array<int, int>  $counts
     * @param  array<int, int>  $need
     */
    private function most(array $counts, array $need, bool $last): int
    {
        $most = 0;
        foreach ($need as $i => $n) {
            if ($n > 0 && $counts[$i] === 0 && $last) {
                return 0;
            }
            $most = $n > 0 && $counts[$i] > 0 ? max($most, intdiv($n + $counts[$i] - 1, $counts[$i])) : $most;
        }

        return $most;
    }
}
