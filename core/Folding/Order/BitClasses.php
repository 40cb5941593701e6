<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

use Cathedra\Core\Folding\CannotFold;

/**
 * Elimination over GF(2), in two layers: conditions with one or two unknowns join them into classes of equal or
 * opposite bits (union-find with parity; the class of GROUND is the constant 0), the longer ones become reduced rows
 * over the classes. Rows that shrink to one or two unknowns join classes again, until nothing changes.
 */
final class BitClasses
{
    public const GROUND = -1;

    /** @var array<int, int> */
    private array $parent = [];

    /** @var array<int, bool> whether a node is the complement of its parent */
    private array $odd = [];

    /** @var array<int, array{unknowns: array<int, true>, sum: int}> by pivot */
    private array $pivots = [];

    private function __construct()
    {
    }

    /**
     * @param  list<Condition>  $conditions
     *
     * @throws CannotFold at the condition that contradicts those before it
     */
    public static function from(array $conditions): self
    {
        $self = new self();
        usort($conditions, static fn (Condition $a, Condition $b): int => count($a->pairs) <=> count($b->pairs));
        foreach ($conditions as $condition) {
            $self->add($condition);
        }

        return $self;
    }

    /** @return array{int, bool} the class of an unknown and whether it is the complement of the class's bit */
    public function of(int $unknown): array
    {
        $odd = false;
        while (isset($this->parent[$unknown])) {
            $odd = $odd !== $this->odd[$unknown];
            $unknown = $this->parent[$unknown];
        }

        return [$unknown, $odd];
    }

    /** @return list<array{unknowns: list<int>, sum: int}> the rows left with three or more classes */
    public function rows(): array
    {
        return array_values(
            array_map(
                static fn (array $row): array => ['unknowns' => array_keys($row['unknowns']), 'sum' => $row['sum']],
                $this->pivots,
            ),
        );
    }

    private function add(Condition $condition): void
    {
        $waiting = [['unknowns' => array_fill_keys($condition->pairs, true), 'sum' => $condition->sum]];
        while ($waiting !== []) {
            $row = $this->reduced(array_pop($waiting));
            $unknowns = array_keys($row['unknowns']);
            if ($unknowns === []) {
                if ($row['sum'] === 1) {
                    throw CannotFold::collides($condition->what, $condition->place);
                }
            } elseif (count($unknowns) <= 2) {
                $this->join($unknowns[0], $unknowns[1] ?? self::GROUND, $row['sum'] === 1);
                $waiting = [...$waiting, ...$this->releaseRowsWith($unknowns)];
            } else {
                $this->pivots[$unknowns[0]] = $row;
            }
        }
    }

    /**
     * Over classes, without ground and without the pivots of other rows.
     *
     * @param  array{unknowns: array<int, true>, sum: int}  $row
     * @return array{unknowns: array<int, true>, sum: int}
     */
    private function reduced(array $row): array
    {
        $out = [];
        $sum = $row['sum'];
        foreach (array_keys($row['unknowns']) as $u) {
            [$class, $odd] = $this->of($u);
            $sum ^= $odd ? 1 : 0;
            if ($class !== self::GROUND) {
                self::toggle($out, $class);
            }
        }
        do {
            $changed = false;
            foreach (array_keys($out) as $u) {
                if (isset($out[$u], $this->pivots[$u])) {
                    foreach (array_keys($this->pivots[$u]['unknowns']) as $v) {
                        self::toggle($out, $v);
                    }
                    $sum ^= $this->pivots[$u]['sum'];
                    $changed = true;
                }
            }
        } while ($changed);

        return ['unknowns' => $out, 'sum' => $sum];
    }

    /** @param  array<int, true>  $set */
    private static function toggle(array &$set, int $member): void
    {
        if (isset($set[$member])) {
            unset($set[$member]);
        } else {
            $set[$member] = true;
        }
    }

    private function join(int $a, int $b, bool $odd): void
    {
        [$ra, $oa] = $this->of($a);
        [$rb, $ob] = $this->of($b);
        if ($ra === self::GROUND) {
            [$ra, $rb] = [$rb, $ra];
        }
        if ($ra !== $rb) {
            $this->parent[$ra] = $rb;
            $this->odd[$ra] = $odd !== ($oa !== $ob);
        }
    }

    /**
     * @param  list<int>  $unknowns
     * @return list<array{unknowns: array<int, true>, sum: int}>
     */
    private function releaseRowsWith(array $unknowns): array
    {
        $released = [];
        foreach ($this->pivots as $pivot => $row) {
            foreach ($unknowns as $u) {
                if (isset($row['unknowns'][$u])) {
                    $released[] = $row;
                    unset($this->pivots[$pivot]);
                    break;
                }
            }
        }

        return $released;
    }
}
