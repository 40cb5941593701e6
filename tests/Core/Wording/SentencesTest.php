<?php

declare(strict_types=1);

namespace Tests\Core\Wording;

use Cathedra\Core\Insight\ModelInsight;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Wording\Directions;
use Cathedra\Core\Wording\FoldNames;
use Cathedra\Core\Wording\Look;
use Cathedra\Core\Wording\Manner;
use Cathedra\Core\Wording\Phrasebook;
use Cathedra\Core\Wording\Reasons;
use Cathedra\Core\Wording\StepText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;

/** Sentences are made from structure and geometry; these are read by a person. */
final class SentencesTest extends TestCase
{
    /** @return iterable<string, array{string, int, non-empty-string}> model, step, how the sentence begins */
    public static function sentences(): iterable
    {
        yield 'petal' => ['crane', 10, 'Lift the top layer at the bottom corner; fold it back along the crease of '];
        yield 'repeat' => ['crane', 11, 'Do steps 8, 10 again behind.'];
        yield 'repeat one' => ['crane', 13, 'Do step 12 again behind.'];
        yield 'collapse' => ['crane', 6, 'Fold along all the marked creases at once'];
        yield 'rabbit ear' => ['dolphin', 5, 'Lay both edges beside the left corner on the middle line at once.'];
        yield 'blintz' => ['square-box', 2, 'Bring all four corners to the centre'];
        yield 'cut' => ['dragonfly', 14, 'Cut with scissors along'];
        yield 'attach' => ['tulip', 11, 'Tuck the stem in at'];
        yield 'inflate' => ['waterbomb', 13, 'Hold the loose points apart and blow'];
        yield 'squash' => ['lily', 8, 'Lift the top flap upright and open it. Bring its folded edge, the top right'];
        yield 'petal at a nameless point' => ['lily', 17, 'Lift the top layer at the dot; fold it back along the'];
        yield 'between ends' => ['crane', 9, 'Fold the top corner down along the line between the crease ends of'];
        yield 'kite' => ['swan', 3, 'Bring the bottom left edge to the upright middle line.'];
        yield 'page' => ['lily', 11, 'Turn the flap at the dot over along the upright middle line, like the page'];
        yield 'one of two creases of a step' => ['fan', 3, 'Bring the left edge to the left crease of step 2.'];
        yield 'both lines of a pleat' => [
            'fan',
            7,
            'Fold the left edge over along the crease of step 6, then back again along the right crease of',
        ];
        yield 'a cut through one layer' => ['pyramid', 3, 'Cut with scissors along the crease of step 2, as far'];
        yield 'half round' => ['lily', 27, 'Turn the paper half round.'];
        yield 'on what lies here now' => ['lily', 22, 'Do steps 16, 17 again on the flap that lies here now.'];
        yield 'tuck behind' => ['bookmark', 5, 'Fold the bottom corner behind along the dashed line and push it'];
    }

    /** @param  non-empty-string  $begins */
    #[DataProvider('sentences')]
    public function testASentence(string $slug, int $step, string $begins): void
    {
        self::assertStringStartsWith(
            $begins,
            StepText::of(Folds::library($slug)->steps[$step - 1], self::words())->sentence,
        );
    }

    /**
     * Model, step, ways, and the layers that its sentence counts: those that lie along most of the edge taken.
     *
     * @return iterable<string, array{string, int, array<string, string>, string}>
     */
    public static function countedLayers(): iterable
    {
        yield 'the leg of a crane' => ['crane', 12, [], 'Take the top two layers together.'];
        yield 'of a dragonfly' => ['dragonfly', 12, [], 'Take the top two layers together.'];
        yield 'rolled' => ['dragonfly-rolled', 11, [], 'Take the top two layers together.'];
        yield 'the lily has one flap a side' => ['lily', 16, [], 'Take the top layer only.'];
        yield 'the square base has a pair' => ['crane', 8, [], 'Take the top two layers together.'];
    }

    /** @param  array<string, string>  $ways */
    #[DataProvider('countedLayers')]
    public function testLayersAreCountedAlongWhatMoves(string $slug, int $step, array $ways, string $counted): void
    {
        $model = Folds::library($slug, $ways);
        self::assertStringContainsString($counted, StepText::of($model->steps[$step - 1], self::words())->sentence);
    }

    public function testAFingersWidthIsSaidWithItsTolerance(): void
    {
        $step = Folds::steps("  - {fold: valley, strip: edge top, wide: 15 mm}\n")->steps[0];
        self::assertStringContainsString(
            'about a finger wide (15 mm, give or take a third)',
            StepText::of($step, self::words())->sentence,
        );
    }

    public function testTheOppositeSideIsSaid(): void
    {
        $step = Folds::steps(
            '  - {fold: crease, bring: edge top, to: line (middle of edge left) to (middle of edge right), also: '
                ."opposite side}\n",
        )->steps[0];
        self::assertStringEndsWith('Do the same with the bottom edge.', StepText::of($step, self::words())->sentence);
    }

