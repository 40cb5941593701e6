<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Cathedra\Core\Folding\FoldDocument;
use Cathedra\Core\Folding\Sameness;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Sequence\Step;
use Cathedra\Core\Sequence\Ways\Passage;
use Cathedra\Core\Wording\Look;
use Cathedra\Core\Wording\Note;
use Cathedra\Core\Wording\StepText;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Every model on the shelf, every step: paper by the independent judge, with a sentence, checks and a picture. */
final class LibraryTest extends TestCase
{
    /**
     * @return iterable<string, array{string, array<string, string>}> every model by its usual way, and by each other
     *     way of each route
     */
    public static function models(): iterable
    {
        foreach (Folds::slugs() as $slug) {
            yield $slug => [$slug, []];
            foreach (Folds::library($slug)->sequence->passages as $passage) {
                foreach (array_slice(array_keys($passage->options), 1) as $way) {
                    yield "$slug, $passage->name by $way" => [$slug, [$passage->name => $way]];
                }
            }
        }
    }

    /** @param  array<string, string>  $choice */
    #[DataProvider('models')]
    public function testEveryStepIsPaper(string $slug, array $choice): void
    {
        $model = Folds::library($slug, $choice);
        Folds::assertPaper($model->start);
        foreach ($model->steps as $step) {
            Folds::assertPaper($step->after, "$slug step {$step->step->number}");
            if ($step->attached !== null) {
                Folds::assertPaper($step->attached->part, "$slug, attached part");
            }
        }
    }

    /** @param  array<string, string>  $choice */
    #[DataProvider('models')]
    public function testEveryStepHasWordsAndPictures(string $slug, array $choice): void
    {
        $words = Folds::words();
        foreach (Folds::library($slug, $choice)->steps as $step) {
            $text = StepText::of($step, $words);
            self::assertMatchesRegularExpression('/^[A-Z][^{}]+\.$/', $text->sentence);
            self::assertNotEmpty(Look::ofState($step->after, $words));
            $svg = SvgRenderer::draw(SceneBuilder::before($step), $text->sentence);
            self::assertNotFalse(simplexml_load_string($svg), 'well-formed');
            $drawn = array_filter(
                $step->actions,
                static fn ($a): bool => ! $a->behind && ($a->crease !== null || ($a->change->faces ?? []) !== []),
            );
            self::assertGreaterThanOrEqual(count($drawn), count(SceneBuilder::before($step)->folds));
        }
    }

    /** @param  array<string, string>  $choice */
    #[DataProvider('models')]
    public function testAllWaysOfARouteEndAlike(string $slug, array $choice): void
    {
        $other = Folds::library($slug, $choice);
        // The same choices, whose options may end differently, with the usual way of every route.
        $choices = array_filter($other->sequence->passages, static fn (Passage $passage): bool => ! $passage->alike);
        $usual = Folds::library($slug, array_map(static fn (Passage $passage): string => $passage->chosen, $choices));
        self::assertNull(Sameness::difference($usual->end(), $other->end()));
        foreach (array_diff_key($other->sequence->passages, $choices) as $name => $passage) {
            self::assertNull(
                Sameness::difference(
                    $usual->steps[$usual->sequence->passages[$name]->lastStep - 1]->after,
                    $other->steps[$passage->lastStep - 1]->after,
                ),
                "after $name",
            );
        }
    }

    /** @param  array<string, string>  $choice */
    #[DataProvider('models')]
    public function testWhatALeadNeedsIsThere(string $slug, array $choice): void
    {
        $sequence = Folds::library($slug, $choice)->sequence;
        foreach (['cautions', 'talk', 'decorate', 'display', 'resting', 'checkpoints', 'occasions'] as $kind) {
            self::assertNotSame([], $sequence->$kind, "$slug has no $kind");
        }
        self::assertSame([], Note::warnings($sequence, Folds::words()));
        $cuts = array_filter($sequence->steps, static fn (Step $s): bool => $s->kind === FoldKind::Cut);
        self::assertTrue(
            $cuts === [] || str_contains(implode(' ', $sequence->cautions), 'rules'),
            'scissors come with the caution that defers to the house\'s own rules',
        );
    }

    public function testTheLibraryUsesEveryFoldAndHasTheModelsALeadLooksFor(): void
    {
        $kinds = [];
        foreach (self::models() as [$slug, $choice]) {
            foreach (Folds::library($slug, $choice)->sequence->steps as $step) {
                $kinds[$step->kind->value] = true;
            }
        }
        self::assertSame(
            [],
            array_values(array_diff(array_column(FoldKind::cases(), 'value'), array_keys($kinds), ['unfold', 'stand'])),
        );
        self::assertGreaterThanOrEqual(24, count(Folds::slugs()));
    }

    public function testTwoWaysThatEndApartAreTold(): void
    {
        $half = Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n")->end();
        self::assertNull(
            Sameness::difference($half, Folds::steps("  - {fold: valley, bring: edge top, to: edge bottom}\n")->end()),
            'a square has no top of its own',
        );
        self::assertNotNull(
            Sameness::difference(
                $half,
                Folds::steps("  - {fold: valley, bring: corner bottom-left, to: corner top-right}\n")->end(),
            ),
        );
        self::assertNotNull(
            Sameness::difference(
                $half,
                Folds::steps("  - {fold: mountain, bring: edge right, to: edge left}\n")->end(),
            ),
            'the other side is inside',
        );
    }

