<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** What marks say of outcomes in lessons begun before it was asked how they are marked: who was never seen is away. */
final readonly class EarlierMarks implements Ending
{
    /**
     * @param  array<int, array{seen: bool, done: array<string, int>, helped: array<string, bool>}>  $tallies  by
     *     learner, then model
     */
    private function __construct(private array $tallies)
    {
    }

    /** @param  list<Event>  $events */
    public static function of(array $events, Programme $programme): self
    {
        return new self(self::tallies($events, $programme));
    }

    public function outcome(int $learner, ProgrammeModel $model): Outcome
    {
        $tally = $this->tallies[$learner] ?? [];

        return Outcome::fromMarks(
            $tally['done'][$model->slug] ?? 0,
            $model->steps,
            $tally['helped'][$model->slug] ?? false,
            $tally['seen'] ?? false,
        );
    }

    /**
     * @param  list<Event>  $events
     * @return array<int, array{seen: bool, done: array<string, int>, helped: array<string, bool>}> by learner, then
     *     model
     */
    private static function tallies(array $events, Programme $programme): array
    {
        $tallies = [];
        foreach ($events as $event) {
            if (! $event->kind->isMark() || $event->learner === null) {
                continue;
            }
            $own = $tallies[$event->learner] ?? ['seen' => false, 'done' => [], 'helped' => []];
            $own['seen'] = $own['seen'] || $event->kind !== EventKind::Away;
            $model = $event->step === null ? null : $programme->at($event->step);
            if ($model !== null && $event->step !== null) {
                $reached = match ($event->kind) {
                    EventKind::Done => $model->own($event->step),
                    EventKind::FinishedEarly => $model->steps,
                    default => 0,
                };
                $own['done'][$model->slug] = max($own['done'][$model->slug] ?? 0, $reached);
                $own['helped'][$model->slug] = ($own['helped'][$model->slug] ?? false)
                    || $event->kind === EventKind::Help || $event->kind === EventKind::Helped;
            }
            $tallies[$event->learner] = $own;
        }

        return $tallies;
    }
}
