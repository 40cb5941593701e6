<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Live;

use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Lesson\Seats;
use Cathedra\Core\Pacing\Learning\TaughtClock;

/** What the log of a lesson that is under way says of its room. Seconds on a clock that stands still in pauses. */
final readonly class SoFar
{
    /**
     * @param  int  $step  the furthest step the lesson has been at; 0 before the first, one past the last at the end
     * @param  float  $since  when that step was reached
     * @param  list<array{step: int, seconds: float, along: int}>  $taught  steps after which the room went on to the
     *     next, how long each took from its showing on, and how many of those here were not behind at it then
     * @param  list<SeatSoFar>  $seats  of those who are here
     */
    private function __construct(
        public int $step,
        public float $since,
        public float $now,
        public array $taught,
        public array $seats,
    ) {
    }

    /**
     * @param  list<int>  $learners  of the group
     * @param  int  $nowMs  the server's clock
     */
    public static function of(Log $log, Programme $programme, array $learners, int $nowMs): self
    {
        $clock = TaughtClock::of($log->events);
        $seats = Seats::before($log, $programme);
        [$since, $taught, $said] = [0.0, [], []];
        foreach ($log->counting() as $event) {
            $t = $clock->at($event);
            $before = $seats->furthest;
            $along = self::along($seats, $log->marks, $learners);
            $seats->tell($event);
            if ($seats->furthest > $before) {
                // a step that was jumped over says nothing of how long steps take
                if ($before > 0 && $seats->furthest === $before + 1) {
                    $taught[] = ['step' => $before, 'seconds' => max(0.0, $t - $since), 'along' => $along];
                }
                $since = $t;
            }
            foreach (self::spokenOf($event) as $learner) {
                $said[$learner] = $t;
            }
        }
        $here = array_filter($learners, static fn (int $l): bool => ! $seats->of($l)->away);

        return new self(
            step: $seats->furthest,
            since: $since,
            now: $clock->atMs($nowMs),
            taught: $taught,
            seats: array_values(array_map(static fn (int $l): SeatSoFar => new SeatSoFar(
                learner: $l,
                behind: self::behind($seats, $log->marks, $l),
                said: $said[$l] ?? $since,
                waits: $seats->of($l)->helpMs !== null,
                looked: $seats->of($l)->looked,
            ), $here)),
        );
    }

    /** Seconds from when the step at hand was reached. */
    public function atIt(): float
    {
        return max(0.0, $this->now - $this->since);
    }

    /** @return list<int> */
    private static function spokenOf(Event $event): array
    {
        $isOne = $event->learner !== null && $event->kind !== EventKind::Corrected && $event->kind->isMark();

        return $isOne ? [(int) $event->learner] : $event->learners;
    }

    /** @param  list<int>  $learners */
    private static function along(Seats $seats, ?Marking $marks, array $learners): int
    {
        return count(array_filter($learners, static fn (int $l): bool => ! $seats->of($l)->away
            && ($marks === Marking::Exception
                ? $seats->of($l)->behind === null
                : $seats->of($l)->done >= $seats->furthest)));
    }

    /** Where every done is tapped, who has not done the step before the one at hand is behind. */
    private static function behind(Seats $seats, ?Marking $marks, int $learner): ?int
    {
        $seat = $seats->of($learner);
        $next = $seat->done + 1;

        return $marks === Marking::Exception ? $seat->behind : ($next < $seats->furthest ? $next : null);
    }
}
