<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Cathedra\Core\Folding\FoldDocument;
use Cathedra\Core\Wording\Checks;
use Cathedra\Core\Wording\Phrasebook;
use Cathedra\Core\Wording\StepText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;

/** Every model on the shelf, every step: paper by the independent judge, with a sentence, checks and a picture. */
final class LibraryTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (Folds::slugs() as $slug) {
            yield $slug => [$slug];
        }
    }

    #[DataProvider('models')]
    public function testEveryStepIsPaper(string $slug): void
    {
        $model = Folds::library($slug);
        Folds::assertPaper($model->start);
        foreach ($model->steps as $step) {
            Folds::assertPaper($step->after, "$slug step {$step->step->number}");
        }
    }

    #[DataProvider('models')]
    public function testEveryStepHasWordsAndPictures(string $slug): void
    {
        $words = self::words();
        foreach (Folds::library($slug)->steps as $step) {
            $text = StepText::of($step, $words);
            self::assertMatchesRegularExpression('/^[A-Z][^{}]+\.$/', $text->sentence);
            self::assertNotEmpty(Checks::of($step->after, $words));
            $svg = SvgRenderer::draw(SceneBuilder::before($step), $text->sentence);
            self::assertNotFalse(simplexml_load_string($svg), 'well-formed');
            $drawn = array_filter($step->actions, static fn ($a): bool => ! $a->behind && ($a->crease !== null || $a->change !== null));
            self::assertGreaterThanOrEqual(count($drawn), count(SceneBuilder::before($step)->folds));
        }
    }

    public function testModelsRiseInDifficulty(): void
    {
        $levels = array_map(static fn (string $s): int => Folds::library($s)->sequence->difficulty, ['dog-face', 'drinking-cup', 'helmet']);
        self::assertSame([1, 2, 3], $levels);
    }

    public function testTheCupHasItsKnownShape(): void
    {
        // Triangle with legs 1; the raw edge is laid on the hypotenuse, so the crease halves the 45 degrees and the spot is
        // tan(22.5 deg) = 0.414214 from the apex along the leg. The rim joins both spots: 0.414214 * sqrt(2) = 0.585786 wide,
        // and lies 0.585786 / sqrt(2) = 0.414214 above the base.
        $box = Folds::library('drinking-cup')->end()->box();
        self::assertEqualsWithDelta(0.414214 * 150, $box->height(), 1e-3);
        self::assertEqualsWithDelta(0.585786 * 150, $box->width(), 1e-3);
    }

    public function testSizesScaleWithTheSheet(): void
    {
        $small = Folds::library('helmet')->end()->box();
        $text = (string) file_get_contents(dirname(__DIR__, 3).'/library/models/helmet.yaml');
        $large = \Cathedra\Core\Sequence\Folder::fold(\Cathedra\Core\Sequence\Loader::load('helmet', $text), 450.0)->end()->box();
        self::assertEqualsWithDelta(3 * $small->width(), $large->width(), 1e-6);
    }

    public function testTheFoldDocumentHasTheAgreedForm(): void
    {
        $model = Folds::library('drinking-cup');
        $steps = array_map(static fn ($s): array => ['state' => $s->after, 'fold' => $s->step->kind->value, 'text' => 'x'], $model->steps);
        $document = FoldDocument::of('Drinking cup', $model->start, $steps);
        self::assertSame(1.2, $document['file_spec']);
        self::assertSame(['creasePattern'], $document['frame_classes']);
        self::assertCount(7, $document['file_frames']);
        foreach ($document['file_frames'] as $i => $frame) {
            self::assertSame(['foldedForm'], $frame['frame_classes']);
            self::assertSame($i + 1, $frame['cathedra:step']['number']);
            foreach (['vertices_coords', 'faces_vertices', 'edges_vertices', 'edges_assignment', 'edges_faces', 'faceOrders', 'cathedra:vertices_sheet', 'cathedra:sheet'] as $key) {
                self::assertArrayHasKey($key, $frame);
            }
            self::assertCount(count($frame['vertices_coords']), $frame['cathedra:vertices_sheet']);
        }
    }

    public function testSentencesSayWhatTheFolderSees(): void
    {
        $words = self::words();
        $cup = Folds::library('drinking-cup')->steps;
        self::assertSame(['Diagonal fold', 'Bring the bottom corner to the top corner.'], [StepText::of($cup[1], $words)->name, StepText::of($cup[1], $words)->sentence]);
        self::assertSame('Bring the right corner to a point on the left edge. Take all 2 layers together.', StepText::of($cup[3], $words)->sentence);
        self::assertContains('Two loose points at the top, which can be moved apart.', Checks::of($cup[1]->after, $words));
        self::assertContains('The bottom edge is closed, a fold.', Checks::of($cup[1]->after, $words));
    }

    private static function words(): Phrasebook
    {
        return new Phrasebook(Yaml::parseFile(dirname(__DIR__, 3).'/library/wording/en.yaml'));
    }
}
