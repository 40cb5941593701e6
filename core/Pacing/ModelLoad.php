<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

/** One model of a lesson as the room feels it. */
final readonly class ModelLoad
{
    /**
     * @param  list<StepLoad>  $steps
     * @param  int  $difficulty  1 to 5
     * @param  int  $times  how often it is folded; the second time goes quicker
     * @param  int|null  $diagonal  step that creases the flat square from corner to corner, as making a square does
     */
    public function __construct(
        public array $steps,
        public int $difficulty,
        public ?int $diagonal = null,
        public int $times = 1,
    ) {
    }
}
