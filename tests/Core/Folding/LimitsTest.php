<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\Reading\Pockets;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Sequence\BadSequence;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Where counting stops, and what counts as a pocket. */
final class LimitsTest extends TestCase
{
    /** Halved seven times the sheet has 128 faces; the eighth time it would have 256, and 220 are allowed. */
    public function testASheetIsHalvedSevenTimesAndNoMore(): void
    {
        $halves = static fn (int $times): string => implode('', array_map(static fn (int $n): string => $n % 2 === 0
            ? "  - {fold: valley, bring: edge right, to: edge left, layers: all}\n"
            : "  - {fold: valley, bring: edge top, to: edge bottom, layers: all}\n", range(1, $times)));
        self::assertSame(128, Folds::steps($halves(7))->end()->faceCount());
        try {
            Folds::steps($halves(8));
            self::fail('256 faces');
        } catch (BadSequence $e) {
            self::assertStringContainsString('more than 220 faces', $e->getMessage());
        }
    }

    /**
     * A square folded once along its diagonal is closed along sqrt(2) of 2 + sqrt(2), 0.41 of its rim: no pocket. Its
     * open side folded in half again, and the cup's rim, are closed along more than half.
     */
    public function testAPocketIsClosedAlongHalfOfItsRim(): void
    {
        $pockets = static function (string $steps): int {
            $state = Folds::steps($steps)->end();

            return count(Pockets::of($state, Stacks::of($state)));
        };
        $once = "  - {fold: valley, bring: corner bottom-right, to: corner top-left}\n";
        self::assertSame(0, $pockets($once));
        self::assertSame(0, $pockets("  - {fold: valley, bring: edge right, to: edge left}\n"), 'closed along a third');
        $cup = Folds::library('drinking-cup')->end();
        self::assertGreaterThan(0, count(Pockets::of($cup, Stacks::of($cup))));
    }
}
