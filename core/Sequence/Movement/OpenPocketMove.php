<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Compound\OpenPocket;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;

/** A pocket opened to its end and pressed flat: one corner of its mouth is brought to the other. */
final readonly class OpenPocketMove implements Movement
{
    public function __construct(public PointRef $bring, public PointRef $to, public PointRef $end)
    {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self($folds->point('bring'), $folds->point('to'), $folds->point('end'));
    }

    public function make(Setting $setting, string $label): Made
    {
        [$corner, $other] = [$this->bring->locate($setting), $this->to->locate($setting)];
        $end = $this->end->locate($setting);
        $middle = Line::bringing($corner, $other) ?? throw CannotFold::notFound(
            'Both corners of the pocket are one point here.',
            $corner,
        );

        return new Made(
            OpenPocket::apply(state: $setting->state, corner: $corner, other: $other, end: $end, origin: $label),
            $corner,
            OpenPocket::swing($corner, $middle, $end)->of($corner),
            $middle,
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
