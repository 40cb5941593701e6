<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Space\Mesh\Piece;
use Cathedra\Core\Space\Mesh\Split;
use Cathedra\Core\Space\Mesh\Vector;

/**
 * A moment of a motion, or a finished form, as a picture: paper with two sides, shaded by how it faces the light, every
 * edge that is seen in ink. The eye stands aside by a turn about the upright axis and above by a tilt.
 *
 * @phpstan-import-type Pair from Scene
 * @phpstan-import-type SceneItem from Scene
 * @phpstan-import-type Tile from Split
 */
final readonly class SpaceScene
{
    /** How far one layer is set off, as a share of the shorter side; the whole stack is never thicker than STACK. */
    private const LAYER = 0.0012;

    private const STACK = 0.012;

    /** Where the light comes from, in the picture: from the left, above and before. */
    private const LIGHT = [-0.36, 0.45, 0.82];

    /** Levels of shade in styles.json: none to 4. */
    private const SHADES = 4;

    /**
     * @param  int  $moment  of the piece, from 0
     * @param  float  $turn  radians: the eye goes to the right
     * @param  float  $tilt  radians: the eye goes down; negative: up
     * @param  float  $roll  radians by which the model is turned on the table before that, counterclockwise
     */
    public static function of(Piece $piece, int $moment, float $turn, float $tilt, float $roll = 0.0): Scene
    {
        $tiles = Split::painted(self::tiles($piece, $moment, [$roll, $turn, $tilt]));
        $items = [];
        [$l, $b, $r, $t] = [INF, INF, -INF, -INF];
        foreach ($tiles as $tile) {
            $points = array_map(static fn (array $p): array => [$p[0], $p[1]], $tile['corners']);
            foreach ($points as [$x, $y]) {
                [$l, $b, $r, $t] = [min($l, $x), min($b, $y), max($r, $x), max($t, $y)];
            }
            $items[] = ['type' => 'tile', 'tile' => [
                'points' => $points,
                'side' => $tile['side'],
                'shade' => (int) round(self::SHADES * (1 - $tile['light'])),
            ]];
            foreach ($tile['lines'] as $i => $kind) {
                if ($kind !== null) {
                    $items[] = ['type' => 'line', 'line' => [
                        'kind' => $kind === 'raw' ? 'raw' : 'folded',
                        'from' => $points[$i],
                        'to' => $points[($i + 1) % count($points)],
                    ]];
                }
            }
        }
        $margin = 0.05 * max($r - $l, $t - $b);

        return new Scene(
            frame: [$l - $margin, $b - $margin, $r - $l + 2 * $margin, $t - $b + 2 * $margin],
            items: $items,
            folds: [],
            arrows: [],
            dots: [],
            signs: [],
        );
    }

    /**
     * @param  array{float, float, float}  $eye  roll, turn and tilt
     * @return list<Tile> in the eye's frame: x right, y up, z toward the eye
     */
    private static function tiles(Piece $piece, int $moment, array $eye): array
    {
        $mesh = $piece->mesh;
        $at = $piece->at[$moment];
        $share = $moment / max(1, count($piece->at) - 1);
        $sides = $mesh->seenSides();
        $deepest = max([1, ...array_map(abs(...), [...$piece->rankStart, ...$piece->rankEnd])]);
        $layer = $mesh->side * min(self::LAYER, self::STACK / $deepest);
        $tiles = [];
        foreach ($mesh->triangles as $i => [$a, $b, $c]) {
            $cell = $mesh->cellOf[$i];
            $rank = $piece->rankStart[$cell] * (1 - $share) + $piece->rankEnd[$cell] * $share;
            $corners = array_map(static fn (int $v): array => self::seen($at[$v], $eye), [$a, $b, $c]);
            $normal = self::normal($corners);
            $corners = array_map(static fn (array $p): array => [
                $p[0] + $layer * $rank * $normal[0],
                $p[1] + $layer * $rank * $normal[1],
                $p[2] + $layer * $rank * $normal[2],
            ], $corners);
            $front = $normal[2] > 0;
            $light = 0.0;
            foreach (self::LIGHT as $axis => $toward) {
                $light += $toward * $normal[$axis] * ($front ? 1 : -1);
            }
            $tiles[] = [
                'corners' => $corners,
                'lines' => $sides[$i],
                'side' => $front ? 'front' : 'back',
                'light' => max(0.0, min(1.0, $light)),
            ];
        }

        return $tiles;
    }

    /**
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $eye
     * @return array{float, float, float}
     */
    private static function seen(array $p, array $eye): array
    {
        [$roll, $turn, $tilt] = $eye;
        [$c, $s] = [cos($roll), sin($roll)];
        [$x, $y] = [$c * $p[0] - $s * $p[1], $s * $p[0] + $c * $p[1]];
        [$c, $s] = [cos($turn), sin($turn)];
        [$x, $z] = [$c * $x - $s * $p[2], $s * $x + $c * $p[2]];
        [$c, $s] = [cos($tilt), sin($tilt)];

        return [$x, $c * $y + $s * $z, $c * $z - $s * $y];
    }

    /**
     * @param  list<array{float, float, float}>  $p
     * @return array{float, float, float}
     */
    private static function normal(array $p): array
    {
        return Vector::unit(Vector::cross(Vector::minus($p[1], $p[0]), Vector::minus($p[2], $p[0])));
    }
}
