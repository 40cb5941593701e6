<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Hands\Handling;
use Cathedra\Core\Sequence\Run\Action;

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

    /** The letters at the two ends of an arrow, where letters are wanted. */
    public const LETTERS = ['A', 'B'];

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
            $line = Handling::of($action)?->line;

            return $line === null ? [] : [self::fold($action->valley ? 'valley' : 'mountain', $line)];
        }
        $seen = array_values(array_filter($action->change->folds, static fn (array $f): bool => $f['seen']));

        return array_map(
            static fn (array $f): array => self::fold($f['valley'] ? 'valley' : 'mountain', $f['at']),
            $seen !== [] ? $seen : $action->change->folds,
        );
    }

    /**
     * Between which lines a fold lies whose length is chosen by eye.
     *
     * @param  list<Action>  $range
     * @return list<SceneFold>
     */
    public static function range(array $range): array
    {
        $inFront = array_filter($range, static fn (Action $action): bool => ! $action->behind);

        return array_map(
            static fn (array $fold): array => ['kind' => 'range'] + $fold,
            array_merge(...array_map(self::lines(...), array_values($inFront))),
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

    /** @return SceneArrow|null */
    public static function arrow(Action $action): ?array
    {
        $hands = Handling::of($action);
        $kind = match (true) {
            $action->movement !== null => $action->movement->arrow(),
            $action->kind->isUnfoldedAgain() => 'fold-unfold',
            $action->kind === FoldKind::Tuck => 'push',
            default => $action->valley ? 'fold' : 'behind',
        };
        if ($hands === null || $kind === null) {
            return null;
        }
        [$grip, $landing] = [$hands->at, $hands->to];
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
