<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** A lesson as its log needs to know it: when, what, who. */
final readonly class Lesson
{
    /** How long a beginning can be taken back. */
    public const WRONG_BEGINNING_MS = 600_000;

    /**
     * @param  list<int>  $learners  who may be marked
     */
    private function __construct(public Slot $slot, public Programme $programme, public array $learners)
    {
    }

    /** @param  list<int>  $learners */
    public static function of(Slot $slot, Programme $programme, array $learners): self
    {
        return new self($slot, $programme, array_values(array_unique($learners)));
    }

    /**
     * Whether an event can belong to this lesson, given what its log holds. No clock is asked: a device whose clock is
     * wrong teaches as well as any, for the server's numbers order what happened.
     *
     * @throws BadEvent naming the field and what would do
     */
    public function admit(Event $event, Log $log): void
    {
        if ($event->learner !== null && ! in_array($event->learner, $this->learners, true)) {
            throw BadEvent::at('learner', 'That learner is not in this group.');
        }
        if (array_diff($event->learners, $this->learners) !== []) {
            throw BadEvent::at('learners', 'Somebody at that table is not in this group.');
        }
        $this->admitStep($log->now($event));
        $this->admitTakingBack($event, $log);
        if ($event->way !== null) {
            $this->admitWay($event->way, $log);
        }
        if ($event->kind === EventKind::Unbegun) {
            $this->admitUnbegun($event, $log);
        }
    }

    /** A beginning is taken back soon, and before anything was said of how far somebody is. */
    private function admitUnbegun(Event $event, Log $log): void
    {
        $began = Standing::of($log, $this->programme)->startedMs;
        if ($began === null || $log->ended !== null) {
            throw BadEvent::at('kind', 'This lesson is not being taught, so no beginning can be taken back.');
        }
        if ($event->atMs - $began > self::WRONG_BEGINNING_MS) {
            throw BadEvent::at('kind', 'A beginning can be taken back for ten minutes. End the lesson here instead.');
        }
        $said = array_filter($log->counting(), static fn (Event $e): bool => $e->kind->isMark() && $e->step !== null);
        if ($said !== []) {
            throw BadEvent::at('kind', 'Somebody was marked at a step already. Take those marks back first.');
        }
    }

    private function admitStep(Event $event): void
    {
        $steps = $this->programme->steps();
        [$least, $most] = $event->kind === EventKind::Moved ? [0, $steps + 1] : [1, $steps];
        if ($event->step !== null && ($event->step < $least || $event->step > $most)) {
            throw BadEvent::at('step', "That step does not belong to this lesson; it has $least to $most.");
        }
        if ($event->model === null) {
            return;
        }
        $model =
            $this->programme->find($event->model) ?? throw BadEvent::at('model', 'That model is not in this lesson.');
        if ($event->outcome?->step !== null && $event->outcome->step > $model->steps) {
            throw BadEvent::at('finish_step', "That step does not belong to this model; it has 1 to {$model->steps}.");
        }
    }

    /** A way is changed while both ways have the same paper before them: the group has not gone past that. */
    private function admitWay(WayChange $way, Log $log): void
    {
        $model = $this->programme->find($way->model) ?? throw BadEvent::at('way', 'That model is not in this lesson.');
        if ($way->begins !== $model->first || $way->ends() > $model->last()) {
            throw BadEvent::at('way', 'The steps of this lesson are counted otherwise by now. Look again and choose.');
        }
        if ($log->ended !== null) {
            throw BadEvent::at('way', 'This lesson has ended; its ways stay as they were shown.');
        }
        $step = Standing::of($log, $this->programme)->step;
        if ($step > $way->parts()) {
            throw BadEvent::at('way', sprintf(
                'Both ways have the same paper until step %1$d only, and the group is at step %2$d. '
                    .'Go back to step %1$d to show the other way, or leave this passage as it is.',
                $way->parts(),
                $step,
            ));
        }
    }

    private function admitTakingBack(Event $event, Log $log): void
    {
        if ($event->cancels === null) {
            return;
        }
        $named =
            $log->find($event->cancels) ??
            throw BadEvent::at('cancels', 'There is nothing of that key in this lesson that could be taken back.');
        if (! $named->kind->mayBeTakenBack()) {
            throw BadEvent::at('cancels', "\"{$named->kind->value}\" cannot be taken back.");
        }
        if ($log->isTakenBack($event->cancels)) {
            throw BadEvent::at('cancels', 'This was taken back already.');
        }
    }
}
