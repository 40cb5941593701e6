<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\Compound\Petal;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Lifts the top layer at a point along a hinge; the sides swing in. A swivel does so on one side only. */
final readonly class PetalMove implements Movement
{
    public function __construct(public PointRef $tip, public LineRef $hinge, public bool $oneSided)
    {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self($folds->point('lift'), $folds->line('hinge'), $kind === FoldKind::Swivel);
    }

    public function make(Setting $setting, string $label): Made
    {
        $tip = $this->tip->locate($setting);
        $hinge = $this->hinge->trace($setting)->straight();
        $after = $this->oneSided
            ? Petal::swivel($setting->state, $hinge, $tip, $label)
            : Petal::petal($setting->state, $hinge, $tip, $label);

        return new Made($after, $tip, $hinge->reflected($tip), $hinge);
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
