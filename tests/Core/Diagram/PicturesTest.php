<?php

declare(strict_types=1);

namespace Tests\Core\Diagram;

use Cathedra\Core\Diagram\Halfway;
use Cathedra\Core\Diagram\PatternScene;
use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Cathedra\Core\Folding\Edge;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

final class PicturesTest extends TestCase
{
    public function testFoldsOfSeveralCreasesAreShownHalfWay(): void
    {
        $seen = 0;
        foreach (['dolphin', 'lily', 'square-box'] as $slug) {
            foreach (Folds::library($slug)->steps as $step) {
                $scene = Halfway::of($step);
                self::assertSame($step->step->kind->isCompound(), $scene !== null, "$slug step {$step->step->number}");
                if ($scene === null) {
                    continue;
                }
                $seen++;
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
        self::assertGreaterThan(4, $seen);
    }

    /**
     * Squash of a flap on a square of 100 mm: it lies in a square of 50, so tipped by 29 degrees flat paper is at most
     * 50 cos 29 = 43.73 high in the picture. Half-way the flap stands and reaches over that; the corner of the paper
     * below lies where it lay.
     */
    public function testHalfWayTheFlapOfASquashStandsUp(): void
    {
        $model = Folds::steps(
            "  - {fold: valley, bring: edge top, to: edge bottom}\n"
                ."  - {fold: valley, bring: edge right, to: edge left, layers: all}\n"
                ."  - {fold: squash, bring: edge top, to: edge right}\n",
        );
        $scene = Halfway::of($model->steps[2]);
        self::assertNotNull($scene);
        $points = array_merge(...array_map(Scene::pointsOf(...), $scene->items));
        $lowest = min(array_map(static fn (array $p): float => hypot($p[0], $p[1]), $points) ?: [99]);
        self::assertLessThan(0.5, $lowest, 'the corner below');
        self::assertGreaterThan(43.73 + 1, max(array_column($points, 1) ?: [0]));
    }

    public function testASimpleFoldIsNotShownHalfWay(): void
    {
        self::assertNull(Halfway::of(Folds::library('house')->steps[0]));
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
