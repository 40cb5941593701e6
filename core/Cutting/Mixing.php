<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Paper\Stock;

/** Third stage: the mix of patterns that is best by what the lead puts first. */
final class Mixing
{
    /** mm2: areas closer than this are the same. */
    private const SAME = 1e-3;

    /** Ways of adding sheets of several stocks up to one area that are looked at. */
    private const MOST_MIXES = 200;

    /** Steps of looking for them. */
    private const ADDING = 100_000;

    private int $adding = 0;

    /** Whether all ways of adding up to the same area were looked at. */
    private bool $thorough = true;

    private function __construct(
        private readonly Question $question,
        private readonly Columns $columns,
        private readonly Budget $budget,
    ) {
    }

    /**
     * @param  array<int, int>  $need  squares by size, of which the paper gives all
     */
    public static function of(Question $question, Columns $columns, array $need, Budget $budget): Mix
    {
        $self = new self($question, $columns, $budget);
        if ($question->request->prefer === Prefer::Scrap) {
            return $self->scrapFirst($need);
        }
        $least = $self->solve($columns->all, $need, $question->limits);
        if ($least->uses === null) {
            return $least;
        }
        $uses = $self->fewestSheets($least->uses, $need, $least->cost);

        return new Mix($uses, $least->cost, $least->bound, $least->proven && $self->thorough);
    }

    /**
     * Squares of each size that this paper cannot give, as few as possible.
     *
     * @return array<int, int>
     */
    public static function unmet(Question $question, Columns $columns, Budget $budget): array
    {
        $sizes = count($question->sides);
        $free = array_map(static fn (Column $c): Column => $c->costing(0.0), $columns->all);
        $without = array_map(
            static fn (int $i): Column => Column::without($i, $sizes, 1.0),
            array_keys($question->sides),
        );
        $self = new self($question, $columns, $budget);
        $solved = $self->solve([...$free, ...$without], $question->need, $question->limits + [-1 => null]);
        $uses = $solved->uses ?? [...array_fill(0, count($free), 0), ...$question->need];

        return array_values(array_slice($uses, count($free)));
    }

    /**
     * @param  list<Column>  $columns
     * @param  array<int, int>  $need
     * @param  array<int, int|null>  $limits
     */
    private function solve(array $columns, array $need, array $limits): Mix
    {
        $whole = max(1, $this->question->budget->left() + $this->question->budget->spent());
        $tell = fn () => ($this->question->tell)(0.4 + 0.5 * (1 - $this->question->budget->left() / $whole), 'search');
        $solved = CoverProgram::solve(
            columns: $columns,
            need: $need,
            limits: $limits,
            budget: $this->budget,
            still: $tell,
        );

        return new Mix($solved['uses'], $solved['cost'], $solved['bound'], $solved['proven']);
    }

    /**
     * The least area of paper that is not scrap; then, for every number of such sheets that adds up to it, the least
     * area of scrap.
     *
     * @param  array<int, int>  $need
     */
    private function scrapFirst(array $need): Mix
    {
        $stock = $this->question->request->stock;
        $scrap = array_map(static fn (Stock $s): bool => $s->scrap, $stock);
        $priced = fn (bool $ofScrap): array => array_map(
            static fn (Column $c): Column => $scrap[$c->group] === $ofScrap ? $c : $c->costing(0.0),
            $this->columns->all,
        );
        $fresh = $this->solve($priced(false), $need, $this->question->limits);
        if ($fresh->uses === null || ! in_array(true, $scrap, true)) {
            return $fresh;
        }
        $mixes = $this->mixes(array_keys($scrap, false, true), $fresh->cost);
        [$best, $cost] = [$fresh->uses, $this->columns->cost($fresh->uses)];
        $proven = $fresh->proven && $mixes !== [] && $this->thorough;
        foreach ($mixes as $mix) {
            if ($this->budget->isOver()) {
                $proven = false;
                break;
            }
            $with = $this->solve($priced(true), $need, $mix + $this->question->limits);
            $proven = $proven && $with->proven;
            if ($with->uses !== null && $this->columns->cost($with->uses) < $cost - self::SAME) {
                [$best, $cost] = [$with->uses, $this->columns->cost($with->uses)];
            }
        }

        return new Mix($best, $cost, $proven ? $cost : $this->question->squaresArea($need), $proven);
    }

    /**
     * Among plans of the same area one with fewer sheets, where stocks add up to that area in several ways.
     *
     * @param  array<int, int>  $uses
     * @param  array<int, int>  $need
     * @return array<int, int>
     */
    private function fewestSheets(array $uses, array $need, float $area): array
    {
        $mixes = $this->mixes(array_keys($this->question->request->stock), $area);
        usort($mixes, static fn (array $a, array $b): int => array_sum($a) <=> array_sum($b));
        foreach ($mixes as $mix) {
            if (array_sum($mix) >= array_sum($uses) || $this->budget->isOver()) {
                $this->thorough = $this->thorough && array_sum($mix) >= array_sum($uses);
                break;
            }
            $fewer = $this->solve($this->columns->all, $need, $mix);
            if ($fewer->uses !== null) {
                return $fewer->uses;
            }
            $this->thorough = $this->thorough && $fewer->proven;
        }

        return $uses;
    }

    /**
     * All numbers of sheets of some stocks that add up to an area; `thorough` is false when there are too many.
     *
     * @param  list<int>  $groups
     * @return list<array<int, int>> by stock
     */
    private function mixes(array $groups, float $area): array
    {
        $mixes = [];
        $this->adding = 0;
        $this->add($groups, $area, [], $mixes);
        $this->thorough = $this->adding <= self::ADDING && count($mixes) <= self::MOST_MIXES;

        return $mixes;
    }

    /**
     * @param  list<int>  $groups
     * @param  array<int, int>  $mix  by stock
     * @param  list<array<int, int>>  $mixes
     */
    private function add(array $groups, float $area, array $mix, array &$mixes): void
    {
        $group = array_shift($groups);
        if (++$this->adding > self::ADDING || $group === null || count($mixes) > self::MOST_MIXES) {
            if ($group === null && abs($area) < self::SAME) {
                $mixes[] = $mix;
            }

            return;
        }
        $one = $this->question->request->areaOf($group);
        $most = min($this->question->limits[$group] ?? PHP_INT_MAX, floor(($area + self::SAME) / $one));
        for ($n = 0; $n <= $most && $this->adding <= self::ADDING; $n++) {
            $this->add($groups, $area - $n * $one, [$group => $n] + $mix, $mixes);
        }
    }
}
