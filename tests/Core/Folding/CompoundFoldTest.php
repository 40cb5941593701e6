<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\BadSequence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Folds;

/** Folds of several creases, from a square of 100 mm; numbers derived beside them. */
final class CompoundFoldTest extends TestCase
{
    private const PRELIMINARY = '  - {fold: collapse, valley: [line (middle of edge left) to (middle of edge right), '
        .'line (middle of edge top) to (middle of edge bottom)], mountain: [line (corner top-left) to (corner '
        ."bottom-right)], stays: A}\n  - {fold: rotate, by: 45, way: counterclockwise}\n";

    private const NARROW = '  - {fold: crease, id: narrow, bring: edge bottom-left, to: line (corner bottom) to '
        ."(corner top), layers: top, also: other side, name: narrow}\n"
        .'  - {fold: petal, id: petal, lift: corner bottom, hinge: line (where crease narrow meets edge top-left) to '
        ."(where crease narrow-other meets edge top-right)}\n";

    private const TRIANGLE = "  - {fold: rotate, by: 45}\n  - {fold: valley, bring: corner bottom, to: corner top}\n";

    private const PUSHED = self::TRIANGLE.'  - {fold: inside-reverse, along: line (1/4 from (corner left) to (corner '
        .'right)) to (1/4 from (corner left) to (corner top)), move: corner left, name: '."neck}\n";

    /** @return iterable<string, array{string, float, float, int}> steps, width, height (mm), most layers */
    public static function shapes(): iterable
    {
        $d = 100 * M_SQRT2;
        $h = 100 * tan(M_PI / 8); // half the width of what a kite fold leaves
        // Preliminary: a square of side 50 on its corner, 50 sqrt 2 across, four layers over each quarter.
        yield 'preliminary base' => [self::PRELIMINARY, $d / 2, $d / 2, 4];
        // Waterbomb: hypotenuse 100, height 50.
        yield 'waterbomb base' => [
            '  - {fold: collapse, valley: [line A to C, line B to D], mountain: [line (middle of edge left) to '
                ."(middle of edge right)], stays: paper 1/2 1/8}\n",
            100,
            50,
            4,
        ];
        // Bird: tip to tip 100, width at the hinge 2 * 50 * tan 22.5 = 41.42.
        yield 'bird base' => [
            self::PRELIMINARY.self::NARROW."  - {fold: repeat, steps: [narrow, petal], on: behind}\n",
            (2 * $h) / 2,
            100,
            8,
        ];
        // Kite: as long as the diagonal, 2 * 100 * tan 22.5 = 82.84 wide, two layers.
        yield 'kite base' => [
            "  - {fold: rotate, by: 45}\n"
                ."  - {fold: kite, bring: edge bottom-left, to: line (corner top) to (corner bottom)}\n",
            2 * $h,
            $d,
            2,
        ];
        // Fish: the ears' tips meet the incentre, 100 - 50 sqrt 2 from the diagonal: 58.58 wide.
        yield 'fish base' => [
            "  - {fold: rotate, by: 45}\n"
                .'  - {fold: rabbit-ear, tip: corner left, toward: corner top, away: corner bottom, also: other '
                ."side}\n",
            2 * (100 - $d / 2),
            $d,
            4,
        ];
        // Blintz: side 100 / sqrt 2.
        yield 'blintz' => ["  - {fold: blintz}\n  - {fold: rotate, by: 45}\n", $d / 2, $d / 2, 2];
        yield 'blintz behind' => ["  - {fold: blintz, as: mountain}\n  - {fold: rotate, by: 45}\n", $d / 2, $d / 2, 2];
        // Squashed: the flap of 50 becomes a triangle of 100 * 50, half of it over the square.
        yield 'squash' => [
            "  - {fold: valley, bring: edge top, to: edge bottom}\n"
                ."  - {fold: valley, bring: edge right, to: edge left, layers: all}\n"
                ."  - {fold: squash, bring: edge top, to: edge right}\n",
            100,
            50,
            4,
        ];
        // Pleat: 50 is left of the line, 25 of it lie over the right half, and the last 25 go back left: from x = 50 to
        // 75 twice, to 100.
        yield 'pleat' => [
            '  - {fold: pleat, along: line (middle of edge top) to (middle of edge bottom), back: line (1/4 from '
                .'(corner top-left) to (corner top-right)) to (1/4 from (corner bottom-left) to (corner '
                ."bottom-right)), move: middle of edge left}\n",
            50,
            100,
            3,
        ];
        // Cupboard: half as wide.
        yield 'cupboard' => [
            "  - {fold: cupboard, bring: edge left, to: line (middle of edge top) to (middle of edge bottom)}\n",
            50,
            100,
            2,
        ];
    }

    #[DataProvider('shapes')]
    public function testSizesAndLayers(string $steps, float $width, float $height, int $layers): void
    {
        $model = Folds::steps($steps);
        foreach ($model->steps as $step) {
            Folds::assertPaper($step->after, "step {$step->step->number}");
        }
        self::assertEqualsWithDelta($width, $model->end()->box()->width(), 1e-6);
        self::assertEqualsWithDelta($height, $model->end()->box()->height(), 1e-6);
        self::assertSame($layers, Anatomy::of($model->end())->mostLayers());
    }

