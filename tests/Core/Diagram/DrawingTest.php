<?php

declare(strict_types=1);

namespace Tests\Core\Diagram;

use Cathedra\Core\Diagram\Drawing;
use Cathedra\Core\Diagram\PatternScene;
use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\Sign;
use Cathedra\Core\Diagram\SvgRenderer;
use Cathedra\Core\Sequence\Landmark\Nameable;
use Cathedra\Core\Sequence\Run\Folder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/**
 * Scenes become strokes in one box; what the printers need is all there.
 *
 * @phpstan-import-type SceneArrow from Scene
 */
final class DrawingTest extends TestCase
{
    private const STYLES = __DIR__.'/../../../core/Diagram/styles.json';

    public function testMillimetresBecomeUnitsOfABoxWithYDown(): void
    {
        // 200 mm wide are 100 units: half a unit a mm. The frame's top is at y = 40, so y = 30 is 5 units down.
        $scene = new Scene(frame: [-50, -60, 200, 100], items: [
            ['type' => 'face', 'face' => [
                'points' => [[-50, -60], [0, -60], [0, 30]],
                'side' => 'back',
                'moving' => false,
                'depth' => 0,
            ]],
            ['type' => 'line', 'line' => ['kind' => 'raw', 'from' => [0, -60], 'to' => [0, 30]]],
            ['type' => 'line', 'line' => ['kind' => 'raw', 'from' => [0, 30], 'to' => [-50, -60]]],
            // 20 units long: 2 units short of each end, which is under three tenths
            ['type' => 'line', 'line' => ['kind' => 'crease', 'from' => [0, 0], 'to' => [40, 0]]],
            // 2 units long: three tenths are 0.6
            ['type' => 'line', 'line' => ['kind' => 'crease', 'from' => [0, 10], 'to' => [4, 10]]],
        ], folds: [], arrows: [], dots: [], signs: []);

        self::assertSame(
            [
                'width' => 100.0,
                'height' => 50.0,
                'marks' => [
                    ['style' => 'back', 'path' => 'M0 50L25 50L25 5Z'],
                    ['style' => 'raw', 'path' => 'M25 50L25 5M25 5L0 50'],
                    ['style' => 'crease', 'path' => 'M27 20L43 20M25.6 15L26.4 15'],
                ],
            ],
            $scene->drawing()->toArray(),
        );
    }

    public function testArrowheadsPointTheWayTheArrowComes(): void
    {
        // From the right along the level: the head is 4 units long and 3.6 wide at its back.
        $at = ['from' => [80.0, 50.0], 'bend' => [60.0, 50.0], 'to' => [20.0, 50.0]];

        self::assertSame([
            ['style' => 'arrow', 'path' => 'M80 50Q60 50 20 50'],
            ['style' => 'head', 'path' => 'M20 50L24 48.2L24 51.8Z'],
        ], self::marksOf(['kind' => 'fold'] + $at));
        foreach (
            [
                'behind' => ['arrow', 'hollow-head'],
                'push' => ['arrow', 'hollow-head'],
                'fold-unfold' => ['arrow', 'head', 'head'],
                'pull' => ['arrow', 'head', 'ring'],
            ] as $kind => $styles
        ) {
            self::assertSame($styles, array_column(self::marksOf(['kind' => $kind] + $at), 'style'), $kind);
        }
    }

    /**
     * @param  SceneArrow  $arrow
     * @return list<array{style: string, path: string}>
     */
    private static function marksOf(array $arrow): array
    {
        return (new Scene(
            frame: [0, 0, 100, 100],
            items: [],
            folds: [],
            arrows: [$arrow],
            dots: [],
            signs: [],
        ))->drawing()->marks();
    }

    /** @return iterable<string, array{string}> */
    public static function signs(): iterable
    {
        $file = (string) file_get_contents(__DIR__.'/../../../core/Diagram/signs.json');
        foreach (array_keys((array) json_decode($file, true)) as $name) {
            yield $name => [(string) $name];
        }
    }

