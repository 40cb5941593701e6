<?php

declare(strict_types=1);

namespace Tests\Core\Diagram;

use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\SvgRenderer;
use Cathedra\Core\Folding\Reading\LayerDepth;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

final class SceneTest extends TestCase
{
    private const TWO = "  - {fold: valley, bring: edge right, to: edge left}\n"
        ."  - {fold: mountain, bring: edge top, to: edge bottom, layers: all}\n";

    public function testTheFoldLineIsDrawnWhereTheCreaseWillBe(): void
    {
        $model = Folds::steps(self::TWO);
        $first = SceneBuilder::before($model->steps[0]);
        self::assertSame('valley', $first->folds[0]['kind']);
        $ends = [$first->folds[0]['from'], $first->folds[0]['to']];
        sort($ends);
        self::assertEqualsWithDelta([[50.0, 0.0], [50.0, 100.0]], $ends, 1e-9, 'the middle of a sheet of 100 mm');
        self::assertSame('mountain', SceneBuilder::before($model->steps[1])->folds[0]['kind']);
        self::assertSame('behind', SceneBuilder::before($model->steps[1])->arrows[0]['kind']);
    }

    public function testPaintOrderPutsUpperLayersLast(): void
    {
        $state = Folds::steps(self::TWO)->end();
        $depth = LayerDepth::of($state);
        self::assertEqualsCanonicalizing([0, 1, 2, 3], $depth);
        $painted = array_values(
            array_filter(SceneBuilder::ofState($state)->items, static fn (array $i): bool => $i['type'] === 'face'),
        );
        self::assertSame(
            [3, 2, 1, 0],
            array_map(static fn (array $i): int => $i['type'] === 'face' ? $i['face']['depth'] : -1, $painted),
        );
        foreach ($state->order->pairs() as [$i, $j, $iAbove]) {
            self::assertSame($iAbove, $depth[$i] < $depth[$j]);
        }
    }

    public function testEverythingLiesInsideTheFrame(): void
    {
        foreach (Folds::slugs() as $slug) {
            foreach (Folds::library($slug)->steps as $step) {
                $scene = SceneBuilder::before($step);
                [$l, $b, $w, $h] = $scene->frame;
                $points = [
                    ...$scene->dots,
                    ...array_column($scene->folds, 'from'),
                    ...array_column($scene->folds, 'to'),
                    ...array_column($scene->arrows, 'to'),
                ];
                foreach ($scene->items as $item) {
                    $points = [...$points, ...Scene::pointsOf($item)];
                }
                foreach ($points as [$x, $y]) {
                    self::assertTrue(
                        $x >= $l && $x <= $l + $w && $y >= $b && $y <= $b + $h,
                        "$slug step {$step->step->number}",
                    );
                }
            }
        }
    }

    public function testSignsForHandling(): void
    {
        $model = Folds::steps(
            "  - {fold: turn-over}\n  - {fold: rotate, by: 90, way: counterclockwise}\n"
                ."  - {fold: valley, bring: edge right, to: edge left}\n  - {fold: unfold}\n",
        );
        self::assertSame(
            [['turn-over'], ['rotate-counterclockwise'], [], ['unfold']],
            array_map(static fn ($s): array => SceneBuilder::before($s)->signs, $model->steps),
        );
    }

    public function testSvgTellsMountainFromValleyByLineStyle(): void
    {
        $model = Folds::steps(self::TWO);
        $dashes = static function (int $step) use ($model): int {
            preg_match(
                '/stroke-dasharray="([^"]+)"/',
                SvgRenderer::draw(SceneBuilder::before($model->steps[$step]), 'x'),
                $m,
            );

            return count(explode(' ', $m[1] ?? ''));
        };
        self::assertSame([2, 6], [$dashes(0), $dashes(1)], 'dashed, and dash-dot-dot');
        self::assertStringContainsString(
            '<title>A &lt;b&gt; &amp; C</title>',
            SvgRenderer::draw(SceneBuilder::ofState($model->end()), 'A <b> & C'),
        );
    }

    public function testRepeatBehindIsASignNotALine(): void
    {
        $model = Folds::steps(
            "  - {fold: valley, bring: edge right, to: edge left}\n"
                .'  - {fold: valley, bring: corner top-left, to: 1/4 from corner top-left to corner bottom-right, '
                ."layers: top, also: behind}\n",
        );
        $scene = SceneBuilder::before($model->steps[1]);
        self::assertCount(1, $scene->folds);
        self::assertSame(['repeat-behind'], $scene->signs);
        Folds::assertPaper($model->end());
    }
}
