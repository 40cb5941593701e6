<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** How one learner ended with one model. */
final readonly class Outcome
{
    /**
     * @param  int|null  $step  of the model, from 1: where the learner stopped; null unless stopped
     * @param  bool  $seen  that it was finished was seen or said; else it is presumed, for nothing else was said
     */
    private function __construct(public Finish $finish, public ?int $step, public bool $seen)
    {
    }

    /** @throws BadEvent when a stop has no step, or another end has one */
    public static function of(Finish $finish, ?int $step = null, bool $seen = true): self
    {
        if (($finish === Finish::Stopped) !== ($step !== null)) {
            throw BadEvent::at('step', 'Say at which step the learner stopped, and only then.');
        }
        if ($step !== null && $step < 1) {
            throw BadEvent::at('step', 'Steps of a model count from 1.');
        }

        return new self($finish, $step, $seen && $finish->isFinished());
    }

    /**
     * What the marks of a lesson said before it was asked how it is marked: never seen is away; the last step done is
     * finished, with help if any was asked for or given in this model; anything else stopped at the step after the last
     * one done.
     *
     * @param  int  $done  furthest step of the model done, 0 for none
     * @param  int  $steps  of the model
     */
    public static function fromMarks(int $done, int $steps, bool $helped, bool $seen): self
    {
        return match (true) {
            ! $seen => self::of(Finish::Away),
            $done >= $steps => self::of($helped ? Finish::WithHelp : Finish::Alone),
            default => self::of(Finish::Stopped, $done + 1),
        };
    }

    /**
     * The same end, whether it was seen or is presumed.
     */
    public function equals(self $that): bool
    {
        return $this->finish === $that->finish && $this->step === $that->step;
    }
}
