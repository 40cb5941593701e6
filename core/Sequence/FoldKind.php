<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Sequence\Movement\BlintzMove;
use Cathedra\Core\Sequence\Movement\CollapseMove;
use Cathedra\Core\Sequence\Movement\CutMove;
use Cathedra\Core\Sequence\Movement\DrawOutMove;
use Cathedra\Core\Sequence\Movement\EarMove;
use Cathedra\Core\Sequence\Movement\HoldMove;
use Cathedra\Core\Sequence\Movement\Movement;
use Cathedra\Core\Sequence\Movement\OpenPocketMove;
use Cathedra\Core\Sequence\Movement\PetalMove;
use Cathedra\Core\Sequence\Movement\PleatMove;
use Cathedra\Core\Sequence\Movement\ReverseMove;
use Cathedra\Core\Sequence\Movement\RollMove;
use Cathedra\Core\Sequence\Movement\SquashMove;

/** The kinds of step a sequence may have, by the words it writes. */
enum FoldKind: string
{
    case Valley = 'valley';
    case Mountain = 'mountain';
    case Crease = 'crease';
    case PinchMark = 'pinch-mark';
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
    case DrawOut = 'draw-out';
    case OpenPocket = 'open-pocket';
    case Roll = 'roll';
    case Collapse = 'collapse';
    case Hold = 'hold';
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
            [
                self::Valley,
                self::Mountain,
                self::Crease,
                self::PinchMark,
                self::Tuck,
                self::PageTurn,
                self::Kite,
                self::Cupboard,
            ],
            true,
        );
    }

    /** Whether it is unfolded at once, and only a crease or a mark is left of it. */
    public function isUnfoldedAgain(): bool
    {
        return $this === self::Crease || $this === self::PinchMark;
    }

    /**
     * The class that reads, makes, says and draws it; null for what folds along one line, or is no fold.
     *
     * @return class-string<Movement>|null
     */
    public function movement(): ?string
    {
        return match ($this) {
            self::Blintz => BlintzMove::class,
            self::Pleat, self::Crimp => PleatMove::class,
            self::Squash => SquashMove::class,
            self::Petal, self::Swivel => PetalMove::class,
            self::RabbitEar => EarMove::class,
            self::InsideReverse, self::OutsideReverse => ReverseMove::class,
            self::DrawOut => DrawOutMove::class,
            self::Collapse => CollapseMove::class,
            self::OpenPocket => OpenPocketMove::class,
            self::Roll => RollMove::class,
            self::Hold => HoldMove::class,
            self::Cut => CutMove::class,
            default => null,
        };
    }

    /** Whether several creases are folded at once. */
    public function isCompound(): bool
    {
        return $this->movement() !== null && $this !== self::Cut;
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
