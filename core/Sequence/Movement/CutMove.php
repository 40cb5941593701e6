<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\Cutting;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Landmark\Stretch;

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
        $cuts = array_map(static function (LineRef $line) use ($setting): array {
            $stretch = $line->trace($setting);

            return [$stretch->a, $stretch->b];
        }, $this->lines);
        $after = Cutting::apply($setting->state, $cuts, $this->layers, $this->remove?->locate($setting), $label);
        $line = (new Stretch(...$cuts[0]))->line;

        return new Made($after, $cuts[0][0], $cuts[0][1], $line, $cuts);
    }
}
