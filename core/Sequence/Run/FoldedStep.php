<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Run;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Sequence\Attached;
use Cathedra\Core\Sequence\Step;

/** A step that was folded: the states before and after it as the folder sees them, and what moved. */
final readonly class FoldedStep
{
    /**
     * @param  list<Action>  $actions
     * @param  Called  $called  parts that had a name before it
     * @param  Attached|null  $attached  the part this step puts on the main piece, where it lies then
     * @param  list<Stage>  $stages  the movements of the paper, one after the other
     * @param  list<Action>  $range  where a length is chosen by eye: the same with the least and with the most
     */
    public function __construct(
        public Step $step,
        public FoldedState $before,
        public FoldedState $after,
        public array $actions,
        public Called $called = new Called(),
        public ?Attached $attached = null,
        public array $stages = [],
        public array $range = [],
    ) {
    }
}
