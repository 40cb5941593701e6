<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Compound\DrawOut;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** A point that is folded in is drawn out to an angle, by eye, and pinched there. */
final readonly class DrawOutMove implements Movement
{
    /**
     * @param  string  $crease  at which the point was folded in
     * @param  PointRef  $around  the pivot, where it is held
     * @param  PointRef  $to  in whose direction it points then
     */
    public function __construct(
        public string $crease,
        public PointRef $around,
        public PointRef $to,
    ) {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self($in->text('crease', null, 40), $folds->point('around'), $folds->point('to'));
    }

    public function make(Setting $setting, string $label): Made
    {
        $held = $setting->creases[$this->crease]
            ?? throw CannotFold::notFound("No earlier step makes a crease called \"{$this->crease}\".");
        [$after, $grip, $landing, $line] = DrawOut::apply(
            state: $setting->state,
            held: $held,
            pivot: $this->around->locate($setting),
            to: $this->to->locate($setting),
            origin: $label,
        );

        return new Made($after, $grip, $landing, $line);
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
