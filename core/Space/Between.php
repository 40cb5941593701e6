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
final readonly class Between
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
        $passage = Passage::between($before, $after);
        if ($passage->isRigid()) {
            return self::whole($passage);
        }
        $turn = HalfTurn::of($passage);
        if ($turn !== null) {
            return $turn->blockedBy() === []
                ? self::acceptable(self::turned($passage, $turn))
                : self::lifted($passage, $turn);
        }
        foreach (Relaxed::ways($passage) as $settled) {
            if ($settled->lands) {
                $piece = self::acceptable(self::piece($passage, $settled->frames)->thinned());
                if ($piece !== null && Sides::areKept($passage, $piece->at)) {
                    return $piece;
                }
            }
        }

        return null;
    }

    /** As of(), but only where no paper needs to bend on the way but at its creases: quickly known. */
    public static function simply(FoldedState $before, FoldedState $after): ?Piece
    {
        $passage = Passage::between($before, $after);
        $turn = $passage->isRigid() ? null : HalfTurn::of($passage);

        return $turn === null || $turn->blockedBy() !== [] ? null : self::acceptable(self::turned($passage, $turn));
    }

    /** A tuck: paper in the way is opened first. */
    private static function lifted(Passage $passage, HalfTurn $turn): ?Piece
    {
        foreach (Lifted::ways($passage, $turn) as $way) {
            $piece = self::through($passage, $way);
            if ($piece !== null) {
                return $piece;
            }
        }
        foreach (Chords::of($passage, $turn) as $chord) {
            $bent = $chord->passage();
            $again = HalfTurn::of($bent);
            foreach ($again === null ? [] : Lifted::ways($bent, $again, $chord->line) as $way) {
                $piece = self::through($bent, $way);
                if ($piece !== null) {
                    return $piece;
                }
            }
        }
        $curled = Curled::of($passage, $turn);
        if ($curled === null) {
            return null;
        }
        foreach ($curled->ways() as $frames) {
            // the mouth of the pocket is as wide as paper is thin: what goes through it is not asked for its side
            $piece = self::acceptable(self::piece($curled->passage, $frames));
            if ($piece !== null) {
                return $piece->thinned();
            }
        }

        return null;
    }

    /** A way through a gap: looked at roughly first, for most do not lead through. */
    private static function through(Passage $passage, Lifted $way): ?Piece
    {
        $side = $passage->mesh->side;
        if (self::acceptable(self::piece($passage, $way->frames(self::STRIDE * $side))) === null) {
            return null;
        }
        $piece = self::acceptable(self::piece($passage, $way->frames(self::NARROW * $side)));

        return $piece !== null && Sides::areKept($passage, $piece->at) ? $piece->thinned() : null;
    }

    private static function whole(Passage $passage): Piece
    {
        $moments = max(1, (int) ceil($passage->slide->reach($passage->start) / (self::STRIDE * $passage->mesh->side)));

        return self::piece($passage, array_fill(0, $moments + 1, $passage->start));
    }

    private static function turned(Passage $passage, HalfTurn $turn): Piece
    {
        $reach = $turn->reach() + $passage->slide->reach($passage->start);
        $moments = (int) ceil($reach / (self::STRIDE * $passage->mesh->side)) * $turn->rounds();
        $frames = [];
        for ($i = 0; $i <= $moments; $i++) {
            $frames[] = $turn->at($i / $moments);
        }

        return self::piece($passage, $frames);
    }

    /** @param  array<int, array<int, array{float, float, float}>>  $frames  without the slide */
    private static function piece(Passage $passage, array $frames): Piece
    {
        $last = count($frames) - 1;
        $at = $passage->slide->isNothing() ? $frames : array_map(
            static fn (array $points, int $i): array => $passage->slide->at($points, $i / $last),
            $frames,
            array_keys($frames),
        );

        return new Piece(
            $passage->mesh,
            $at,
            Piece::ranks($passage->before, $passage->mesh->from),
            Piece::ranks($passage->after, $passage->mesh->to),
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
