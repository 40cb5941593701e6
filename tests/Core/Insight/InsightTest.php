<?php

declare(strict_types=1);

namespace Tests\Core\Insight;

use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Folding\Reading\Pockets;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Insight\ModelInsight;
use Cathedra\Core\Insight\Narrowest;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Sequence\Run\FoldedModel;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

final class InsightTest extends TestCase
{
    public function testAFoldOfThePlainSheet(): void
    {
        // Half of the square moves in one layer about a crease as long as the sheet; both edges are in sight.
        $insight = self::of(Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n"))->steps[0];
        self::assertSame([1, 1, 0, 0], [$insight->layers, $insight->creases, $insight->hidden, $insight->byEye]);
        self::assertEqualsWithDelta(100.0, $insight->shortest, 1e-6);
        self::assertEqualsWithDelta(0.5, $insight->moved, 1e-9);
        self::assertEqualsWithDelta(0.5, $insight->score, 1e-9, 'nothing but the kind');
    }

    public function testTheFormula(): void
    {
        // Folded in half twice, then all four layers at the corner (100 of 4 * 25 mm): kind 0.5, four layers: 0.1 * 2,
        // a crease of 10 sqrt 2 = 14.14 mm on 100 mm is 21.21 on 150, below 25: 0.4 * log2(25 / 21.21) = 0.0948; the
        // corner is in sight, the place it goes to is bare: 0.3.
        $model = Folds::steps(
            "  - {fold: valley, bring: edge right, to: edge left}\n"
                ."  - {fold: valley, bring: edge top, to: edge bottom, layers: all}\n"
                .'  - {fold: valley, bring: corner bottom-left, to: 1/5 from (corner bottom-left) to (corner '
                ."top-right), layers: all}\n",
        );
        $insight = self::of($model)->steps[2];
        self::assertSame([4, 0, 1], [$insight->layers, $insight->hidden, $insight->byEye]);
        self::assertEqualsWithDelta(10 * M_SQRT2, $insight->shortest, 1e-6);
        self::assertEqualsWithDelta(0.5 + 0.2 + 0.4 * log(25 / 21.2132, 2) + 0.3, $insight->score, 1e-4);
    }

    public function testMoreNeverMakesItEasier(): void
    {
        $base = "  - {fold: valley, bring: edge right, to: edge left}\n";
        $one = self::of(
            Folds::steps(
                $base.
                    '  - {fold: valley, bring: corner top-left, to: 1/2 from (corner top-left) to (corner '
                        ."bottom-right), layers: top}\n",
            ),
        )->steps[1];
        $two = self::of(
            Folds::steps(
                $base.
                    "  - {fold: valley, bring: edge top, to: edge bottom, layers: all}\n"
                        .'  - {fold: valley, bring: corner bottom-left, to: 1/2 from (corner bottom-left) to (corner '
                        ."top-right), layers: all}\n",
            ),
        )->steps[2];
        self::assertGreaterThan($one->score, $two->score, 'more layers, shorter crease');
    }

    public function testGuidesAndMirrorImagesAreFound(): void
    {
        $crane = self::of(Folds::library('crane'));
        self::assertSame(
            [2, 4, 5],
            $crane->steps[5]->guides,
            'the collapse folds along the diagonal and both middle creases',
        );
        self::assertSame([8, 9], $crane->steps[9]->guides, 'the petal fold along its guides');
        self::assertSame(14, $crane->steps[14]->mirrors, 'the tail is the neck on the other side');
        self::assertNull($crane->steps[9]->mirrors);
    }

    public function testTheFirstStepCountsToo(): void
    {
        $guided = self::of(
            Folds::steps(
                "  - {fold: crease, bring: edge right, to: edge left}\n"
                    ."  - {fold: valley, bring: edge right, to: edge left}\n",
            ),
        );
        self::assertSame([[], [1]], array_column($guided->steps, 'guides'), 'folded along the crease of step 1');
        $both = self::of(
            Folds::steps(
                "  - {fold: valley, bring: corner top-left, to: centre}\n"
                    ."  - {fold: valley, bring: corner top-right, to: centre}\n",
            ),
        );
        self::assertSame([null, 1], array_column($both->steps, 'mirrors'), 'the other side of step 1');
    }

    public function testScissorsAreNamedWhereSomethingIsCutAndNowhereElse(): void
    {
        foreach (Folds::slugs() as $slug) {
            $cuts = str_contains(
                (string) file_get_contents(__DIR__."/../../../library/models/$slug.yaml"),
                'fold: cut',
            );
            self::assertSame($cuts, self::of(Folds::library($slug))->scissors, $slug);
        }
    }

    /**
     * Landmarks out of sight by the usual ways. Of 57 others, of which one face lies under paper, another face or a
     * stretch beside the place lies on top.
     */
    public function testALandmarkIsHiddenOnlyWhereNothingOfItIsSeen(): void
    {
        $hidden = [];
        foreach (Folds::slugs() as $slug) {
            foreach (self::of(Folds::library($slug))->steps as $i => $of) {
                $of->hidden === 0 || $hidden[] = "$slug ".Folds::library($slug)->steps[$i]->step->number;
            }
        }
        self::assertSame(['butterfly 8', 'picture-frame 5', 'picture-frame 6', 'square-pyramid 7'], $hidden);
    }

    public function testTheHardMomentOfTheCraneIsFound(): void
    {
        $crane = self::of(Folds::library('crane'));
        self::assertContains(10, $crane->hard, 'the petal fold');
        self::assertNotContains(3, $crane->hard);
        self::assertContains('petal', $crane->teaches);
        self::assertContains('squash', $crane->needs, 'what a petal fold builds on and the crane does not teach');
        self::assertSame(1, self::of(Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n"))->level);
    }

    public function testEveryModelHasAHardestMoment(): void
    {
        foreach (Folds::slugs() as $slug) {
            $insight = self::of(Folds::library($slug));
            self::assertNotSame([], $insight->hard, $slug);
            foreach ($insight->hard as $number) {
                self::assertFalse(
                    Folds::library($slug)->sequence->steps[$number - 1]->kind->isForm(),
                    'a hard moment is something one folds',
                );
            }
            self::assertSame(max([0, ...array_column($insight->steps, 'level')]), $insight->level);
        }
    }

    public function testPocketsOpenWhereAFingerGoesIn(): void
    {
        $mouths = static fn (FoldedModel $m): array => Pockets::of($m->end(), Stacks::of($m->end()));
        self::assertSame(
            [Direction::Top],
            $mouths(Folds::library('drinking-cup')),
            'a cup holds water because it opens at the top only',
        );
        self::assertSame(
            [],
            $mouths(Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n")),
            'a folded sheet is open on three sides',
        );
        // Folded to a triangle and the right point laid over both layers: front and back are closed below and on the
        // right.
        $cone = Folds::steps(
            "  - {fold: rotate, by: 45}\n  - {fold: valley, bring: corner bottom, to: corner top}\n"
                .'  - {fold: valley, along: line (1/2 from (corner left) to (corner right)) to (1/3 from (corner top) '
                ."to (corner right)), move: corner right, layers: all}\n"
                .'  - {fold: valley, along: line (1/3 from (corner left) to (paper 1/2 1/2)) to (1/2 from (corner '
                ."left) to (corner top)), move: corner left, layers: all}\n",
        );
        self::assertContains(Direction::Top, $mouths($cone));
        // A triangle whose point is folded down: open at both slanted sides, closed by folds at the top between them.
        self::assertSame([null], $mouths(Folds::steps(
            "  - {fold: rotate, by: 45}\n  - {fold: valley, bring: corner bottom, to: corner top}\n"
                ."  - {fold: valley, bring: corner top, to: 9/10 from (corner top) to (paper 1/2 1/2), layers: all}\n",
        )));
    }

    public function testTheNarrowestPoint(): void
    {
        // A tenth of 100 mm behind a tip of 45 degrees: 2 * 10 * tan 22.5 = 8.28 mm. A square has no sharp point.
        $triangle = Folds::steps("  - {fold: valley, bring: corner bottom-left, to: corner top-right}\n")->end();
        self::assertEqualsWithDelta(20 * tan(M_PI / 8), Narrowest::flap($triangle), 1e-6);
        self::assertNull(Narrowest::flap(Folds::steps("  - {fold: rotate, by: 45}\n")->end()));
    }

    public function testWhereNothingBendsThereAreNoCreasesAndNoLayers(): void
    {
        $turned = self::of(
            Folds::steps("  - {fold: turn-over}\n  - {fold: valley, bring: edge left, to: edge right}\n"),
        );
        $first = $turned->steps[0];

        self::assertSame([0, 0, null], [$first->creases, $first->layers, $first->shortest]);
        self::assertSame([1, 1], [$turned->steps[1]->creases, $turned->steps[1]->layers]);
    }

    private static function of(FoldedModel $model): ModelInsight
    {
        $weights = [
            'valley' => 0.5,
            'crease' => 0.5,
            'petal' => 2.2,
            'squash' => 1.7,
            'collapse' => 1.6,
            'inside-reverse' => 1.8,
            'turn-over' => 0.1,
            'rotate' => 0.1,
            'repeat' => 0.3,
        ];
        $folds = array_map(static fn (float $w): array => ['hands' => 1, 'factor' => 1, 'weight' => $w], $weights);
        $folds['petal']['builds_on'] = ['squash'];
        $scale = Difficulty::fromArray([
            'creases' => 0.1,
            'layers' => 0.1,
            'smallness' => 0.4,
            'small_mm' => 25.0,
            'hidden' => 0.5,
            'by_eye' => 0.3,
            'levels' => [0.7, 1.4, 2.0, 2.6],
            'hard_from' => 4,
            'source' => 'for a test',
        ], FoldTable::fromArray([
            'folds' => $folds,
            'seconds' => ['step' => 8, 'each' => 16, 'show_step' => 6, 'show_each' => 9],
            'source' => 'for a test',
        ]));

        return ModelInsight::of($model, $scale);
    }
}
