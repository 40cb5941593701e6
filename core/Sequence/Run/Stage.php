<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Run;

use Cathedra\Core\Folding\FoldedState;

/**
 * One movement of the paper from a flat state to the next, smaller than a step where a step has several: the second
 * side, what is done behind, the way back of a crease.
 */
final readonly class Stage
{
    /**
     * @param  list<float>  $turnedAbout  x of the upright axes about which the model had been turned over when it was
     *     done (behind), the latest last; both states are as seen then
     * @param  bool  $isBack  the way back of the stage before it
     */
    public function __construct(
        public FoldedState $from,
        public FoldedState $to,
        public array $turnedAbout = [],
        public bool $isBack = false,
    ) {
    }
}
