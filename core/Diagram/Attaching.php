<?php

declare(strict_types=1);

namespace Cathedra\Core\Diagram;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Attached;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * Pictures of two pieces of paper: joined, and before that beside one another, with an arrow to the place of the part.
 *
 * @phpstan-import-type Pair from Scene
 */
final readonly class Attaching
{
    /** Room between the two pieces, as a share of the main piece's longer side. */
    private const APART = 0.18;

    /** How far the arrow swings aside, as a share of its length. */
    private const SWING = 0.22;

    /** The scene of the main piece with the part on it, in front or behind. */
    public static function joined(Scene $main, FoldedStep $step): Scene
    {
        return $step->attached === null
            ? $main
            : self::together($main, $step->attached->part, $step->step->attach?->inFront !== false);
    }

    /** The scene of the main piece with the part beside it, where it is about to come from. */
    public static function beside(Scene $main, FoldedStep $step, Attached $attached): Scene
    {
        $away = self::away($step->before, $attached);
        $from = $attached->at->plus($away);
        $both = self::together($main, $attached->part->shifted($away), true);
        $bend = $from->toward($attached->at, 0.5)->plus($away->turnedLeft()->times(self::SWING));

        return new Scene(
            frame: self::around($both->frame, [self::pair($bend)]),
            items: $both->items,
            folds: $both->folds,
            arrows: [...$both->arrows, [
                'kind' => $step->step->attach?->how === 'tuck' ? 'push' : 'fold',
                'from' => self::pair($from),
                'bend' => self::pair($bend),
                'to' => self::pair($attached->at),
            ]],
            dots: [...$both->dots, self::pair($from), self::pair($attached->at)],
            signs: $both->signs,
            labels: $both->labels,
        );
    }

    private static function together(Scene $main, FoldedState $part, bool $inFront): Scene
    {
        $other = SceneBuilder::ofState($part);
        [$l, $b, $w, $h] = $other->frame;

        return new Scene(
            frame: self::around($main->frame, [[$l, $b], [$l + $w, $b + $h]]),
            items: $inFront ? [...$main->items, ...$other->items] : [...$other->items, ...$main->items],
            folds: $main->folds,
            arrows: $main->arrows,
            dots: $main->dots,
            signs: $main->signs,
            labels: $main->labels,
        );
    }

    /** So far the part lies aside of where it goes: to the side on which it sticks out, clear of the main piece. */
    private static function away(FoldedState $main, Attached $attached): Point
    {
        $box = $main->box();
        $part = $attached->part->box();
        $out = $part->centre()->minus($box->centre());
        $gap = self::APART * max($box->width(), $box->height());

        return match (true) {
            abs($out->y) >= abs($out->x) && $out->y >= 0 => new Point(0.0, $box->top - $part->bottom + $gap),
            abs($out->y) >= abs($out->x) => new Point(0.0, $box->bottom - $part->top - $gap),
            $out->x > 0 => new Point($box->right - $part->left + $gap, 0.0),
            default => new Point($box->left - $part->right - $gap, 0.0),
        };
    }

    /**
     * @param  array{float, float, float, float}  $frame  left, bottom, width, height
     * @param  list<Pair>  $points
     * @return array{float, float, float, float} the frame, grown to hold the points
     */
    private static function around(array $frame, array $points): array
    {
        [$l, $b, $r, $t] = [$frame[0], $frame[1], $frame[0] + $frame[2], $frame[1] + $frame[3]];
        foreach ($points as [$x, $y]) {
            [$l, $b, $r, $t] = [min($l, $x), min($b, $y), max($r, $x), max($t, $y)];
        }

        return [$l, $b, $r - $l, $t - $b];
    }

    /** @return Pair */
    private static function pair(Point $p): array
    {
        return [$p->x, $p->y];
    }
}