    #[DataProvider('signs')]
    public function testASignPlacedElsewhereIsTheSameSignThere(string $name): void
    {
        $here = implode(' ', Sign::drawn($name, [0, 0], 1));
        $there = implode(' ', Sign::drawn($name, [30, 60], 2));
        $same = implode(' ', Sign::drawn($name, [0, 0], 1));
        $letters = static fn (string $path): string => (string) preg_replace('/[^A-Z]/', '', $path);

        self::assertSame($here, $same);
        self::assertNotSame($here, $there);
        self::assertSame($letters($here), $letters($there));
        preg_match_all('/[MLQCS]([-\d.]+) ([-\d.]+)/', $here, $before, PREG_SET_ORDER);
        preg_match_all('/[MLQCS]([-\d.]+) ([-\d.]+)/', $there, $after, PREG_SET_ORDER);
        self::assertNotSame([], $before);
        foreach ($before as $i => [, $x, $y]) {
            self::assertEqualsWithDelta([30 + 2 * (float) $x, 60 + 2 * (float) $y], [
                (float) $after[$i][1],
                (float) $after[$i][2],
            ], 0.01);
        }
    }

    public function testTheTurnsAndFlagsOfAnArcAreNotScaled(): void
    {
        // "M-5 2 A5 5 0 1 1 4 3" twice as large at (10, 10)
        self::assertSame('M0 14A10 10 0 1 1 18 16', Sign::drawn('rotate-clockwise', [10, 10], 2)[0]);
    }

    /** Every picture of the library has only known styles, lies in its box and prints each mark once. */
    public function testEveryPictureOfTheLibraryCanBePrinted(): void
    {
        $styles = (array) json_decode((string) file_get_contents(self::STYLES), true);
        $used = [];
        foreach (['crane', 'cat', 'square-box', 'dragonfly', 'fan', 'envelope', 'tulip', 'dove'] as $slug) {
            $model = Folds::library($slug);
            $numbered = Nameable::all(Folder::settingBefore($model->sequence, 2));
            $scenes = [
                PatternScene::of($model->end()),
                SceneBuilder::ofModel($model),
                SceneBuilder::ofModel(Folds::library('butterfly')),
                SceneBuilder::ofModel(Folds::library('catamaran')),
                SceneBuilder::ofModel(Folds::library('crane', ['body' => 'opened'])),
                SceneBuilder::labelled($model->steps[1]->before, $numbered),
            ];
            foreach ($model->steps as $step) {
                array_push(
                    $scenes,
                    SceneBuilder::before($step),
                    SceneBuilder::before($step, true),
                    SceneBuilder::after($step),
                );
            }
            foreach ($scenes as $scene) {
                $drawing = $scene->drawing();
                self::assertEqualsWithDelta(Drawing::BOX, max($drawing->width, $drawing->height), 1e-9);
                $strokes = 0;
                foreach ($drawing->marks() as $mark) {
                    self::assertArrayHasKey($mark['style'], $styles);
                    self::assertMatchesRegularExpression('/^M[-\d. MLQCSHVAaZ]+$/', $mark['path']);
                    $used[$mark['style']] = true;
                    $style = $styles[$mark['style']];
                    $strokes += count($style['passes']) + (isset($style['fill']) ? 1 : 0);
                    preg_match_all('/[ML]([-\d.]+) ([-\d.]+)/', $mark['path'], $places, PREG_SET_ORDER);
                    foreach ($places as [, $x, $y]) {
                        self::assertGreaterThanOrEqual(-1, min((float) $x, (float) $y), $mark['path']);
                        self::assertLessThanOrEqual($drawing->width + 1, (float) $x, "$slug {$mark['path']}");
                        self::assertLessThanOrEqual($drawing->height + 1, (float) $y, "$slug {$mark['path']}");
                    }
                }
                self::assertSame($strokes, substr_count(SvgRenderer::draw($scene, 'x'), '<path '));
            }
        }
        self::assertSame([], array_diff(array_keys($styles), array_keys($used)), 'every style is used somewhere');
    }
}
