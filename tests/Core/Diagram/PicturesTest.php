<?php

declare(strict_types=1);

namespace Tests\Core\Diagram;

use Cathedra\Core\Diagram\Halfway;
use Cathedra\Core\Diagram\PatternScene;
use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Cathedra\Core\Folding\Anatomy;
use Cathedra\Core\Folding\Edge;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

final class PicturesTest extends TestCase
{
    public function testFoldsOfSeveralCreasesHaveAHalfWaySketch(): void
    {
        foreach (['crane', 'dolphin', 'fan', 'seal', 'lily', 'square-box'] as $slug) {
            foreach (Folds::library($slug)->steps as $step) {
                $scene = Halfway::of($step);
                self::assertSame($step->step->kind->isCompound(), $scene !== null, "$slug step {$step->step->number}");
                if ($scene === null) {
                    continue;
                }
                [$left, $bottom, $width, $height] = $scene->frame;
                self::assertGreaterThan(0, min($width, $height));
                foreach ($scene->items as $item) {
                    foreach (Scene::pointsOf($item) as [$x, $y]) {
                        self::assertTrue(
                            $x > $left && $x < $left + $width && $y > $bottom && $y < $bottom + $height,
                            'inside its frame',
                        );
                    }
                }
                self::assertNotFalse(simplexml_load_string(SvgRenderer::draw($scene, 'x')));
            }
        }
    }

    public function testWhatStaysIsWhereItWasAndWhatMovesIsRaised(): void
    {
        // Squash of a flap: the paper below does not move, so its corner at the lower left is drawn where it lies.
        $model = Folds::steps(
            "  - {fold: valley, bring: edge top, to: edge bottom}\n"
                ."  - {fold: valley, bring: edge right, to: edge left, layers: all}\n"
                ."  - {fold: squash, bring: edge top, to: edge right}\n",
        );
        $scene = Halfway::of($model->steps[2]);
        self::assertNotNull($scene);
        $points = array_merge(
            ...array_map(
                static fn (array $i): array => $i['type'] === 'face' ? $i['face']['points'] : [],
                $scene->items,
            ),
        );
        self::assertContains(
            [0.0, 0.0],
            array_map(static fn (array $p): array => [round($p[0], 6) + 0.0, round($p[1], 6) + 0.0], $points),
        );
        // The folded corner of the flap goes from (0, 50) to (50, 0): half-way over (25, 25), raised by half of its
        // way.
        $way = hypot(50, 50) / 2;
        $raised = array_filter(
            $points,
            static fn (array $p): bool => hypot($p[0] - 25 - 0.25 * $way, $p[1] - 25 - 0.55 * $way) < 1e-6,
        );
        self::assertNotSame([], $raised);
    }

    public function testASmallActionIsShownLargerOnceMore(): void
    {
        $crane = Folds::library('crane')->steps;
        self::assertNotNull(SceneBuilder::closeUp($crane[15]), 'the head');
        self::assertNull(SceneBuilder::closeUp($crane[0]), 'a fold across the whole sheet');
        $near = SceneBuilder::closeUp($crane[15]);
        self::assertLessThan(SceneBuilder::before($crane[15])->frame[2], $near->frame[2] ?? INF);
    }

    public function testTheCreasePatternHasEveryCreaseOnce(): void
    {
        foreach (['crane', 'windmill', 'dragonfly'] as $slug) {
            $state = Folds::library($slug)->end();
            $scene = PatternScene::of($state);
            $folded = array_filter($state->pattern->edges, static fn (Edge $e): bool => $e->assignment->isFolded());
            self::assertCount(count($folded), $scene->folds);
            $valleys = array_filter($scene->folds, static fn (array $f): bool => $f['kind'] === 'valley');
            self::assertNotSame([], $valleys);
            self::assertLessThan(count($scene->folds), count($valleys));
        }
    }

    /** What is coloured before and after is coloured on the way: a neck that is reversed is never white. */
    public function testHalfWaySketchesShowTheSideThatIsSeen(): void
    {
        foreach ([['crane', 14], ['crane', 15], ['crane', 16], ['seal', 9]] as [$slug, $step]) {
            $folded = Folds::library($slug)->steps[$step - 1];
            self::assertSame([1.0, 1.0], [
                round(Anatomy::of($folded->before)->frontShare(), 2),
                round(Anatomy::of($folded->after)->frontShare(), 2),
            ], "$slug step $step is coloured all over before and after");
            $scene = Halfway::of($folded);
            $faces = array_filter($scene->items ?? [], static fn (array $item): bool => isset($item['face']));
            $last = array_slice(array_values($faces), -3);
            self::assertSame(
                ['front', 'front', 'front'],
                array_map(static fn (array $item): string => $item['face']['side'] ?? '', $last),
                "the uppermost faces of $slug step $step",
            );
        }
        $hen = Halfway::of(Folds::library('hen')->steps[3]);
        $sides = array_column(array_column($hen->items ?? [], 'face'), 'side');
        self::assertContains('back', $sides, 'and what ends white is white on the way');
    }

    public function testOpeningOutIsAPullToBothSides(): void
    {
        $box = Folds::library('square-box')->steps;
        $scene = SceneBuilder::before($box[count($box) - 1]);
        self::assertSame(['pull', 'pull'], array_column($scene->arrows, 'kind'));
        $middle = $scene->frame[0] + $scene->frame[2] / 2;
        self::assertLessThan($middle, $scene->arrows[0]['to'][0]);
        self::assertGreaterThan($middle, $scene->arrows[1]['to'][0]);
        $styles = array_count_values(array_column($scene->drawing()->marks(), 'style'));
        self::assertSame(2, $styles['ring'], 'a ring where each hand takes hold');
    }

    public function testEverySignCanBeDrawnAndCutsAreWhole(): void
    {
        foreach (['waterbomb', 'square-box', 'lily', 'fan', 'cat', 'dragonfly', 'drinking-cup', 'crane'] as $slug) {
            foreach (Folds::library($slug)->steps as $step) {
                $scene = SceneBuilder::before($step);
                $signs = array_filter($scene->drawing()->marks(), static fn (array $m): bool => $m['style'] === 'sign');
                self::assertCount(count($scene->signs), $signs, "$slug step {$step->step->number}");
            }
        }
        $cut = array_values(
            array_filter(
                SceneBuilder::before(Folds::library('dragonfly')->steps[13])->folds,
                static fn (array $f): bool => $f['kind'] === 'cut',
            ),
        );
        self::assertNotSame([], $cut, 'the cut is drawn');
    }
}
