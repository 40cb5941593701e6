<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Order;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Numeric\Budget;

/**
 * Finds a layer order that meets all conditions: first elimination over GF(2) (a contradiction there means the fold is
 * impossible, and its row names the place), then preferences in the order given, propagating the linear rows and
 * "no ring among three", with backtracking in reserve.
 */
final class OrderSolver
{
    /**
     * Rows and triples looked at before giving up: some 15 times what the hardest model of the library needs, about a
     * second.
     */
    public const MAX_LOOKS = 1_000_000;

    /** @var array<int, list<int>> rows by the unknowns in them */
    private array $rowsOf = [];

    /** @var array<int, list<int>> packed triples by the unknowns in them */
    private array $triplesOf = [];

    /** @var array<int, bool> unknown => value */
    private array $value = [];

    /** @var list<array{list<int>, int}> */
    private array $rows = [];

    /**
     * @var list<int> for three faces with a common area the unknowns of ij, jk and ki, packed by literal() into 18 bits
     *     each
     */
    private array $triples = [];

    /** @var array<int, true> triples that are there */
    private array $known = [];

    private function __construct(private readonly BitClasses $classes, private readonly Budget $budget)
    {
    }

    /**
     * @param  list<Condition>  $conditions
     * @param  array<int, bool>  $preferred  by pair key, the most wanted first; followed where the conditions allow
     * @param  Budget|null  $budget  in rows and triples looked at; null: MAX_LOOKS
     * @return array<int, bool> a bit for every overlapping pair
     *
     * @throws CannotFold when no order exists, or none was found with the work allowed
     */
    public static function solve(
        int $faceCount,
        Overlaps $overlaps,
        array $conditions,
        array $preferred,
        ?Budget $budget = null,
    ): array {
        $self = new self(BitClasses::from($conditions), $budget ?? Budget::steps(self::MAX_LOOKS));
        foreach ($self->classes->rows() as $row) {
            $self->addRow($row['unknowns'], $row['sum']);
        }
        $class = [];
        foreach (array_keys($overlaps->common) as $key) {
            $class[$key] = self::literal($self->classes->of($key));
        }
        $triple = static fn (int $i, int $j, int $k): int => ($class[$i * $faceCount + $j] << 36) |
            ($class[$j * $faceCount + $k] << 18) |
            ($class[$i * $faceCount + $k] ^ 1);
        // Equal triples come in masses, since the layers of a flap move together; each is looked at and kept once.
        $isNew = static fn (int $i, int $j, int $k): bool => ! isset($self->known[$triple($i, $j, $k)]);
        foreach ($overlaps->triples($isNew) as [$i, $j, $k]) {
            $self->addTriple($triple($i, $j, $k));
        }
        $keys = array_keys($overlaps->common);

        return $self->run($keys, $preferred + array_fill_keys($keys, true));
    }

    /** @param  list<int>  $unknowns */
    private function addRow(array $unknowns, int $sum): void
    {
        $this->rows[] = [$unknowns, $sum];
        foreach ($unknowns as $u) {
            $this->rowsOf[$u][] = count($this->rows) - 1;
        }
    }

    /**
     * An unknown and whether its bit is turned, in 18 bits: unknowns are pair keys below MAX_FACES squared, or the
     * ground.
     *
     * @param  array{int, bool}  $of
     */
    private static function literal(array $of): int
    {
        return ($of[0] + 1) * 2 + ($of[1] ? 1 : 0);
    }

    private function addTriple(int $triple): void
    {
        $this->known[$triple] = true;
        $this->triples[] = $triple;
        foreach ([$triple >> 36, ($triple >> 18) & 0x3FFFF, $triple & 0x3FFFF] as $literal) {
            $this->triplesOf[($literal >> 1) - 1][] = $triple;
        }
    }

