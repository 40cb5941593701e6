<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Reading\Flaps;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Sequence\Alignment\Crease;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Landmark\SheetPoint;

/** Which layers a fold moves, the way people say it. */
final readonly class Layers
{
    private function __construct(
        public string $which,
        public int $number,
        public ?SheetPoint $flap,
        public bool $laden = false,
    ) {
    }

    public static function all(): self
    {
        return new self('all', 0, null);
    }

    public static function unsaid(): self
    {
        return new self('unsaid', 0, null);
    }

    /** @param  bool  $laden  with what lies on them, though it does not reach the place taken hold of */
    public static function top(int $number, bool $laden = false): self
    {
        return new self('top', $number, null, $laden);
    }

    public static function bottom(int $number): self
    {
        return new self('bottom', $number, null);
    }

    /** The flap that holds a point of the sheet. */
    public static function flap(SheetPoint $point): self
    {
        return new self('flap', 1, $point);
    }

    /**
     * The faces that move.
     *
     * @return list<int>
     *
     * @throws CannotFold when the choice is not clear or there are too few layers
     */
    public function choose(Setting $setting, Crease $crease): array
    {
        $flaps = Flaps::beyond($setting->state, $crease->line);
        if ($flaps->count() === 0) {
            throw CannotFold::nothingBeyond();
        }

        return match ($this->which) {
            'all' => $flaps->all(),
            'top' => $flaps->outermost($this->number, true, $crease->grip, $this->laden),
            'bottom' => $flaps->outermost($this->number, false, $crease->grip),
            'flap' => $flaps->holding($this->flapPoint($setting)),
            default => $flaps->count() === 1
                ? $flaps->all()
                : throw CannotFold::notFound(
                    "Beyond this crease lie {$flaps->count()} separate layers; say which move (layers: top, bottom, "
                        .'all, a number, or a flap).',
                    $crease->grip,
                ),
        };
    }

    private function flapPoint(Setting $setting): Point
    {
        return ($this->flap ?? throw new \LogicException('A flap is named by a point.'))->onSheet($setting);
    }
}
