<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Landmark;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Compass;
use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Folding\Reading\Outline;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;

/**
 * Where landmarks are looked for: the state as the folder sees it, the marks and creases named so far, and the mirror.
 */
final readonly class Setting
{
    public Compass $compass;

    /**
     * @param  array<string, Point>  $marks  on the sheet, mm
     * @param  array<string, list<Segment>>  $creases  pieces on the sheet, mm, by label
     * @param  bool  $mirrored  left and right are exchanged: the step is repeated on the other side
     * @param  FoldedState|null  $seen  whose outline gives corners and edges their names, where that is another one:
     *     both sides of a
     *                                  step go by the outline before it
     * @param  bool  $flipped  top and bottom are exchanged: the step is done at the opposite end too
     * @param  bool  $opposite  places are named by the opposite direction: the model lies half a turn round
     */
    public function __construct(
        public FoldedState $state,
        public array $marks,
        public array $creases,
        public bool $mirrored,
        ?FoldedState $seen = null,
        public bool $flipped = false,
        public bool $opposite = false,
    ) {
        $this->compass = new Compass(Outline::of($seen ?? $state), $state->sheet->diagonal());
    }

    public function direction(Direction $named): Direction
    {
        $named = $this->mirrored !== $this->opposite ? $named->mirrored() : $named;

        return $this->flipped !== $this->opposite ? $named->flipped() : $named;
    }

    /** @throws CannotFold when that part of the sheet was cut away */
    public function onPaper(Point $onSheet): Point
    {
        return $this->state->positionOf($onSheet)
            ?? throw CannotFold::notFound('That point of the sheet was cut away.');
    }
}
