<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Run;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Line;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Alignment\Crease;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Movement\Movement;

/** One movement within a step: a step done on both sides has two. */
final readonly class Action
{
    /**
     * @param  FoldedState  $state  the state acted on, as seen then (turned over for what is done behind)
     * @param  Crease|null  $crease  in that state's plane; null for what does not fold along one line
     * @param  bool  $valley  toward the folder
     * @param  list<Polygon>  $moving  what moves, in that state's plane
     * @param  list<int>  $faces  the faces of $state that move
     * @param  bool  $behind  done on the side away from the folder
     * @param  bool  $mirrored  done with left and right exchanged
     * @param  Change|null  $change  for several creases at once
     * @param  Point|null  $grip  where hands take hold, for several creases at once
     * @param  Point|null  $landing  where that place comes to lie
     * @param  list<Segment>  $cuts  with scissors
     * @param  Movement|null  $movement  that folded several creases at once, or cut
     * @param  Segment|null  $taken  the edge taken hold of, for several creases at once, where it is one
     * @param  Line|null  $line  which it is folded about or laid on, for several creases at once
     * @param  Segment|null  $pinch  the short mark that is all it leaves of its crease
     */
    public function __construct(
        public FoldKind $kind,
        public FoldedState $state,
        public ?Crease $crease,
        public bool $valley,
        public array $moving,
        public array $faces,
        public bool $behind,
        public bool $mirrored,
        public ?Change $change = null,
        public ?Point $grip = null,
        public ?Point $landing = null,
        public ?Line $line = null,
        public array $cuts = [],
        public ?Movement $movement = null,
        public ?Segment $taken = null,
        public ?Segment $pinch = null,
    ) {
    }

    /** What folds no flap of $state: the whole is turned, or what was folded is unfolded. */
    public static function ofTheWhole(FoldKind $kind, FoldedState $state): self
    {
        return new self(
            kind: $kind,
            state: $state,
            crease: null,
            valley: false,
            moving: [],
            faces: [],
            behind: false,
            mirrored: false,
        );
    }

    public function asBehind(): self
    {
        return new self(
            kind: $this->kind,
            state: $this->state,
            crease: $this->crease,
            valley: $this->valley,
            moving: $this->moving,
            faces: $this->faces,
            behind: true,
            mirrored: $this->mirrored,
            change: $this->change,
            grip: $this->grip,
            landing: $this->landing,
            line: $this->line,
            cuts: $this->cuts,
            movement: $this->movement,
            taken: $this->taken,
            pinch: $this->pinch,
        );
    }
}
