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

    /** @return SceneFold the crease where it crosses the paper that moves */
    public static function line(Action $action): array
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

        return ['kind' => $action->valley ? 'valley' : 'mountain', 'from' => [$from->x, $from->y], 'to' => [$to->x, $to->y]];
    }

    /** @return SceneArrow */
    public static function arrow(Action $action): array
    {
        $crease = $action->crease ?? throw new \LogicException('Only creasing actions have an arrow.');
        $middle = $crease->grip->toward($crease->landing, 0.5);
        $aside = $crease->landing->minus($crease->grip)->turnedLeft()->times(self::SWING);
        $bend = $middle->plus(self::outward($action, $middle, $aside));
        $kind = $action->kind === FoldKind::Crease ? 'fold-unfold' : ($action->valley ? 'fold' : 'behind');

        return ['kind' => $kind, 'from' => [$crease->grip->x, $crease->grip->y], 'bend' => [$bend->x, $bend->y], 'to' => [$crease->landing->x, $crease->landing->y]];
    }

    /** To the side away from the middle of the model, where there is more room. */
    private static function outward(Action $action, Point $middle, Point $aside): Point
    {
        return $middle->minus($action->state->box()->centre())->dot($aside) < -1e-9 ? $aside->times(-1) : $aside;
    }
}
