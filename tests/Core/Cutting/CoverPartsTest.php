<?php

declare(strict_types=1);

namespace Tests\Core\Cutting;

use Cathedra\Core\Cutting\Column;
use Cathedra\Core\Cutting\OpenMix;
use Cathedra\Core\Cutting\WholeTotals;
use Cathedra\Core\Numeric\Budget;
use PHPUnit\Framework\TestCase;

/** The parts of the search for a cutting plan, in figures that can be checked in the head. */
final class CoverPartsTest extends TestCase
{
    /** @param  array<int, int>  $counts */
    private static function column(array $counts, int $group, float $cost): Column
    {
        return new Column($counts, $group, $cost, static fn (): array => []);
    }

    private static function mix(): OpenMix
    {
        // two sheets at 10: three squares each of the first; one of the second sheet at 4 gives one
        return OpenMix::of([self::column([3], 0, 10.0), self::column([1], 1, 4.0)], [6], [0 => null, 1 => null]);
    }

    /** Six squares: two sheets of three, 20; not six of one, 24. Taken once: three are left, 10 more. */
    public function testWhatIsTakenIsSettledAndPaid(): void
    {
        $mix = self::mix();
        self::assertEqualsWithDelta(20.0, $mix->relaxed(Budget::steps(1000))->cost, 1e-9);
        $taken = $mix->taking(0, 1);
        self::assertSame([[3], [1, 0], 10.0, false], [$taken->need, $taken->uses, $taken->spent, $taken->isMet()]);
        self::assertEqualsWithDelta(10.0, $taken->relaxed(Budget::steps(1000))->cost, 1e-9);
        $all = $taken->taking(0, 1);
        self::assertSame([true, 20.0], [$all->isMet(), $all->spent]);
    }

    /** At least three sheets of the second stock: 12, and one of the first. Two taken, one must still be. */
    public function testWhatMustBeUsedIsLessByWhatIsTaken(): void
    {
        $mix = self::mix()->atLeast(1, 3);
        self::assertEqualsWithDelta(12.0 + 10.0, $mix->relaxed(Budget::steps(1000))->cost, 1e-9);
        // two of three taken: one more at 4, then the three squares that are left at 10
        $two = $mix->taking(1, 2);
        self::assertSame(8.0, $two->spent);
        self::assertEqualsWithDelta(4.0 + 10.0, $two->relaxed(Budget::steps(1000))->cost, 1e-9);
        self::assertEqualsWithDelta(10.0, $mix->taking(1, 3)->relaxed(Budget::steps(1000))->cost, 1e-9);
    }

    /** The first pattern at most once: three squares at 10, three at 4 each. Once taken it is not used again. */
    public function testAPatternIsUsedAtMostAsOftenAsIsLeft(): void
    {
        $mix = self::mix()->columnAtMost(0, 1);
        self::assertEqualsWithDelta(10.0 + 12.0, $mix->relaxed(Budget::steps(1000))->cost, 1e-9);
        self::assertEqualsWithDelta(12.0, $mix->taking(0, 1)->relaxed(Budget::steps(1000))->cost, 1e-9);
    }

    /** A stock of which two sheets are there: one is taken, one is left; with three taken nothing is possible. */
    public function testAStockIsUsedAtMostAsOftenAsItIsThere(): void
    {
        $mix = self::mix()->atMost(0, 1);
        self::assertEqualsWithDelta(22.0, $mix->relaxed(Budget::steps(1000))->cost, 1e-9);
        self::assertEqualsWithDelta(12.0, $mix->taking(0, 1)->relaxed(Budget::steps(1000))->cost, 1e-9);
        self::assertSame(1, $mix->timesAsUseful(0));
        self::assertSame(6, $mix->timesAsUseful(1));
        self::assertFalse($mix->taking(0, 2)->relaxed(Budget::steps(1000))->solved);
    }

    /** With sheets at 5 and 3 the totals are 0, 3, 5, 6, 8, 9, 10, ...; 4 and 7 are none. */
    public function testTheNextTotalThatWholeSheetsAddUpTo(): void
    {
        $totals = WholeTotals::of([self::column([1], 0, 5.0), self::column([1], 1, 3.0)], 1e-7);
        foreach ([[0.0, 0.0], [0.5, 3.0], [3.0, 3.0], [3.2, 5.0], [5.5, 6.0], [6.5, 8.0], [8.5, 9.0]] as [$from, $to]) {
            self::assertEqualsWithDelta($to, $totals->from($from), 1e-6, "from $from");
        }
        $one = WholeTotals::of([self::column([2], 0, 4.0)], 1e-7);
        self::assertEqualsWithDelta(8.0, $one->from(5.0), 1e-6);
        self::assertEqualsWithDelta(8.0, $one->from(8.0), 1e-6);
        // nothing costs anything: every total is as good as it is
        self::assertEqualsWithDelta(5.0, WholeTotals::of([self::column([1], 0, 0.0)], 1e-7)->from(5.0), 1e-5);
    }
}
