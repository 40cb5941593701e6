<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** What seats say of outcomes once a lesson has ended (design 15a, "How a learner ended with a model"). */
final readonly class MarkedSeats implements Ending
{
    private function __construct(private Seats $seats, private ?Marking $marks)
    {
    }

    /** @param  list<Event>  $events */
    public static function of(Log $log, Programme $programme, array $events): self
    {
        return new self(Seats::after($log, $programme, $events), $log->marks);
    }

    public function outcome(int $learner, ProgrammeModel $model): ?Outcome
    {
        $seat = $this->seats->of($learner);
        $isReached = $this->seats->furthest >= $model->first || isset($this->seats->markedModels[$model->slug]);
        $wasHere = in_array($model->slug, $seat->wasIn, true);

        return match (true) {
            ! $isReached, $wasHere && $this->marks === Marking::Close && ! $seat->marked => null,
            ! $wasHere => Outcome::of(Finish::Away),
            $seat->done >= $model->last() => Outcome::of(
                in_array($model->slug, $seat->helpedIn, true) ? Finish::WithHelp : Finish::Alone,
                seen: $seat->looked >= $model->last(),
            ),
            default => Outcome::of(Finish::Stopped, max(1, $seat->done - $model->first + 2)),
        };
    }
}