    /**
     * @return iterable<string, array{string, array<string, float>}> sizes over the shorter side s, volume over its cube
     */
    public static function forms(): iterable
    {
        // Square box: floor and walls are quarters of the blintzed square of side s / sqrt 2: floor s sqrt 2 / 4, walls
        // half that.
        yield 'square box' => [
            'square-box',
            ['width' => 0.353553, 'depth' => 0.353553, 'height' => 0.176777, 'volume' => 0.353553 ** 2 * 0.176777],
        ];
        // Oblong box from s * s sqrt 2 (A sizes: 297 / 210 = 1.414286): w / 2 by h / 2 by h / 4. A4: 148.5 * 105 *
        // 52.5 mm.
        yield 'oblong box' => [
            'oblong-box',
            ['width' => 148.5 / 210, 'depth' => 0.5, 'height' => 0.25, 'volume' => (148.5 * 105 * 52.5) / 210 ** 3],
        ];
        // Pyramid, a corner of a cube of edge a = s / sqrt 2: height a / sqrt 3, volume a cubed / 6.
        yield 'pyramid' => [
            'pyramid',
            ['width' => 1.0, 'depth' => sqrt(3) / 2, 'height' => 1 / sqrt(6), 'volume' => M_SQRT1_2 ** 3 / 6],
        ];
        // Waterbomb: a cube of edge s / 4.
        yield 'waterbomb' => ['waterbomb', ['width' => 0.25, 'depth' => 0.25, 'height' => 0.25, 'volume' => 1 / 64]];
    }

    /** @param  array<string, float>  $shares */
    #[DataProvider('forms')]
    public function testFormsHaveTheirSizes(string $slug, array $shares): void
    {
        $measures = Folds::library($slug)->measures();
        foreach ($shares as $name => $share) {
            self::assertEqualsWithDelta($share, $measures[$name] / 150 ** ($name === 'volume' ? 3 : 1), 1e-5, $name);
        }
    }

    public function testModelsRiseInDifficulty(): void
    {
        $levels = array_map(static fn (string $s): int => Folds::library($s)->sequence->difficulty, [
            'dog-face',
            'drinking-cup',
            'helmet',
        ]);
        self::assertSame([1, 2, 3], $levels);
    }

    public function testTheCupHasItsKnownShape(): void
    {
        // Triangle with legs 1; the raw edge is laid on the hypotenuse, so the crease halves the 45 degrees and the
        // spot is tan(22.5 deg) = 0.414214 from the apex along the leg. The rim joins both spots: 0.414214 * sqrt(2) =
        // 0.585786 wide, and lies 0.585786 / sqrt(2) = 0.414214 above the base.
        $box = Folds::library('drinking-cup')->end()->box();
        self::assertEqualsWithDelta(0.414214 * 150, $box->height(), 1e-3);
        self::assertEqualsWithDelta(0.585786 * 150, $box->width(), 1e-3);
    }

    public function testSizesScaleWithTheSheet(): void
    {
        $small = Folds::library('helmet')->end()->box();
        $text = (string) file_get_contents(dirname(__DIR__, 3).'/library/models/helmet.yaml');
        $large = Folder::fold(Loader::load('helmet', $text), 450.0)
            ->end()
            ->box();
        self::assertEqualsWithDelta(3 * $small->width(), $large->width(), 1e-6);
    }

    public function testTheFoldDocumentHasTheAgreedForm(): void
    {
        $model = Folds::library('drinking-cup');
        $steps = array_map(
            static fn ($s): array => ['state' => $s->after, 'fold' => $s->step->kind->value, 'text' => 'x'],
            $model->steps,
        );
        $document = FoldDocument::of('Drinking cup', $model->start, $steps);
        self::assertSame(1.2, $document['file_spec']);
        self::assertSame(['creasePattern'], $document['frame_classes']);
        self::assertCount(7, $document['file_frames']);
        foreach ($document['file_frames'] as $i => $frame) {
            self::assertSame(['foldedForm'], $frame['frame_classes']);
            self::assertSame($i + 1, $frame['cathedra:step']['number']);
            foreach (
                [
                    'vertices_coords',
                    'faces_vertices',
                    'edges_vertices',
                    'edges_assignment',
                    'edges_faces',
                    'faceOrders',
                    'cathedra:vertices_sheet',
                    'cathedra:sheet',
                ] as $key
            ) {
                self::assertArrayHasKey($key, $frame);
            }
            self::assertCount(count($frame['vertices_coords']), $frame['cathedra:vertices_sheet']);
        }
    }

    public function testSentencesSayWhatTheFolderSees(): void
    {
        $words = Folds::words();
        $cup = Folds::library('drinking-cup')->steps;
        self::assertSame(
            ['Diagonal fold', 'Bring the near corner to the far corner.'],
            [StepText::of($cup[1], $words)->name, StepText::of($cup[1], $words)->sentence],
        );
        self::assertSame(
            'Bring the right corner to the end of the crease of step 3 on the left edge.',
            StepText::of($cup[3], $words)->sentence,
        );
        $box = Folds::library('oblong-box')->steps;
        self::assertStringStartsWith(
            'Bring the far edge to the near edge.',
            StepText::of($box[2], $words)->sentence,
            'though other edges end at its middle',
        );
        self::assertContains(
            'Two loose points at the far end, which can be moved apart.',
            Look::ofState($cup[1]->after, $words),
        );
        self::assertContains('It is a triangle.', Look::ofState($cup[1]->after, $words));
    }
}