    /**
     * @param  list<int>  $keys
     * @param  array<int, bool>  $preferred
     * @return array<int, bool>
     */
    private function run(array $keys, array $preferred): array
    {
        $trail = [];
        if (! $this->set(BitClasses::GROUND, false, $trail) || ! $this->settleAll($trail)) {
            throw CannotFold::because('No order of the layers keeps paper from passing through paper.');
        }
        $wishes = [];
        foreach ($preferred as $key => $bit) {
            [$class, $odd] = $this->classes->of($key);
            $wishes[$class] ??= $bit !== $odd;
        }
        if (! $this->search(array_keys($wishes), array_values($wishes), 0)) {
            throw CannotFold::because(
                $this->budget->isOver()
                    ? 'No order of the layers was found with the work allowed; the fold has too many loose layers at '
                        .'once. Fold it in smaller steps.'
                    : 'No order of the layers keeps paper from passing through paper.',
            );
        }
        $bits = [];
        foreach ($keys as $key) {
            [$class, $odd] = $this->classes->of($key);
            $bits[$key] = $this->value[$class] !== $odd;
        }

        return $bits;
    }

    /**
     * @param  list<int>  $unknowns
     * @param  list<bool>  $wishes
     */
    private function search(array $unknowns, array $wishes, int $at): bool
    {
        while ($at < count($unknowns) && isset($this->value[$unknowns[$at]])) {
            $at++;
        }
        if ($at === count($unknowns)) {
            return true;
        }
        foreach ([$wishes[$at], ! $wishes[$at]] as $bit) {
            if ($this->budget->isOver()) {
                return false;
            }
            $trail = [];
            if ($this->set($unknowns[$at], $bit, $trail) && $this->search($unknowns, $wishes, $at + 1)) {
                return true;
            }
            foreach ($trail as $u) {
                unset($this->value[$u]);
            }
        }

        return false;
    }

    /**
     * Sets an unknown and all that follows from it.
     *
     * @param  list<int>  $trail  every unknown that was set, for taking it back
     */
    private function set(int $unknown, bool $bit, array &$trail): bool
    {
        $queue = [[$unknown, $bit]];
        while ($queue !== []) {
            [$u, $b] = array_pop($queue);
            if (isset($this->value[$u])) {
                if ($this->value[$u] !== $b) {
                    return false;
                }

                continue;
            }
            $this->value[$u] = $b;
            $trail[] = $u;
            $looks = count($this->rowsOf[$u] ?? []) + count($this->triplesOf[$u] ?? []);
            if (! $this->budget->spend($looks)) {
                return false;
            }
            foreach ($this->rowsOf[$u] ?? [] as $row) {
                if (! $this->settleRow($row, $queue)) {
                    return false;
                }
            }
            foreach ($this->triplesOf[$u] ?? [] as $triple) {
                if (! $this->settleTriple($triple, $queue)) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param  list<int>  $trail */
    private function settleAll(array &$trail): bool
    {
        $queue = [];
        foreach (array_keys($this->rows) as $row) {
            if (! $this->settleRow($row, $queue)) {
                return false;
            }
        }
        foreach ($this->triples as $triple) {
            if (! $this->settleTriple($triple, $queue)) {
                return false;
            }
        }
        foreach ($queue as [$u, $b]) {
            if (! $this->set($u, $b, $trail)) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<array{int, bool}>  $queue */
    private function settleRow(int $row, array &$queue): bool
    {
        [$unknowns, $sum] = $this->rows[$row];
        $open = null;
        foreach ($unknowns as $u) {
            if (isset($this->value[$u])) {
                $sum ^= $this->value[$u] ? 1 : 0;
            } elseif ($open !== null) {
                return true;
            } else {
                $open = $u;
            }
        }
        if ($open === null) {
            return $sum === 0;
        }
        $queue[] = [$open, $sum === 1];

        return true;
    }

    /**
     * With i above j and j above k, i must be above k; the same with all three turned.
     *
     * @param  list<array{int, bool}>  $queue
     */
    private function settleTriple(int $triple, array &$queue): bool
    {
        // A ring is three alike among ij, jk and ki.
        $known = null;
        $open = null;
        foreach ([$triple >> 36, ($triple >> 18) & 0x3FFFF, $triple & 0x3FFFF] as $literal) {
            $class = ($literal >> 1) - 1;
            $odd = ($literal & 1) === 1;
            if (isset($this->value[$class])) {
                $bit = $this->value[$class] !== $odd;
                if ($known !== null && $known !== $bit) {
                    return true;
                }
                $known = $bit;
            } elseif ($open !== null) {
                return true;
            } else {
                $open = [$class, $odd];
            }
        }
        if ($open === null) {
            return false;
        }
        // Two alike: the third must differ from them.
        $queue[] = [$open[0], ! $known !== $open[1]];

        return true;
    }
}
