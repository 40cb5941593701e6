<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\Compound\RabbitEar;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Rabbit ear: the tip is pinched while both sides are laid on the base; the ear points along the base. */
final readonly class EarMove implements Movement
{
    public function __construct(public PointRef $tip, public PointRef $toward, public PointRef $away)
    {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self($folds->point('tip'), $folds->point('toward'), $folds->point('away'));
    }

    public function make(Setting $setting, string $label): Made
    {
        $tip = $this->tip->locate($setting);
        $toward = $this->toward->locate($setting);
        $away = $this->away->locate($setting);
        $landing = $away->plus($toward->minus($away)->unit()->times($tip->distanceTo($away)));

        return new Made(RabbitEar::apply(
            state: $setting->state,
            toward: $toward,
            away: $away,
            tip: $tip,
            origin: $label,
        ), $tip, $landing);
    }

    public function says(Change $change): Saying
    {
        return new Saying();
    }

    public function arrow(): ?string
    {
        return 'fold';
    }
}
