<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Geometry\Point;
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
                static fn (array $c): array => [
                    'kind' => 'cut',
                    'from' => [$c[0]->x, $c[0]->y],
                    'to' => [$c[1]->x, $c[1]->y],
                ],
                $action->cuts,
            );
        }
        if ($action->change === null) {
            return $action->crease === null ? [] : [self::line($action)];
        }
        $seen = array_values(array_filter($action->change->folds, static fn (array $f): bool => $f['seen']));

        return array_map(
            static fn (array $f): array => [
                'kind' => $f['valley'] ? 'valley' : 'mountain',
                'from' => [$f['from']->x, $f['from']->y],
                'to' => [$f['to']->x, $f['to']->y],
            ],
            $seen !== [] ? $seen : $action->change->folds,
        );
    }

    /** @return SceneFold the crease where it crosses the paper that moves */
    private static function line(Action $action): array
    {
        $crease = $action->crease ?? throw new \LogicException('Only creasing actions have a line.');
        $along = $crease->line->direction();
        $foot = $crease->line->foot();
        $low = INF;
        $high = -INF;
        foreach ($action->moving as $polygon) {
            foreach ($polygon->points as $p) {
                if (abs($crease->line->distanceTo($p)) < 1e-4) {
                    $t = $p->minus($foot)->dot($along);
                    [$low, $high] = [min($low, $t), max($high, $t)];
                }
            }
        }
        [$low, $high] = $low < $high ? [$low, $high] : [0.0, 0.0];
        $from = $foot->plus($along->times($low));
        $to = $foot->plus($along->times($high));

        return [
            'kind' => $action->valley ? 'valley' : 'mountain',
            'from' => [$from->x, $from->y],
            'to' => [$to->x, $to->y],
        ];
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
        if ($ends === null || $action->cuts !== []) {
            return null;
        }
        [$grip, $landing] = $ends;
        $middle = $grip->toward($landing, 0.5);
        $aside = $landing->minus($grip)->turnedLeft()->times(self::SWING);
        $bend = $middle->plus(self::outward($action, $middle, $aside));
        $kind = match (true) {
            $action->kind === FoldKind::Crease => 'fold-unfold',
            in_array($action->kind, [FoldKind::InsideReverse, FoldKind::Crimp, FoldKind::Tuck], true) => 'push',
            in_array($action->kind, [FoldKind::Squash, FoldKind::Petal, FoldKind::Swivel], true) => 'open',
            default => $action->valley ? 'fold' : 'behind',
        };

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
