<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Live;

use Cathedra\Core\Pacing\Rehearsal\Run;

/**
 * One run of a lesson under way, put where the room is: who is known to be behind is among the slowest of the run, who
 * is known to have a step has it, and everybody else is as the run has them. Seconds from the start of the slot.
 */
final class PlacedRun
{
    /** @var array<int, float> when each learner here has folded */
    public array $finishes = [];

    /** @var array<int, float> when the room goes on from a block, by place */
    public array $ends = [];

    /** @param  array<int, int>  $places  of learners in the run */
    private function __construct(
        private readonly Run $run,
        private readonly array $places,
        private readonly TaughtBlocks $course,
        private readonly float $now,
    ) {
    }

    /** @param  int  $r  number of the run: of whom nothing is known, another is the slowest in each */
    public static function of(Run $run, TaughtBlocks $course, SoFar $soFar, float $now, int $r): self
    {
        $slot = $now - $soFar->now; // what pauses took is over, for the rest
        $run->later($slot + $soFar->since - $run->end);
        $last = count($course->blocks) - 1;
        $places = self::places($run, $soFar, $r);
        foreach ($soFar->seats as $seat) {
            $i = $places[$seat->learner];
            if ($seat->behind !== null && $seat->behind < $soFar->step) {
                $k = min($course->placeOf($seat->behind), $course->at - 1);
                $seat->waits ? $run->waits($i, $k, $slot + $seat->said) : $run->folds($i, $k, $slot + $seat->said);
            } elseif ($course->at > $last) {
                $run->hasAlready($i, $last, $slot + $soFar->since);
            } elseif ($seat->looked >= $soFar->step) {
                $run->hasAlready($i, $course->placeOf($seat->looked), $slot + $seat->said);
            }
        }

        return new self($run, $places, $course, $now);
    }

    public function toTheEnd(): self
    {
        $last = count($this->course->blocks) - 1;
        for ($k = $this->course->at; $k <= $last; $k++) {
            $this->run->step($k);
            $k === $this->course->at && $this->run->notBefore($this->now);
            $this->ends[$k] = $this->run->end;
        }
        $this->run->drained();
        foreach ($this->places as $learner => $i) {
            $this->finishes[$learner] = $this->run->finish[$i];
        }

        return $this;
    }

    /**
     * The learners in order of how far they are, put upon those of the run in theirs.
     *
     * @return array<int, int>
     */
    private static function places(Run $run, SoFar $soFar, int $r): array
    {
        $far = array_map($run->reaches(...), array_keys($run->finish));
        asort($far);
        $seats = $soFar->seats;
        $n = count($seats);
        $order = [];
        foreach ($seats as $i => $seat) {
            $isBehind = $seat->behind !== null && $seat->behind < $soFar->step;
            $order[$seat->learner] = $isBehind
                ? [1, -$seat->behind, (int) $seat->waits]
                : [0, -max($soFar->step - 1, $seat->looked), ($i + $r) % $n];
        }
        asort($order);

        return array_combine(array_keys($order), array_keys($far));
    }
}
