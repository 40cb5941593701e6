<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\FoldedState;

/** A whole sequence, folded from one sheet. */
final readonly class FoldedModel
{
    /** @param  list<FoldedStep>  $steps */
    public function __construct(public Sequence $sequence, public FoldedState $start, public array $steps)
    {
    }

    public function end(): FoldedState
    {
        return $this->steps === [] ? $this->start : $this->steps[count($this->steps) - 1]->after;
    }

    /** The state a learner holds before a step (1 to the number of steps + 1: finished). */
    public function stateBefore(int $step): FoldedState
    {
        return $this->steps[$step - 1]->before ?? $this->end();
    }
}
