<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/**
 * A place is brought over and held there without a crease: the paper stays curved. The flat state beneath it is kept,
 * and what follows is reckoned with that.
 */
final readonly class HoldMove implements Movement
{
    public function __construct(public PointRef $bring, public PointRef $to)
    {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self($folds->point('bring'), $folds->point('to'));
    }

    public function make(Setting $setting, string $label): Made
    {
        [$from, $to] = [$this->bring->locate($setting), $this->to->locate($setting)];
        if ($from->distanceTo($to) <= $setting->state->tolerance->meeting) {
            throw CannotFold::notFound('It lies there already. Bring it to another place.', $from);
        }

        return new Made($setting->state, $from, $to);
    }

    public function says(Change $change): Saying
    {
        return new Saying();
    }

    public function arrow(): ?string
    {
        return 'open';
    }
}
