<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use Cathedra\Core\Diagram\Scene;
use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Space\Mesh\Split;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Folds;

/** Pictures of paper in space: what is nearer is painted later, also where paper must be cut for it. */
final class SplitTest extends TestCase
{
    /** Random triangles, also through one another: at any place the last one painted is the highest there. */
    public function testTheHighestIsPaintedLast(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        $number = static fn (): float => $chance->getInt(-1000, 1000) / 10;
        for ($round = 0; $round < 60; $round++) {
            $tiles = [];
            for ($i = 0; $i < 7; $i++) {
                $corners = [[$number(), $number(), $number()], [$number(), $number(), $number()],
                    [$number(), $number(), $number()]];
                $tiles[] = [
                    'corners' => $corners,
                    'lines' => ['raw', null, 'folded'],
                    'side' => 'front',
                    'light' => $i / 10,
                ];
            }
            $painted = Split::painted($tiles);
            for ($k = 0; $k < 25; $k++) {
                [$x, $y] = [$number(), $number()];
                $high = array_filter(array_map(static fn (array $t): ?float => self::heightAt($t, $x, $y), $tiles));
                arsort($high);
                $heights = array_values($high);
                if (count($heights) < 2 || $heights[0] - $heights[1] < 0.5) {
                    continue; // too near to one another to say
                }
                $last = null;
                foreach ($painted as $tile) {
                    $last = self::heightAt($tile, $x, $y) === null ? $last : $tile;
                }
                self::assertNotNull($last);
                self::assertSame($tiles[(int) array_key_first($high)]['light'], $last['light']);
            }
        }
    }

    /** A cut makes no line: along it the paper is whole. */
    public function testACutIsNotDrawn(): void
    {
        $one = ['corners' => [[0.0, 0.0, 0.0], [90.0, 0.0, 0.0], [0.0, 90.0, 0.0]]];
        $other = ['corners' => [[20.0, 10.0, -30.0], [22.0, 60.0, 30.0], [24.0, 10.0, 30.0]]];
        $with = ['lines' => ['raw', 'raw', 'raw'], 'side' => 'front', 'light' => 1.0];
        $painted = Split::painted([$one + $with, $other + $with]);
        self::assertGreaterThan(2, count($painted));
        $drawn = 0.0;
        foreach ($painted as $tile) {
            foreach ($tile['lines'] as $i => $kind) {
                [$p, $q] = [$tile['corners'][$i], $tile['corners'][($i + 1) % count($tile['corners'])]];
                $drawn += $kind === null
                    ? 0.0
                    : sqrt(($p[0] - $q[0]) ** 2 + ($p[1] - $q[1]) ** 2 + ($p[2] - $q[2]) ** 2);
            }
        }
        $around = static fn (array $c): float => array_sum(array_map(
            static fn (int $i): float => sqrt(array_sum(array_map(
                static fn (float $u, float $v): float => ($u - $v) ** 2,
                $c[$i],
                $c[($i + 1) % 3],
            ))),
            [0, 1, 2],
        ));
        self::assertEqualsWithDelta($around($one['corners']) + $around($other['corners']), $drawn, 1e-6);
    }

    /** What lists show of a model that ends in space is the form: shaded tiles, inside its frame, the lot seen. */
    public function testTheShelfShowsTheForm(): void
    {
        $opened = ['crane' => ['body' => 'opened'], 'butterfly' => [], 'catamaran' => [], 'fan' => []];
        foreach ($opened as $slug => $ways) {
            $scene = SceneBuilder::ofModel(Folds::library($slug, $ways));
            $kinds = array_count_values(array_column($scene->items, 'type'));
            self::assertGreaterThan(5, $kinds['tile'] ?? 0, $slug);
            self::assertArrayNotHasKey('face', $kinds, $slug);
            [$l, $b, $w, $h] = $scene->frame;
            foreach ($scene->items as $item) {
                foreach (Scene::pointsOf($item) as [$x, $y]) {
                    self::assertTrue($x > $l && $x < $l + $w && $y > $b && $y < $b + $h, $slug);
                }
            }
            self::assertNotSame([], $scene->drawing()->marks());
        }
        self::assertArrayHasKey('face', array_flip(array_column(
            SceneBuilder::ofModel(Folds::library('crane'))->items,
            'type',
        )), 'a flat end stays flat');
    }

    /** @param  array{corners: list<array{float, float, float}>}  $tile */
    private static function heightAt(array $tile, float $x, float $y): ?float
    {
        $polygon = Polygon::of(array_map(static fn (array $p): Point => new Point($p[0], $p[1]), $tile['corners']));
        if (! $polygon->contains(new Point($x, $y), 0.05)) {
            return null;
        }
        [$p, $q, $r] = $tile['corners'];
        $n = [
            ($q[1] - $p[1]) * ($r[2] - $p[2]) - ($q[2] - $p[2]) * ($r[1] - $p[1]),
            ($q[2] - $p[2]) * ($r[0] - $p[0]) - ($q[0] - $p[0]) * ($r[2] - $p[2]),
            ($q[0] - $p[0]) * ($r[1] - $p[1]) - ($q[1] - $p[1]) * ($r[0] - $p[0]),
        ];

        return abs($n[2]) < 1e-6 ? null : $p[2] - ($n[0] * ($x - $p[0]) + $n[1] * ($y - $p[1])) / $n[2];
    }
}
