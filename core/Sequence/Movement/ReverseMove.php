<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\Compound\Reverse;
use Cathedra\Core\Sequence\Alignment\Alignment;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Layers;

/** Inside or outside reverse fold of a flap. */
final readonly class ReverseMove implements Movement
{
    public function __construct(public Alignment $alignment, public Layers $layers, public bool $inside)
    {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self($folds->alignment(), $folds->layers(), $kind === FoldKind::InsideReverse);
    }

    public function make(Setting $setting, string $label): Made
    {
        $crease = $this->alignment->locate($setting);
        $flap = $this->layers->choose($setting, $crease);

        return new Made(
            Reverse::apply(
                state: $setting->state,
                line: $crease->line,
                flap: $flap,
                inside: $this->inside,
                origin: $label,
            ),
            $crease->grip,
            $crease->landing,
            $crease->line,
        );
    }

    public function says(Change $change): Saying
    {
        return new Saying();
    }

    public function arrow(): ?string
    {
        return $this->inside ? 'push' : 'fold';
    }
}
