<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Action;
use Cathedra\Core\Sequence\FoldKind;

/**
 * The fold line and the arrow of one movement.
 *
 * @phpstan-import-type SceneFold from Scene
 * @phpstan-import-type SceneArrow from Scene
 */
final readonly class FoldMarks
{
    /** How far the arrow swings aside, as a share of its length. */
    private const SWING = 0.28;

    /** @return list<SceneFold> the creases of a movement, as far as they can be seen before it; all when none can */
    public static function lines(Action $action): array
    {
        if ($action->cuts !== []) {
            return array_map(
                static fn (Segment $cut): array => self::fold('cut', $cut),
                $action->cuts,
            );
        }
        if ($action->change === null) {
            return $action->crease === null ? [] : [self::line($action)];
        }
        $seen = array_values(array_filter($action->change->folds, static fn (array $f): bool => $f['seen']));

        return array_map(
            static fn (array $f): array => self::fold($f['valley'] ? 'valley' : 'mountain', $f['at']),
            $seen !== [] ? $seen : $action->change->folds,
        );
    }

    /** @return SceneFold the crease where it crosses the paper that moves */
    private static function line(Action $action): array
    {
        $crease = $action->crease ?? throw new \LogicException('Only creasing actions have a line.');
        $points = array_merge(...array_map(static fn (Polygon $part): array => $part->points, $action->moving));
        $near = $action->state->tolerance->aside;
        $on = array_filter($points, static fn (Point $p): bool => abs($crease->line->distanceTo($p)) < $near);
        $foot = $crease->line->foot();

        return self::fold(
            $action->valley ? 'valley' : 'mountain',
            Segment::spanning($crease->line, array_values($on)) ?? new Segment($foot, $foot),
        );
    }

    /**
     * @param  'valley'|'mountain'|'cut'  $kind
     * @return SceneFold
     */
    private static function fold(string $kind, Segment $at): array
    {
        return ['kind' => $kind, 'from' => [$at->a->x, $at->a->y], 'to' => [$at->b->x, $at->b->y]];
    }

    /** @return array{Point, Point}|null where hands take hold, and where that place comes to lie */
    public static function ends(Action $action): ?array
    {
        $grip = $action->crease->grip ?? $action->grip;
        $landing = $action->crease->landing ?? $action->landing;

        return $grip === null || $landing === null || $grip->distanceTo($landing) < 1e-6 ? null : [$grip, $landing];
    }

    /** @return SceneArrow|null */
    public static function arrow(Action $action): ?array
    {
        $ends = self::ends($action);
        $kind = match (true) {
            $action->movement !== null => $action->movement->arrow(),
            $action->kind === FoldKind::Crease => 'fold-unfold',
            $action->kind === FoldKind::Tuck => 'push',
            default => $action->valley ? 'fold' : 'behind',
        };
        if ($ends === null || $kind === null) {
            return null;
        }
        [$grip, $landing] = $ends;
        $middle = $grip->toward($landing, 0.5);
        $aside = $landing->minus($grip)->turnedLeft()->times(self::SWING);
        $bend = $middle->plus(self::outward($action, $middle, $aside));

        return [
            'kind' => $kind,
            'from' => [$grip->x, $grip->y],
            'bend' => [$bend->x, $bend->y],
            'to' => [$landing->x, $landing->y],
        ];
    }

    /** To the side away from the middle of the model, where there is more room. */
    private static function outward(Action $action, Point $middle, Point $aside): Point
    {
        return $middle->minus($action->state->box()->centre())->dot($aside) < -1e-9 ? $aside->times(-1) : $aside;
    }
}
