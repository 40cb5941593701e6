<?php

declare(strict_types=1);

namespace Cathedra\Core\Progress;

/** What a lesson's taps say about one learner. */
final readonly class Outcome
{
    /** @param  int|null  $step where the learner stopped; null unless stopped */
    private function __construct(public Finish $finish, public ?int $step)
    {
    }

    /**
     * Nobody tapped: away, or stopped before the first step when known to be there. The last step done: finished, with
     * help if help was ever asked for. Otherwise stopped at the step
     * after the last one done.
     *
     * @param  list<array{step: int, kind: string}>  $marks  kind: done or help
     * @param  int  $steps  of the model
     * @param  bool  $present  was tapped for another model of the lesson
     */
    public static function fromMarks(array $marks, int $steps, bool $present = false): self
    {
        if ($marks === [] && ! $present) {
            return new self(Finish::Away, null);
        }
        $done = 0;
        $helped = false;
        foreach ($marks as ['step' => $step, 'kind' => $kind]) {
            $done = $kind === 'done' ? max($done, $step) : $done;
            $helped = $helped || $kind === 'help';
        }

        return $done >= $steps
            ? new self($helped ? Finish::WithHelp : Finish::Alone, null)
            : new self(Finish::Stopped, $done + 1);
    }
}
