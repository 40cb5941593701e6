<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Pacing\Rehearsal\PacedStep;

/** A stretch of a lesson before it is rehearsed: a step of it, a check after one, or a block without folding. */
final readonly class Block
{
    /**
     * @param  'block'|'step'|'checkpoint'  $kind
     * @param  string  $key  of words: the block, or the kind of fold
     * @param  int|null  $step  of the lesson, for steps and checkpoints
     * @param  bool  $again  a step of a model that is folded another time
     * @param  bool  $out  takes no time as things are; kept, so that what is compared has the same places
     */
    public function __construct(
        public string $kind,
        public string $key,
        public ?int $step,
        public PacedStep $room,
        public ?StepWhy $why = null,
        public bool $again = false,
        public bool $out = false,
    ) {
    }

    public static function shown(string $key, float $seconds): self
    {
        return new self(
            kind: 'block',
            key: $key,
            step: null,
            room: new PacedStep(demo: $seconds, fold: 0.0, stuck: 0.0, help: 0.0, checkpoint: false),
            why: null,
            again: false,
            out: $seconds <= 0.0,
        );
    }
}
