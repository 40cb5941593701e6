<?php

declare(strict_types=1);

namespace Tests\Core\Wording;

use Cathedra\Core\Insight\ModelInsight;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Wording\Look;
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
        yield 'petal' => ['crane', 10, 'Lift the top layer at the bottom corner and fold it back along the crease of '];
        yield 'repeat' => ['crane', 11, 'Do steps 8, 10 again behind.'];
        yield 'repeat one' => ['crane', 13, 'Do step 12 again behind.'];
        yield 'collapse' => ['crane', 6, 'Fold along all the marked creases at once'];
        yield 'rabbit ear' => ['fish', 5, 'Lay both edges beside the left corner on the middle line at once.'];
        yield 'blintz' => ['square-box', 2, 'Bring all four corners to the centre'];
        yield 'cut' => ['dragonfly', 14, 'Cut with scissors along'];
        yield 'attach' => ['tulip', 11, 'Tuck the stem in at'];
        yield 'inflate' => ['waterbomb', 13, 'Hold the loose points apart and blow'];
        yield 'squash' => ['lily', 8, 'Lift the top flap upright and open it. Bring its folded edge, the top right'];
        yield 'petal at a nameless point' => ['lily', 17, 'Lift the top layer at the dot and fold it back'];
        yield 'kite' => ['swan', 3, 'Bring the bottom left edge to the upright middle line.'];
        yield 'page' => ['lily', 11, 'Turn the flap at the dot over along the upright middle line, like the page'];
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

    private static function words(): Phrasebook
    {
        return new Phrasebook(Yaml::parseFile(dirname(__DIR__, 3).'/library/wording/en.yaml'));
    }
}
