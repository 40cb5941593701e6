<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\Compound\Reverse;
use Cathedra\Core\Sequence\Alignment\Alignment;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Layers;

/** Inside or outside reverse fold of a flap. */
final readonly class ReverseMove implements Movement
{
    public function __construct(public Alignment $alignment, public Layers $layers, public bool $inside)
    {
    }

    public function make(Setting $setting, string $label): Made
    {
        $crease = $this->alignment->locate($setting);
        $flap = $this->layers->choose($setting, $crease);

        return new Made(
            Reverse::apply($setting->state, $crease->line, $flap, $this->inside, $label),
            $crease->grip,
            $crease->landing,
            $crease->line,
        );
    }
}
