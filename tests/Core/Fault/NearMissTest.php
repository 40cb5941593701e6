<?php

declare(strict_types=1);

namespace Tests\Core\Fault;

use Cathedra\Core\Fault\Alike;
use Cathedra\Core\Fault\FaultKind;
use Cathedra\Core\Fault\Gap;
use Cathedra\Core\Fault\ShortOf;
use Cathedra\Core\Fault\Variant;
use Cathedra\Core\Fault\Variants;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Run\Folder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Folds that nearly are right, in figures. A square of 150 mm, both sides to the middle line: 75 mm each. */
final class NearMissTest extends TestCase
{
    private const CUPBOARD = "title: Test\nabout: For a test.\nside_up: front\nage_from: 5\ndifficulty: 1\n"
        ."sheet: square\nsteps:\n"
        ."  - {fold: crease, bring: edge left, to: edge right, name: middle}\n"
        ."  - {fold: valley, bring: edge left, to: crease middle, also: other side, layers: all}\n";

    /** @return iterable<string, array{float, bool, bool}> mm between the edges, only one side, whether it is seen */
    public static function gaps(): iterable
    {
        yield 'edges that meet' => [0.0, false, false];
        yield '0.8 mm, shared by both sides' => [0.8, false, false];
        yield '1.2 mm, shared by both sides' => [1.2, false, true];
        yield '0.8 mm at one side' => [0.8, true, false];
        yield '1.2 mm at one side' => [1.2, true, true];
        yield '5 mm' => [5.0, false, true];
    }

    /** A gap of a millimetre along the whole edge is seen. */
    #[DataProvider('gaps')]
    public function testAGapBetweenTwoEdges(float $mm, bool $oneSide, bool $isSeen): void
    {
        $share = 1 - $mm / ($oneSide ? 75 : 150);
        self::assertSame($isSeen, Gap::isSeen(self::folded(null), self::folded([$share, $oneSide])));
    }

    /** Half of the square is twice as high as wide: it is itself upside down and in a mirror, not on its side. */
    public function testWhatLooksTheSameHeldOtherwise(): void
    {
        $half = Alike::of(Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n")->end());
        self::assertSame([true, false, true], [$half->halfTurned, $half->quarterTurned, $half->mirrored]);
        $square = Alike::of(Folds::steps("  - {fold: turn-over}\n")->end());
        self::assertSame([true, true, true], [$square->halfTurned, $square->quarterTurned, $square->mirrored]);
        // a corner to the middle: an eighth of the square, so it differs on a quarter of what is seen when turned
        $corner = Alike::of(Folds::steps("  - {fold: valley, bring: corner top-left, to: centre}\n")->end());
        self::assertSame([false, false, false], [$corner->halfTurned, $corner->quarterTurned, $corner->mirrored]);
    }

    /** Short of the line by a tenth of the way, past it by a tenth: 67.5 and 82.5 mm from the edge. */
    public function testAFoldThatStopsShortOrGoesTooFar(): void
    {
        $right = self::folded(null);
        foreach ([[FaultKind::Short, 67.5], [FaultKind::TooFar, 82.5], [FaultKind::Unlike, 75.0]] as [$kind, $mm]) {
            $found = array_values(array_filter(
                Variants::of($right),
                static fn (Variant $variant): bool => $variant->kind === $kind,
            ));
            self::assertCount(1, $found);
            $wrong = self::folder()->step($found[0]->steps[0]);
            self::assertEqualsWithDelta($mm, abs($wrong->actions[0]->crease?->landing->x ?? 0.0), 1e-6, $kind->value);
        }
    }

    /** @param  array{float, bool}|null  $short  share of the way, and whether of the second side only */
    private static function folded(?array $short): FoldedStep
    {
        $folder = self::folder();
        $step = Loader::load('test', self::CUPBOARD)->steps[1];
        self::assertNotNull($step->alignment);

        return $folder->step($short === null ? $step : $step->with([
            'alignment' => new ShortOf($step->alignment, $short[0], $short[1]),
        ]));
    }

    private static function folder(): Folder
    {
        return Folder::upTo(Loader::load('test', self::CUPBOARD), 2, 150.0);
    }
}
