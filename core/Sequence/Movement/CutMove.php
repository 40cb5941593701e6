<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\Cutting;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Scissors: a slit, or a piece that comes away. */
final readonly class CutMove implements Movement
{
    /**
     * @param  list<LineRef>  $lines
     * @param  int|null  $layers  from the top; null: all
     */
    public function __construct(public array $lines, public ?int $layers, public ?PointRef $remove)
    {
    }

    public function make(Setting $setting, string $label): Made
    {
        $cuts = array_map(static fn (LineRef $line): Segment => $line->trace($setting), $this->lines);
        $after = Cutting::apply($setting->state, $cuts, $this->layers, $this->remove?->locate($setting), $label);

        return new Made($after, $cuts[0]->a, $cuts[0]->b, $cuts[0]->straight(), $cuts);
    }
}