    public function testTheCupOpensAtTheTop(): void
    {
        self::assertContains(
            'A pocket opens at the top.',
            Look::ofState(Folds::library('drinking-cup')->end(), self::words()),
        );
        self::assertContains(
            'It is a square standing on its corner.',
            Look::ofState(Folds::library('crane')->steps[6]->after, self::words()),
        );
    }

    /** @return iterable<string, array{string, int, string}> model, step, what is seen first */
    public static function creases(): iterable
    {
        yield 'corner to corner' => ['crane', 1, 'The crease runs from the near right corner to the far left corner.'];
        yield 'crossing another' => ['crane', 2, 'The creases make an X.'];
        yield 'two that meet' => ['crane', 8, 'Two creases meet at the near corner.'];
        yield 'two side by side' => ['fan', 2, 'Two creases run side by side.'];
        yield 'one beside an edge' => ['fan', 3, 'The crease runs beside the left edge.'];
    }

    #[DataProvider('creases')]
    public function testAfterACreaseTheCreaseIsWhatIsSeen(string $slug, int $step, string $first): void
    {
        self::assertSame($first, Look::of(Folds::library($slug), $step - 1, Folds::words())[0]);
    }

    public function testReasonsNameNumbers(): void
    {
        $library = dirname(__DIR__, 3).'/library';
        $folds = FoldTable::fromArray((array) Yaml::parseFile("$library/folds.yaml"));
        $scale = Difficulty::fromArray((array) Yaml::parseFile("$library/difficulty.yaml"), $folds);
        $crane = ModelInsight::of(Folds::library('crane'), $scale);
        $of = static fn (int $step): string => implode(
            ' ',
            Reasons::of($crane->steps[$step - 1], $scale, 150.0, self::words()),
        );
        self::assertStringContainsString('Three creases bend at once.', $of(10));
        self::assertStringContainsString('The creases of steps 8, 9 lead the paper.', $of(10));
        self::assertStringContainsString('Eight layers lie under the crease.', $of(14));
        self::assertStringContainsString('It is step 14 with left and right exchanged.', $of(15));
        self::assertSame('', $of(1));
    }

    /** @return iterable<string, array{string, int, string, string}> model, step, for the folder, as on a wall */
    public static function directions(): iterable
    {
        yield 'corner to corner' => [
            'drinking-cup',
            2,
            'Bring the near corner to the far corner.',
            'Bring the bottom corner to the top corner.',
        ];
        yield 'the way' => [
            'crane',
            9,
            'Fold the far corner toward you along the',
            'Fold the top corner down along the',
        ];
        yield 'the middle' => [
            'swan',
            3,
            'Bring the near left edge to the middle line that points at you.',
            'Bring the bottom left edge to the upright middle line.',
        ];
    }

    #[DataProvider('directions')]
    public function testDirectionsAreThoseOfTheFolderOrOfTheWall(
        string $slug,
        int $step,
        string $folder,
        string $wall,
    ): void {
        $step = Folds::library($slug)->steps[$step - 1];
        self::assertStringContainsString($folder, StepText::of($step, Folds::words())->sentence);
        self::assertStringContainsString($wall, StepText::of($step, self::words())->sentence);
    }

    public function testNoWordOfOneMannerStandsInTheOther(): void
    {
        $said = static function (string $slug, Phrasebook $words): string {
            $model = Folds::library($slug);
            $texts = [];
            foreach ($model->steps as $i => $step) {
                array_push($texts, StepText::of($step, $words)->sentence, ...Look::of($model, $i, $words));
            }

            return implode("\n", $texts);
        };
        foreach (Folds::slugs() as $slug) {
            self::assertDoesNotMatchRegularExpression(
                '/ (top|bottom|upright) (edge|corner|left|right|middle)/',
                $said($slug, Folds::words()),
            );
            self::assertDoesNotMatchRegularExpression(
                '/ (near|far) (edge|corner|left|right|end)| (toward|from|at) you/',
                $said($slug, self::words()),
            );
        }
    }

    public function testFoldsAreCalledByTermByLikenessOrByBoth(): void
    {
        $petal = Folds::library('crane')->steps[9];
        $name = static fn (FoldNames $names): string => StepText::of(
            $petal,
            Folds::words(new Manner(names: $names)),
        )->name;
        self::assertSame('Petal fold', $name(FoldNames::Term));
        self::assertSame('Lifted petal', $name(FoldNames::Likeness));
        self::assertSame('Petal fold (Lifted petal)', $name(FoldNames::Both));
        self::assertSame('Kite fold', Folds::words(new Manner(names: FoldNames::Both))->foldName('kite'), 'it has one');
    }

    /** As on a wall, which says top and bottom. */
    private static function words(): Phrasebook
    {
        return Folds::words(new Manner(Directions::Wall));
    }
}
