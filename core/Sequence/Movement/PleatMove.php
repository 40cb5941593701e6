<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Movement;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Compound\Reverse;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\SimpleFold;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Sequence\Alignment\Crease;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\FoldReader;
use Cathedra\Core\Sequence\Format\Reader;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Landmark\LineRef;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Layers;

/**
 * Pleat: over one line and back over a second one beyond it. Crimp: the same through both halves of a flap at once, the
 * front half the mirror of the back half, that is, two reverse folds one after the other. Both lines are named as they
 * lie before the fold.
 */
final readonly class PleatMove implements Movement
{
    public function __construct(
        public LineRef $first,
        public LineRef $back,
        public PointRef $move,
        public Layers $layers,
        public bool $valleyFirst,
        public ?bool $insideCrimp,
    ) {
    }

    public static function read(FoldKind $kind, Reader $in, FoldReader $folds): self
    {
        $inside = $kind === FoldKind::Crimp ? $in->oneOf('side', ['inside', 'outside'], 'inside') === 'inside' : null;
        $valley = $inside !== null || $in->oneOf('as', ['valley', 'mountain'], 'valley') === 'valley';

        return new self(
            first: $folds->line('along'),
            back: $folds->line('back'),
            move: $folds->point('move'),
            layers: $folds->layers(),
            valleyFirst: $valley,
            insideCrimp: $inside,
        );
    }

    public function make(Setting $setting, string $label): Made
    {
        $grip = $this->move->locate($setting);
        $first = Crease::moving($this->first->trace($setting)->straight(), $grip);
        $back = Crease::moving($this->back->trace($setting)->straight(), $grip);
        $flap = $this->layers->choose($setting, $first);
        $onSheet = [];
        foreach ($flap as $face) {
            $behindFirst = $setting->state->polygons[$face]
                ->clippedBy($back->line)
                ->clippedBy($first->line->reversed());
            if ($behindFirst->area() > $setting->state->tolerance->area) {
                throw CannotFold::notFound(
                    'The second line of a pleat must lie between the first one and the point that moves.',
                    $behindFirst->centroid(),
                );
            }
            $onSheet[] = $setting->state->pattern
                ->polygon($face)
                ->clippedBy($setting->state->placements[$face]->inverse()->ofLine($back->line))
                ->centroid();
        }
        $state = $this->fold(
            state: $setting->state,
            line: $first->line,
            faces: $flap,
            valley: $this->valleyFirst,
            label: $label,
        );
        $line =
            Line::through(
                $first->line->reflected($back->line->foot()),
                $first->line->reflected($back->line->foot()->plus($back->line->direction())),
            ) ?? throw new \LogicException('A line has a direction.');
        $tip = $first->line->reflected($grip);
        $line = $line->distanceTo($tip) < 0 ? $line->reversed() : $line;
        $faces = [];
        foreach ($onSheet as $i => $point) {
            $face = $state->pattern->faceAt($point, $state->tolerance->length);
            if (
                $face !== null &&
                $setting->state->polygons[$flap[$i]]->clippedBy($back->line)->area() > $state->tolerance->area
            ) {
                $faces[$face] = true;
            }
        }
        // seen on the flap, which has turned over: a mountain of the sheet
        $after = $this->fold(
            state: $state,
            line: $line,
            faces: array_keys($faces),
            valley: $this->valleyFirst,
            label: $label,
        );

        // a crimp is done at once
        $between = $this->insideCrimp === null ? [$state] : [];

        return new Made(
            after: $after,
            grip: $grip,
            landing: $line->reflected($tip),
            line: $first->line,
            between: $between,
        );
    }

    public function says(Change $change): Saying
    {
        return new Saying(with: ['first' => $this->valleyFirst ? 'valley' : 'mountain']);
    }

    public function arrow(): ?string
    {
        return $this->insideCrimp === null ? 'fold' : 'push';
    }

    /** @param  list<int>  $faces */
    private function fold(FoldedState $state, Line $line, array $faces, bool $valley, string $label): FoldedState
    {
        return $this->insideCrimp === null
            ? SimpleFold::apply(state: $state, line: $line, valley: $valley, moving: $faces, origin: $label)
            : Reverse::apply(state: $state, line: $line, flap: $faces, inside: $this->insideCrimp, origin: $label);
    }
}
