<?php

declare(strict_types=1);

namespace Tests\Core\Diagram;

use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Diagram\Woven;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Whatever the order of painting, the picture shows at each place the side of the uppermost layer there. */
final class PaintedTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, string>}> */
    public static function models(): iterable
    {
        yield from Folds::everyWay();
    }

    /** @param  array<string, string>  $ways */
    #[DataProvider('models')]
    public function testEveryPlaceShowsItsUppermostLayer(string $slug, array $ways): void
    {
        $places = 0;
        foreach (Folds::library($slug, $ways)->steps as $step) {
            $places += $this->places($step->after, "$slug step {$step->step->number}");
        }
        self::assertGreaterThan(5, $places);
    }

    /** @return int how many places were looked at */
    private function places(FoldedState $state, string $where): int
    {
        // layers are fanned out by at most a fiftieth of the sheet, so places nearer to an edge prove nothing
        $margin = 0.03 * min($state->sheet->width, $state->sheet->height);
        $painted = array_filter(SceneBuilder::ofState($state)->items, static fn (array $i): bool => isset($i['face']));
        $looked = 0;
        foreach (Stacks::of($state)->cells as $cell) {
            $place = $cell['polygon']->centroid();
            if (! $cell['polygon']->contains($place, $margin)) {
                continue;
            }
            $looked++;
            $seen = null;
            foreach ($painted as $item) {
                $points = array_map(static fn (array $p): Point => new Point(...$p), $item['face']['points'] ?? []);
                $seen = Polygon::of($points)->contains($place) ? $item['face']['side'] ?? null : $seen;
            }
            self::assertSame($state->frontUp[$cell['faces'][0]] ? 'front' : 'back', $seen, $where);
        }

        return $looked;
    }

    public function testTheVanesOfAWindmillAreARingAndASheetFoldedTwiceIsNone(): void
    {
        self::assertTrue(Woven::is(Folds::library('windmill')->end()));
        $twice = Folds::steps(
            "  - {fold: valley, bring: edge left, to: edge right}\n"
                ."  - {fold: valley, bring: edge top, to: edge bottom, layers: all}\n",
        );
        self::assertFalse(Woven::is($twice->end()));
    }

    /** In a ring every piece of an edge that is drawn is one that can be seen. */
    public function testOnlyEdgesThatAreSeenAreDrawnInARing(): void
    {
        $state = Folds::library('windmill')->end();
        $lines = array_filter(Woven::items($state), static fn (array $item): bool => isset($item['line']));
        self::assertNotSame([], $lines);
        foreach ($lines as $item) {
            $from = new Point(...($item['line']['from'] ?? [0, 0]));
            $to = new Point(...($item['line']['to'] ?? [0, 0]));
            $aside = $to->minus($from)->unit()->turnedLeft()->times(0.01);
            $middle = $from->toward($to, 0.5);
            $top = [
                ...array_slice(Stacks::facesAt($state, $middle->plus($aside)), 0, 1),
                ...array_slice(Stacks::facesAt($state, $middle->minus($aside)), 0, 1),
            ];
            $on = array_filter(
                $top,
                static fn (int $face): bool => ! $state->polygons[$face]->contains($middle, 0.005),
            );
            self::assertNotSame([], $on, 'the middle lies on the rim of an uppermost face');
        }
    }
}
