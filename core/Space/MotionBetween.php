<?php

declare(strict_types=1);

namespace Cathedra\Core\Space;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Space\Check\Sides;
use Cathedra\Core\Space\Mesh\Piece;
use Cathedra\Core\Space\Settle\Relaxed;
use Cathedra\Core\Space\Tuck\Chords;
use Cathedra\Core\Space\Tuck\Curled;
use Cathedra\Core\Space\Tuck\Lifted;
use Cathedra\Core\Space\Turn\HalfTurn;

/**
 * The motion from one flat state to the next: the model turned as a whole, a half turn of flaps, or paper that settles.
 * What would stretch paper, jump, or push it through itself is no motion, nor what gets through between two moments:
 * then there is none.
 */
final readonly class MotionBetween
{
    /** The most paper may be stretched, as a share. */
    public const STRAIN = 0.02;

    /** The farthest a vertex may go between two moments, as a share of the shorter side. */
    public const JUMP = 0.15;

    /** The deepest paper may stand in other paper, as a share of the shorter side: 0.6 mm of 150. */
    public const DEPTH = 0.004;

    /** Moments of a turn are so far apart at most, as a share of the shorter side. */
    private const STRIDE = 0.135;

    /** The same where paper goes through a narrow gap that other paper leaves open. */
    private const NARROW = 0.04;

    /** Null when no way was found that paper could go. */
    public static function of(FoldedState $before, FoldedState $after): ?Piece
    {
        $transition = Transition::between($before, $after);
        if ($transition->isRigid()) {
            return self::whole($transition);
        }
        $turn = HalfTurn::of($transition);
        if ($turn !== null) {
            return $turn->blockedBy() === []
                ? self::acceptable(self::turned($transition, $turn))
                : self::lifted($transition, $turn);
        }
        foreach (Relaxed::ways($transition) as $settled) {
            if ($settled->lands) {
                $piece = self::acceptable(self::piece($transition, $settled->frames)->thinned());
                if ($piece !== null && Sides::areKept($transition, $piece->at)) {
                    return $piece;
                }
            }
        }

        return null;
    }

    /** As of(), but only where no paper needs to bend on the way but at its creases: quickly known. */
    public static function simply(FoldedState $before, FoldedState $after): ?Piece
    {
        $transition = Transition::between($before, $after);
        $turn = $transition->isRigid() ? null : HalfTurn::of($transition);

        return $turn === null || $turn->blockedBy() !== [] ? null : self::acceptable(self::turned($transition, $turn));
    }

    /** A tuck: paper in the way is opened first. */
    private static function lifted(Transition $transition, HalfTurn $turn): ?Piece
    {
        foreach (Lifted::ways($transition, $turn) as $way) {
            $piece = self::through($transition, $way);
            if ($piece !== null) {
                return $piece;
            }
        }
        foreach (Chords::of($transition, $turn) as $chord) {
            $bent = $chord->transition();
            $again = HalfTurn::of($bent);
            foreach ($again === null ? [] : Lifted::ways($bent, $again, $chord->line) as $way) {
                $piece = self::through($bent, $way);
                if ($piece !== null) {
                    return $piece;
                }
            }
        }
        $curled = Curled::of($transition, $turn);
        if ($curled === null) {
            return null;
        }
        foreach ($curled->ways() as $frames) {
            // the mouth of the pocket is as wide as paper is thin: what goes through it is not asked for its side
            $piece = self::acceptable(self::piece($curled->transition, $frames));
            if ($piece !== null) {
                return $piece->thinned();
            }
        }

        return null;
    }

    /** A way through a gap: looked at roughly first, for most do not lead through. */
    private static function through(Transition $transition, Lifted $way): ?Piece
    {
        $side = $transition->mesh->side;
        if (self::acceptable(self::piece($transition, $way->frames(self::STRIDE * $side))) === null) {
            return null;
        }
        $piece = self::acceptable(self::piece($transition, $way->frames(self::NARROW * $side)));

        return $piece !== null && Sides::areKept($transition, $piece->at) ? $piece->thinned() : null;
    }

    private static function whole(Transition $transition): Piece
    {
        $reach = $transition->slide->reach($transition->start);
        $moments = max(1, (int) ceil($reach / (self::STRIDE * $transition->mesh->side)));

        return self::piece($transition, array_fill(0, $moments + 1, $transition->start));
    }

    private static function turned(Transition $transition, HalfTurn $turn): Piece
    {
        $reach = $turn->reach() + $transition->slide->reach($transition->start);
        $moments = (int) ceil($reach / (self::STRIDE * $transition->mesh->side)) * $turn->rounds();
        $frames = [];
        for ($i = 0; $i <= $moments; $i++) {
            $frames[] = $turn->at($i / $moments);
        }

        return self::piece($transition, $frames);
    }

    /** @param  array<int, array<int, array{float, float, float}>>  $frames  without the slide */
    private static function piece(Transition $transition, array $frames): Piece
    {
        $last = count($frames) - 1;
        $at = $transition->slide->isNothing() ? $frames : array_map(
            static fn (array $points, int $i): array => $transition->slide->at($points, $i / $last),
            $frames,
            array_keys($frames),
        );

        return new Piece(
            $transition->mesh,
            $at,
            Piece::ranks($transition->before, $transition->mesh->from),
            Piece::ranks($transition->after, $transition->mesh->to),
        );
    }

    /** Whether no paper is stretched, jumps or stands in other paper. */
    public static function isPaper(Piece $piece): bool
    {
        return $piece->strain() <= self::STRAIN && $piece->jump() <= self::JUMP &&
            $piece->depth() <= self::DEPTH * $piece->mesh->side;
    }

    private static function acceptable(Piece $piece): ?Piece
    {
        return self::isPaper($piece) ? $piece : null;
    }
}
