<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Compound\Squash;
use Cathedra\Core\Sequence\Alignment\Bring;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Opens the top flap and lays its folded edge on its hinge. */
final readonly class SquashMove implements Movement
{
    public function __construct(public LineRef $edge, public LineRef $hinge)
    {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self($folds->line('bring'), $folds->line('to'));
    }

    public function make(Setting $setting, string $label): Made
    {
        $edge = $this->edge->trace($setting);
        $hinge = $this->hinge->trace($setting);
        $crease = (new Bring($this->edge, $this->hinge, null))->locate($setting);
        if ($edge->straight()->isParallelTo($hinge->straight())) {
            throw CannotFold::notFound('The edge to be squashed must meet the line it is laid on.', $edge->middle());
        }

        return new Made(
            after: Squash::apply(
                state: $setting->state,
                ridge: $edge->straight(),
                hinge: $hinge->straight(),
                bisector: $crease->line,
                grip: $crease->grip,
                origin: $label,
            ),
            grip: $crease->grip,
            landing: $crease->landing,
            line: $hinge->straight(),
            taken: $edge,
        );
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
