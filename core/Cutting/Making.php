<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Numeric\Budget;
use Cathedra\Core\Numeric\DualSimplex;
use Cathedra\Core\Paper\Stock;

/**
 * Second stage, where there are too many patterns to list: good ones are made one after the other, each the dearest at
 * the prices of the mix so far, and then such as finish a plan.
 */
final class Making
{
    /** Patterns made by prices, at most. */
    private const MOST_MADE = 60;

    /** Share of the work of this stage that making by prices may take. */
    private const BY_PRICES = 0.5;

    /** How large squares are valued over small ones in finishing a plan: powers of the side, tried in turn. */
    private const POWERS = [2.0, 2.3, 1.7, 3.0, 2.1, 1.0];

    /** @var list<Column> */
    private array $columns = [];

    private function __construct(private readonly Question $question, private readonly Budget $budget)
    {
    }

    /** @return list<Column> */
    public static function of(Question $question, Budget $budget): array
    {
        $self = new self($question, $budget);
        $self->byPrices((int) ($budget->left() * (1 - self::BY_PRICES)));
        $self->inTurn();

        return $self->columns;
    }

    /** @param  int  $leave  steps that stay for the patterns that finish a plan */
    private function byPrices(int $leave): void
    {
        $sizes = array_keys($this->question->sides);
        foreach ($sizes as $i) {
            $this->dearest(array_map(static fn (int $k): float => $k === $i ? 1.0 : 0.0, $sizes), null);
        }
        $this->dearest(array_map(static fn (float $side): float => $side ** 2, $this->question->sides), null);
        for ($made = 0; $made < self::MOST_MADE && $this->budget->left() > $leave; $made++) {
            ($this->question->tell)(0.3 + (0.1 * $made) / self::MOST_MADE, 'list');
            $mix = $this->mix();
            if ($mix === null || ! $this->dearest(...$mix)) {
                return;
            }
        }
    }

    /**
     * What a square of each size and a sheet of each counted stock is worth in the best mix of the patterns so far.
     *
     * @return array{list<float>, array<int, float>}|null null when it is not known
     */
    private function mix(): ?array
    {
        $sizes = array_keys($this->question->sides);
        $request = $this->question->request;
        $areas = array_map($request->areaOf(...), array_keys($request->stock));
        // A square that is not had costs more than any sheet.
        $columns = [...$this->columns, ...array_map(
            static fn (int $i): Column => Column::without($i, count($sizes), 10 * max([1.0, ...$areas])),
            $sizes,
        )];
        $rows = array_map(fn (int $i): array => [
            array_map(static fn (Column $c): float => (float) -$c->counts[$i], $columns),
            (float) -$this->question->need[$i],
        ], $sizes);
        $limited = array_keys(array_filter($this->question->limits, static fn (?int $n): bool => $n !== null));
        foreach ($limited as $group) {
            $rows[] = [
                array_map(static fn (Column $c): float => $c->group === $group ? 1.0 : 0.0, $columns),
                (float) $this->question->limits[$group],
            ];
        }
        $costs = array_map(static fn (Column $c): float => $c->cost, $columns);
        $mix = DualSimplex::least($costs, $rows, array_keys($columns), $this->budget);
        if ($mix->solved !== true) {
            return null;
        }

        return [
            array_slice($mix->prices, 0, count($sizes)),
            array_combine($limited, array_slice($mix->prices, count($sizes))),
        ];
    }

    /**
     * @param  list<float>  $prices  of a square by size
     * @param  array<int, float>|null  $rents  of a sheet by stock, beside its area; null: take the pattern whatever it
     *     is
     *     worth
     * @return bool whether there was a pattern worth more than its sheet costs
     */
    private function dearest(array $prices, ?array $rents): bool
    {
        $any = false;
        foreach ($this->question->request->stock as $group => $stock) {
            if ($stock->count === 0 || $this->budget->isOver()) {
                continue;
            }
            $pattern = $this->pattern($stock, $prices, $this->question->need);
            $worth = 0.0;
            foreach ($pattern['counts'] as $i => $n) {
                $worth += $n * $prices[$i];
            }
            $sheet = ($this->question->request->areaOf($group) + ($rents[$group] ?? 0.0)) * (1 + 1e-6);
            if ($worth > ($rents === null ? 0.0 : $sheet)) {
                $any = true;
                $this->take($group, $pattern);
            }
        }

        return $any;
    }

    /** Sheet after sheet the one that wastes least of what is still wanted. */
    private function inTurn(): void
    {
        foreach (self::POWERS as $power) {
            [$need, $limits] = [$this->question->need, $this->question->limits];
            $prices = array_map(static fn (float $side): float => $side ** $power, $this->question->sides);
            while (max([0, ...$need]) > 0 && ! $this->budget->isOver()) {
                $best = $this->fullest($prices, $need, $limits);
                if ($best === null) {
                    break;
                }
                [$group, $pattern] = $best;
                $this->take($group, $pattern);
                $times = $limits[$group] ?? PHP_INT_MAX;
                foreach ($pattern['counts'] as $i => $n) {
                    $times = $n > 0 ? min($times, max(1, intdiv($need[$i], $n))) : $times;
                }
                foreach ($pattern['counts'] as $i => $n) {
                    $need[$i] = max(0, $need[$i] - $times * $n);
                }
                if ($limits[$group] !== null) {
                    $limits[$group] -= $times;
                }
            }
        }
    }

    /**
     * The sheet of which least is wasted, of the dearest patterns of all stocks.
     *
     * @param  list<float>  $prices
     * @param  array<int, int>  $need
     * @param  array<int, int|null>  $limits
     * @return array{int, array{counts: array<int, int>, along: bool, rows: list<array{size: int, times: int,
     *     counts: array<int, int>}>}}|null the stock and the pattern
     */
    private function fullest(array $prices, array $need, array $limits): ?array
    {
        $best = null;
        $most = 0.0;
        foreach ($this->question->request->stock as $group => $stock) {
            if (($limits[$group] ?? 1) <= 0 || $this->budget->isOver()) {
                continue;
            }
            $pattern = $this->pattern($stock, $prices, $need);
            $share = $this->question->squaresArea($pattern['counts']) / $this->question->request->areaOf($group);
            if ($share > $most) {
                [$best, $most] = [[$group, $pattern], $share];
            }
        }

        return $best;
    }

    /**
     * @param  list<float>  $prices
     * @param  array<int, int>  $caps
     * @return array{counts: array<int, int>, along: bool, rows: list<array{size: int, times: int,
     *     counts: array<int, int>}>}
     */
    private function pattern(Stock $stock, array $prices, array $caps): array
    {
        $request = $this->question->request;

        return StripPatterns::dearest(
            width: $stock->width,
            height: $stock->height,
            sides: $this->question->sides,
            prices: $prices,
            caps: $caps,
            kerf: $request->kerf,
            trim: $request->trimOf($stock),
            budget: $this->budget,
        );
    }

    /**
     * @param  array{counts: array<int, int>, along: bool, rows: list<array{size: int, times: int,
     *     counts: array<int, int>}>}  $pattern
     */
    private function take(int $group, array $pattern): void
    {
        [$request, $sides] = [$this->question->request, $this->question->sides];
        $trim = $request->trimOf($request->stock[$group]);
        $this->columns[] = new Column(
            $pattern['counts'],
            $group,
            $request->areaOf($group),
            static fn (): array => StripPatterns::place($pattern, $sides, $request->kerf, $trim),
        );
    }
}
