<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Reading\Flaps;
use Cathedra\Core\Folding\SimpleFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\Setting;

/** Every corner of the outline is brought to the centre. */
final readonly class BlintzMove implements Movement
{
    public function __construct(public bool $valley)
    {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        return new self($in->oneOf('as', ['valley', 'mountain'], 'valley') === 'valley');
    }

    public function make(Setting $setting, string $label): Made
    {
        $corners = $setting->compass->outline->corners;
        $centre = $setting->state->box()->centre();
        if (count($corners) !== 4) {
            throw CannotFold::notFound(
                sprintf(
                    'A blintz brings the four corners of a square to its centre; this outline has %d corners.',
                    count($corners),
                ),
                $centre,
            );
        }
        $state = $setting->state;
        foreach ($corners as $corner) {
            $line =
                Line::bringing($corner, $centre) ??
                throw CannotFold::notFound('A corner already lies at the centre.', $corner);
            $state = SimpleFold::apply(
                state: $state,
                line: $line,
                valley: $this->valley,
                moving: Flaps::beyond($state, $line)->all(),
                origin: $label,
            );
        }

        return new Made($state, $corners[0], $centre);
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
