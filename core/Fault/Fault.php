<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Folding\FoldedState;

/** A step as it went wrong: a state that paper can have, beside the right one. */
final readonly class Fault
{
    /**
     * @param  FoldedState  $state  as the learner holds it
     * @param  'front'|'behind'|null  $seen  from where it looks another; null: from nowhere
     * @param  int|null  $stops  the step at which the paper stops it, among the next three; null: none of those tried
     * @param  bool  $goesOn  whether the next steps can all be done with it; false with no stop: it is not known
     * @param  string|null  $tells  what is to be seen of the right state and is not to be seen of this one
     */
    public function __construct(
        public FaultKind $kind,
        public FoldedState $state,
        public Mend $mend,
        public ?string $seen,
        public ?int $stops,
        public bool $goesOn,
        public ?string $tells,
        public float $score,
    ) {
    }

    /** Key of the words for the one action that leads back: what was held otherwise has to be turned, too. */
    public function action(): string
    {
        $isTurned = in_array($this->kind, [FaultKind::HalfTurned, FaultKind::QuarterTurned], true);

        return $isTurned && $this->mend === Mend::Again
            ? "{$this->mend->value}-{$this->kind->value}"
            : $this->mend->value;
    }
}
