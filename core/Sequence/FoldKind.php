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
    case Unfold = 'unfold';
    case TurnOver = 'turn-over';
    case Rotate = 'rotate';
    case Repeat = 'repeat';

    /** Whether it makes a crease, and so needs an alignment. */
    public function creases(): bool
    {
        return in_array($this, [self::Valley, self::Mountain, self::Crease, self::Tuck], true);
    }
}
