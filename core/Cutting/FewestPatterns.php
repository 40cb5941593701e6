<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Numeric\DualSimplex;

/**
 * People cut in stacks, many sheets the same way: of all plans within a budget one with the fewest different patterns,
 * and of those the cheapest. One pattern is tried, then two, then three ...; a choice is given up when what is still
 * wanted costs more than the budget has left, at the prices of the linear program (no pattern makes squares cheaper
 * than these).
 */
final class FewestPatterns
{
    /** Steps of the budget that trying a choice takes. */
    private const STEPS_A_CHOICE = 5;

    /** mm2: areas closer than this are the same. */
    private const SAME = 1e-3;

    /** @var array<int, int>|null */
    private ?array $best = null;

    /**
     * @param  list<Column>  $columns
     * @param  list<float>  $prices  by size
     */
    private function __construct(
        private readonly array $columns,
        private readonly array $prices,
        private float $mostCost,
        private readonly Budget $budget,
    ) {
    }

    /**
     * @param  list<Column>  $columns  patterns
     * @param  array<int, int>  $need  squares by size
     * @param  array<int, int|null>  $limits  sheets by group; null: any number
     * @param  float  $mostCost  what the patterns may cost in all
     * @param  array<int, int>  $uses  a plan that costs no more: times by column
     * @param  Budget  $budget  a step for every choice tried
     * @return array{uses: array<int, int>, proven: bool} proven: there is none with fewer patterns
     */
    public static function of(
        array $columns,
        array $need,
        array $limits,
        float $mostCost,
        array $uses,
        Budget $budget,
    ): array {
        $rows = [];
        foreach ($need as $i => $n) {
            $rows[] = [array_map(static fn (Column $c): float => (float) -$c->counts[$i], $columns), (float) -$n];
        }
        $costs = array_map(static fn (Column $c): float => $c->cost, $columns);
        $prices = $columns === [] ? null : DualSimplex::least($costs, $rows, array_keys($columns), $budget);
        // Without prices nothing is given up early, which is slower but as true.
        $known = $prices?->solved === true ? $prices->prices : array_fill(0, count($need), 0.0);
        $self = new self($columns, $known, $mostCost + self::SAME, $budget);
        for ($patterns = 1; $patterns < count(array_filter($uses)); $patterns++) {
            $self->search(
                patterns: $patterns,
                need: $need,
                limits: $limits,
                uses: array_fill(0, count($columns), 0),
                spent: 0.0,
                from: 0,
            );
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
        return $this->budget->isOver();
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
            if (! $this->budget->spend(self::STEPS_A_CHOICE)) {
                return;
            }
            [$counts, $group, $cost] = [
                $this->columns[$c]->counts,
                $this->columns[$c]->group,
                $this->columns[$c]->cost,
            ];
            $most = $this->most($counts, $need, $patterns === 1);
            if ($limits[$group] !== null && $limits[$group] < $most) {
                $most = $patterns === 1 ? 0 : $limits[$group];
            }
            for ($times = $most; $times >= 1; $times = $patterns === 1 ? 0 : $times - 1) {
                if (! $this->budget->spend(self::STEPS_A_CHOICE)) {
                    return;
                }
                $rest = $need;
                $bound = $spent + $times * $cost;
                foreach ($counts as $i => $count) {
                    $rest[$i] -= $times * $count;
                    $bound += max(0, $rest[$i]) * $this->prices[$i];
                }
                if ($bound >= $this->mostCost) {
                    continue;
                }
                if (max([0, ...$rest]) <= 0) {
                    $this->best = [$c => $times] + $uses;
                    ksort($this->best);
                    $this->mostCost = $spent + $times * $cost - self::SAME;
                } elseif ($patterns > 1) {
                    $this->search(
                        patterns: $patterns - 1,
                        need: $rest,
                        limits: $limits[$group] === null ? $limits : [$group => $limits[$group] - $times] + $limits,
                        uses: [$c => $times] + $uses,
                        spent: $spent + $times * $cost,
                        from: $c + 1,
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
