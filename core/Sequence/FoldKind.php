<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

/** The kinds of step a sequence may have, by the words it writes. */
enum FoldKind: string
{
    case Valley = 'valley';
    case Mountain = 'mountain';
    case Crease = 'crease';
    case Tuck = 'tuck';
    case PageTurn = 'page-turn';
    case Kite = 'kite';
    case Cupboard = 'cupboard';
    case Blintz = 'blintz';
    case Pleat = 'pleat';
    case Crimp = 'crimp';
    case Squash = 'squash';
    case Petal = 'petal';
    case Swivel = 'swivel';
    case RabbitEar = 'rabbit-ear';
    case InsideReverse = 'inside-reverse';
    case OutsideReverse = 'outside-reverse';
    case Collapse = 'collapse';
    case Cut = 'cut';
    case Unfold = 'unfold';
    case TurnOver = 'turn-over';
    case Rotate = 'rotate';
    case Repeat = 'repeat';
    case Inflate = 'inflate';
    case OpenOut = 'open-out';
    case Curl = 'curl';
    case Pinch = 'pinch';
    case Stand = 'stand';
    case Attach = 'attach';

    /** Whether it folds along one line, and so needs an alignment. */
    public function creases(): bool
    {
        return in_array(
            $this,
            [self::Valley, self::Mountain, self::Crease, self::Tuck, self::PageTurn, self::Kite, self::Cupboard],
            true,
        );
    }

    /** Whether several creases are folded at once, by a Movement. */
    public function isCompound(): bool
    {
        return in_array(
            $this,
            [
                self::Blintz,
                self::Pleat,
                self::Crimp,
                self::Squash,
                self::Petal,
                self::Swivel,
                self::RabbitEar,
                self::InsideReverse,
                self::OutsideReverse,
                self::Collapse,
            ],
            true,
        );
    }

    /** Whether the model is no longer flat afterwards; the flat state before it stays the one that is computed with. */
    public function isForm(): bool
    {
        return in_array($this, [self::Inflate, self::OpenOut, self::Curl, self::Pinch, self::Stand], true);
    }

    /** Whether it is a fold a learner learns, not a handling of the paper. */
    public function isFold(): bool
    {
        return $this->creases() || $this->isCompound();
    }
}
