<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\LayerDepth;
use Cathedra\Core\Folding\Stacks;
use Cathedra\Core\Geometry\Box;
use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\FoldedStep;
use Cathedra\Core\Sequence\FoldKind;

/**
 * A sketch of a fold of several creases while it is being done: every corner that moves is shown at the top of the half
 * circle between where it was and where it comes to lie, seen from a little in front. It is a sketch: on that way paper
 * also bends, so lengths are not true in it.
 *
 * @phpstan-import-type Pair from Scene
 * @phpstan-import-type SceneItem from Scene
 */
final readonly class Halfway
{
    /** What a mm toward the folder looks like, in mm of the picture: up and a little to the right. */
    private const RAISED = [0.25, 0.55];

    /** How far inside a face its tip is looked at, as a share of the way to its middle. */
    private const INWARD = 0.1;

    private const STAYS_OUTSIDE = [FoldKind::InsideReverse, FoldKind::OutsideReverse, FoldKind::Crimp];

    /** @return Scene|null null where there is nothing half-way to see: steps of one crease, and repetitions */
    public static function of(FoldedStep $step): ?Scene
    {
        if (! $step->step->kind->isCompound()) {
            return null;
        }
        $after = $step->after;
        $faces = [];
        foreach (array_keys($after->pattern->faces) as $face) {
            $faces[] = self::face($face, $step);
        }
        usort(
            $faces,
            static fn (array $a, array $b): int => [$a['height'], -$a['depth']] <=> [$b['height'], -$b['depth']],
        );
        $items = [];
        $all = [];
        foreach ($faces as $face) {
            $items = [...$items, ...$face['items']];
            $all = [...$all, ...$face['points']];
        }
        $box = Box::around(array_map(static fn (array $p): Point => new Point(...$p), $all));
        $margin = 0.05 * max($box->width(), $box->height());

        return new Scene(
            [$box->left - $margin, $box->bottom - $margin, $box->width() + 2 * $margin, $box->height() + 2 * $margin],
            $items,
            [],
            [],
            [],
            [],
        );
    }

    /** @return array{height: float, depth: int, points: list<Pair>, items: list<SceneItem>} */
    private static function face(int $face, FoldedStep $step): array
    {
        [$before, $after] = [$step->before, $step->after];
        $parent =
            $before->pattern->faceAt($after->pattern->polygon($face)->centroid(), $before->tolerance->length) ?? 0;
        $points = [];
        $height = 0.0;
        foreach ($after->pattern->faces[$face] as $vertex) {
            $onSheet = $after->pattern->vertices[$vertex];
            [$p, $h] = self::between($before->placements[$parent], $after->placements[$face], $onSheet);
            $points[] = $p;
            $height = max($height, $h);
        }
        $side = self::showsFront($face, $parent, $step, $points) ? 'front' : 'back';
        $depth = self::depth($before)[$parent];
        $items = [
            ['type' => 'face', 'face' => ['points' => $points, 'side' => $side, 'moving' => false, 'depth' => $depth]],
        ];
        $loop = $after->pattern->faces[$face];
        foreach ($loop as $i => $vertex) {
            $edge = $after->pattern->edges[Edge::key($vertex, $loop[($i + 1) % count($loop)])];
            if (! $edge->isHidden()) {
                $kind = $edge->assignment->isRaw() ? 'raw' : ($edge->assignment->isFolded() ? 'folded' : 'crease');
                $items[] = [
                    'type' => 'line',
                    'line' => ['kind' => $kind, 'from' => $points[$i], 'to' => $points[($i + 1) % count($loop)]],
                ];
            }
        }

        return ['height' => $height, 'depth' => $depth, 'points' => $points, 'items' => $items];
    }

    /**
     * Which side of a face is seen on the way. In reverse folds and crimps the outside of a point stays outside: what
     * is seen of it when it is done is seen on the way; otherwise the sketch itself shows which side comes up.
     *
     * @param  list<Pair>  $points  in the picture
     */
    private static function showsFront(int $face, int $parent, FoldedStep $step, array $points): bool
    {
        if (! in_array($step->step->kind, self::STAYS_OUTSIDE, true)) {
            return self::area($points) >= 0;
        }
        $after = $step->after;
        [$was, $is] = [$step->before->placements[$parent], $after->placements[$face]];
        if ($was->equals($is, $after->tolerance, $after->sheet->diagonal())) {
            return $after->frontUp[$face];
        }
        $onSheet = $after->pattern->polygon($face);
        $corners = $onSheet->points;
        $travel = static fn (Point $p): float => $was->of($p)->distanceTo($is->of($p));
        usort($corners, static fn (Point $p, Point $q): int => $travel($q) <=> $travel($p));
        $tip = $corners[0];
        $place = $after->placements[$face]->of($tip->toward($onSheet->centroid(), self::INWARD));

        return $after->frontUp[Stacks::facesAt($after, $place)[0] ?? $face];
    }

    /** @return array{Pair, float} the place in the picture, and mm above the table */
    private static function between(Isometry $was, Isometry $is, Point $onSheet): array
    {
        [$p, $q] = [$was->of($onSheet), $is->of($onSheet)];
        $height = $p->distanceTo($q) / 2;
        $middle = $p->toward($q, 0.5);

        return [[$middle->x + self::RAISED[0] * $height, $middle->y + self::RAISED[1] * $height], $height];
    }

    /** @return array<int, int> */
    private static function depth(FoldedState $state): array
    {
        /** @var \WeakMap<FoldedState, array<int, int>>|null $known */
        static $known = null;
        $known ??= new \WeakMap();

        return $known[$state] ??= LayerDepth::of($state);
    }

    /** @param  list<Pair>  $points */
    private static function area(array $points): float
    {
        $twice = 0.0;
        foreach ($points as $i => [$x, $y]) {
            [$u, $v] = $points[($i + 1) % count($points)];
            $twice += $x * $v - $y * $u;
        }

        return $twice;
    }
}