    public function testABirdBaseShowsOneSideOnly(): void
    {
        // Folded with the front inside, so only the back is seen, from above and from below.
        $state = Folds::steps(
            self::PRELIMINARY.self::NARROW."  - {fold: repeat, steps: [narrow, petal], on: behind}\n",
        )->end();
        self::assertEqualsWithDelta(0.0, Anatomy::of($state)->frontShare(), 1e-9);
        self::assertEqualsWithDelta(0.0, Anatomy::of($state)->frontShare(false), 1e-9);
    }

    public function testAReversedTipLiesBetweenItsHalvesAndAHoodRoundThem(): void
    {
        // The tip (A on the left) is reflected about the crease. With the crease leaning left it goes up, between the
        // two layers; leaning right it goes below the folded edge, where only a hood can go.
        $inside = Folds::steps(
            self::TRIANGLE.
                '  - {fold: inside-reverse, along: line (1/4 from (corner left) to (corner right)) to (1/4 from '
                    ."(corner left) to (corner top)), move: corner left}\n",
        )->end();
        $outside = Folds::steps(
            self::TRIANGLE.
                '  - {fold: outside-reverse, along: line (1/4 from (corner left) to (corner right)) to (1/2 from '
                    ."(corner left) to (corner top)), move: corner left}\n",
        )->end();
        Folds::assertPaper($inside);
        Folds::assertPaper($outside);
        self::assertSame([false, true, true, false], self::tipAmong($inside), 'body, tip, tip, body');
        self::assertSame([true, false, false, true], self::tipAmong($outside), 'tip, body, body, tip');
    }

    /**
     * A right triangle with its long side below, left corner L at the height of the pivot P, L a quarter of that side
     * away. Folded in to straight up, the tip makes 90 degrees with PL; drawn out to 45 degrees above PL it keeps its
     * distance from P.
     */
    public function testAPointDrawnOutKeepsItsLengthAndTakesTheAngle(): void
    {
        $before = Folds::steps(self::PUSHED)->end();
        $after = Folds::steps(
            self::PUSHED.
            '  - {fold: draw-out, crease: neck, around: where crease neck meets edge bottom, to: corner '."left}\n",
        )->end();
        Folds::assertPaper($after);
        $tip = $before->sheet->at(0.0, 0.0);
        $lay = $before->positionOf($tip);
        $lies = $after->positionOf($tip);
        self::assertNotNull($lay);
        self::assertNotNull($lies);
        // The sheet of 100 mm stands on its corner: its diagonal, 141.42 mm, lies below; the pivot a quarter along it.
        $pivot = new Point(50 - 141.421 / 4, 50.0);
        self::assertEqualsWithDelta(141.421 / 4, $lay->distanceTo($pivot), 0.01);
        self::assertEqualsWithDelta(141.421 / 4, $lies->distanceTo($pivot), 0.01);
        self::assertEqualsWithDelta(90.0, rad2deg(atan2($lay->y - $pivot->y, $lay->x - $pivot->x)), 0.01);
        self::assertEqualsWithDelta(135.0, rad2deg(atan2($lies->y - $pivot->y, $lies->x - $pivot->x)), 0.01);
        self::assertSame([false, true, true, false], self::tipAmong($after), 'the tip is still between the layers');
    }

