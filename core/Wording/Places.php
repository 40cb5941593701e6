<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\Anatomy;
use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Tolerance;

/** Says points and lines of a state in a folder's words, from where they lie, whatever the sequence called them. */
final readonly class Places
{
    private Anatomy $anatomy;

    private float $near;

    public function __construct(private FoldedState $state, private Phrasebook $words)
    {
        $this->anatomy = Anatomy::of($state);
        $this->near = $state->tolerance->aside;
    }

    public function point(Point $p): string
    {
        $outline = $this->anatomy->outline;
        $corner = $outline->cornerAt($p);
        if ($corner !== null && ($name = $this->anatomy->compass->nameOfCorner($corner)) !== null) {
            return $this->words->say('points', 'corner', [
                'direction' => $this->words->say('directions', $name->value),
            ]);
        }
        $side = $outline->sideThrough($p);
        if ($side !== null && ($name = $this->anatomy->compass->nameOfSide($side)) !== null) {
            $key = $outline->sides()[$side]->middle()->distanceTo($p) < $this->near ? 'middle-of-edge' : 'on-edge';

            return $this->words->say('points', $key, ['direction' => $this->words->say('directions', $name->value)]);
        }

        return $this->words->say('points', $this->inside($p));
    }

    public function line(Line $line): string
    {
        foreach ($this->anatomy->outline->sides() as $i => $side) {
            $name = $this->anatomy->compass->nameOfSide($i);
            if ($name !== null && $side->liesOn($line, $this->near)) {
                return $this->words->say('lines', 'edge', [
                    'direction' => $this->words->say('directions', $name->value),
                ]);
            }
        }
        $centre = $this->state->box()->centre();
        if (
            abs($line->distanceTo($centre)) < $this->near &&
            min(abs($line->normal->x), abs($line->normal->y)) < Tolerance::ANGLE
        ) {
            $isUpright = abs($line->normal->y) < Tolerance::ANGLE;

            return $this->words->say('lines', $isUpright ? 'upright-middle' : 'level-middle');
        }

        return $this->words->say('lines', $this->creasesOn($line) ? 'crease' : 'line');
    }

    private function inside(Point $p): string
    {
        $through = array_filter(
            $this->state->pattern->creases(),
            fn (Edge $edge): bool => $this->state->segment($edge)->passes($p, $this->near),
        );
        if ($p->distanceTo($this->state->box()->centre()) < $this->near) {
            return 'centre';
        }
        foreach ([[0, 0], [1, 0], [1, 1], [0, 1]] as [$u, $v]) {
            if ($this->state->positionOf($this->state->sheet->at($u, $v))?->distanceTo($p) < $this->near) {
                return 'tip';
            }
        }

        return match (true) {
            count($through) > 1 => 'crossing',
            $through !== [] => 'on-crease',
            default => 'place',
        };
    }

    private function creasesOn(Line $line): bool
    {
        foreach ($this->state->pattern->creases() as $edge) {
            if ($this->state->segment($edge)->liesOn($line, $this->near)) {
                return true;
            }
        }

        return false;
    }
}
