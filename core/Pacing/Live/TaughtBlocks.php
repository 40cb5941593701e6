<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Live;

use Cathedra\Core\Pacing\Block;
use Cathedra\Core\Pacing\Rehearsal\Run;
use Cathedra\Core\Pacing\Rehearsal\StepDraws;

/** The blocks of a plan, as far as a lesson under way has taught them. */
final readonly class TaughtBlocks
{
    /**
     * @param  list<Block>  $blocks
     * @param  array<int, int>  $places  of steps of the lesson among them, by step
     * @param  int  $at  place of the step at hand; their number when all are shown
     * @param  array<int, int>  $along  how many had a step when the room went on, by place
     * @param  array<int, true>  $timed  places whose time is known as part of a step
     * @param  float  $seconds  that these have taken
     */
    private function __construct(
        public array $blocks,
        private array $places,
        public int $at,
        private array $along,
        private array $timed,
        public float $seconds,
    ) {
    }

    /** @param  list<Block>  $blocks */
    public static function of(array $blocks, SoFar $soFar): self
    {
        $places = [];
        foreach ($blocks as $k => $block) {
            if ($block->kind === 'step' && ! $block->again && $block->step !== null) {
                $places[$block->step] = $k;
            }
        }
        [$along, $timed, $seconds] = [[], [], 0.0];
        foreach ($soFar->taught as ['step' => $step, 'seconds' => $took, 'along' => $had]) {
            if (isset($places[$step])) {
                $along[$places[$step]] = $had;
                $timed += array_fill_keys(range($places[$step], ($places[$step + 1] ?? count($blocks)) - 1), true);
                $seconds += $took;
            }
        }

        return new self(
            blocks: $blocks,
            places: $places,
            at: $places[$soFar->step] ?? count($blocks),
            along: $along,
            timed: $timed,
            seconds: $seconds,
        );
    }

    /** Who was behind when the room went on was not waited for. */
    public function asTaught(StepDraws $steps): StepDraws
    {
        $need = $steps->need;
        foreach ($this->along as $k => $along) {
            $need[$k] = max(1, min($need[$k], $along));
        }

        return $steps->needing(array_values($need));
    }

    /** @return array{seconds: float, held: float} of the blocks whose time is known, and the folding in it */
    public function playedSoFar(Run $run): array
    {
        [$seconds, $held] = [0.0, 0.0];
        for ($k = 0; $k < $this->at; $k++) {
            $before = $run->end;
            $run->step($k);
            if (isset($this->timed[$k])) {
                $seconds += $run->end - $before;
                $held += $run->held;
            }
        }

        return ['seconds' => $seconds, 'held' => $held];
    }

    public function placeOf(int $step): int
    {
        return $this->places[$step] ?? count($this->blocks) - 1;
    }

    /** @return array<int, int> steps of the lesson with a checkpoint from the one at hand on, by place */
    public function checkpoints(): array
    {
        $found = [];
        foreach ($this->places as $step => $k) {
            if ($k >= $this->at && $this->blocks[$k]->room->checkpoint) {
                $found[$k] = $step;
            }
        }

        return $found;
    }
}