    public function testACrimpIsTheSameInFrontAndBehind(): void
    {
        $steps =
            "  - {fold: valley, bring: edge bottom, to: edge top}\n"
                .'  - {fold: crimp, along: line (middle of edge top) to (middle of edge bottom), back: line (1/3 from '
                .'(corner top-right) to (corner top-left)) to (1/3 from (corner bottom-right) to (corner '
                ."bottom-left)), move: corner top-right%s}\n";
        foreach (['', ', side: outside'] as $side) {
            $state = Folds::steps(sprintf($steps, $side))->end();
            Folds::assertPaper($state);
            // 50 stay, 16.67 go back, 33.33 come again: 50 - 16.67 + 33.33 = 66.67 wide. Six layers, mirrored about the
            // middle.
            self::assertEqualsWithDelta(200 / 3, $state->box()->width(), 1e-6);
            $stack = Stacks::facesAt($state, $state->box()->centre()->plus(new Point(10, 0)));
            self::assertCount(6, $stack);
            $fronts = array_map(static fn (int $f): bool => $state->frontUp[$f], $stack);
            self::assertSame($fronts, array_map(static fn (bool $up): bool => ! $up, array_reverse($fronts)));
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function refusals(): iterable
    {
        yield 'petal without folded edges' => [
            '  - {fold: petal, lift: corner bottom-left, hinge: line (middle of edge left) to (middle of edge '
                ."bottom)}\n",
            'must end on a folded edge',
        ];
        yield 'squash along itself' => [
            self::TRIANGLE."  - {fold: squash, bring: edge bottom, to: edge bottom}\n",
            'lie on one another',
        ];
        yield 'collapse that does not close' => [
            "  - {fold: collapse, valley: [line A to C, line (middle of edge left) to (middle of edge right)]}\n",
            'does not meet itself again',
        ];
        yield 'collapse about a corner on its mountain' => [
            '  - {fold: collapse, valley: [line (middle of edge left) to (middle of edge right), line (middle of edge '
                .'top) to (middle of edge bottom)], mountain: [line (corner top-left) to (corner bottom-right)], '
                ."stays: B}\n",
            'lies on a crease that is folded here',
        ];
        yield 'collapse of nothing' => ["  - {fold: collapse}\n", 'lists its creases'];
        yield 'hood that would pass through' => [
            self::TRIANGLE.
            '  - {fold: outside-reverse, along: line (1/4 from (corner left) to (corner right)) to (1/4 from (corner '
                ."left) to (corner top)), move: corner left}\n",
            'pass through paper',
        ];
        yield 'drawn further in' => [
            self::PUSHED.'  - {fold: draw-out, crease: neck, around: where crease neck meets edge bottom, to: corner '
                ."top}\n",
            'goes further in',
        ];
        yield 'drawn out where nothing is folded in' => [
            self::TRIANGLE."  - {fold: crease, bring: corner left, to: corner right, layers: all, name: middle}\n"
                ."  - {fold: draw-out, crease: middle, around: middle of edge bottom, to: corner left}\n",
            'Nothing is folded in at that crease',
        ];
        yield 'drawn out by a crease nobody made' => [
            self::TRIANGLE."  - {fold: draw-out, crease: neck, around: corner left, to: corner top}\n",
            'No earlier step makes a crease called "neck"',
        ];
        yield 'pleat lines in the wrong order' => [
            '  - {fold: pleat, along: line (1/4 from (corner top-left) to (corner top-right)) to (1/4 from (corner '
                .'bottom-left) to (corner bottom-right)), back: line (middle of edge top) to (middle of edge bottom), '
                ."move: middle of edge left}\n",
            'between the first one and the point',
        ];
        yield 'blintz of a triangle' => [self::TRIANGLE."  - {fold: blintz}\n", 'four corners'];
        yield 'tuck under too many' => [
            self::TRIANGLE."  - {fold: tuck, bring: corner left, to: corner top, layers: all, under: 9}\n",
            'it meets only',
        ];
        yield 'other side of itself' => [
            "  - {fold: crease, bring: edge top, to: edge bottom, also: other side}\n",
            'its own mirror image',
        ];
    }

    #[DataProvider('refusals')]
    public function testWhatStandsInTheWayIsSaid(string $steps, string $reason): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessageMatches('/'.preg_quote($reason, '/').'/');
        Folds::steps($steps);
    }

    public function testRandomCompoundFoldsStayPaper(): void
    {
        $done = 0;
        for ($seed = 1; $seed <= 90; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $steps = [
                self::TRIANGLE,
                self::PRELIMINARY,
                self::TRIANGLE."  - {fold: rotate, by: {$chance->getInt(1, 359)}}\n",
            ][$seed % 3];
            for ($i = 0; $i < 3; $i++) {
                $next = $steps.self::randomStep($chance);
                try {
                    $model = Folds::steps($next);
                } catch (BadSequence $e) {
                    self::assertNotNull($e->step);

                    continue;
                }
                $steps = $next;
                Folds::assertPaper($model->end(), "seed $seed: $next");
                $done++;
            }
        }
        self::assertGreaterThan(60, $done, 'many random folds are possible');
    }

    private static function randomStep(Randomizer $chance): string
    {
        $share = static fn (): string => $chance->getInt(1, 9).'/10';
        [$from, $to] = $chance->shuffleArray(['A', 'B', 'C', 'D', 'centre', 'paper 1/2 0', 'paper 1 1/2']);
        $line = "line ({$share()} from A to B) to ({$share()} from C to D)";
        $kind = $chance->getInt(0, 4);

        return match ($kind) {
            0 => "  - {fold: inside-reverse, along: $line, move: $from, layers: all}\n",
            1 => "  - {fold: outside-reverse, along: $line, move: $from, layers: all}\n",
            2 => "  - {fold: valley, along: $line, move: $from, layers: top}\n",
            3 => "  - {fold: swivel, lift: {$share()} from $from to $to, hinge: $line}\n",
            default => "  - {fold: pleat, along: $line, back: line ({$share()} from A to B) to ({$share()} from C to "
                ."D), move: $from, layers: all}\n",
        };
    }

    /**
     * @return list<bool> where most layers lie over one another, from the top down: does this layer belong to the tip?
     */
    private static function tipAmong(FoldedState $state): array
    {
        $holdsTip = static fn (int $face): bool => $state->pattern
            ->polygon($face)
            ->contains($state->sheet->at(0, 0), -1e-6);
        $best = [];
        foreach ($state->polygons as $face => $polygon) {
            foreach ($holdsTip($face) ? $state->polygons : [] as $other) {
                $common = $polygon->intersection($other);
                $stack = $common->area() > 1.0 ? Stacks::facesAt($state, $common->centroid()) : [];
                $best = count($stack) > count($best) ? $stack : $best;
            }
        }

        return array_map($holdsTip, $best);
    }
}
