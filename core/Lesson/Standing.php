<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * Where a lesson is: folded from its log, by server numbers only (design 15a). A move counts unless a device that did
 * not know of it moved the lesson meanwhile: what an old device still had waiting does not pull the room back.
 */
final readonly class Standing
{
    /**
     * @param  int  $step  being taught: 0 before the first, one past the last when finished
     * @param  int|null  $startedMs  the server's clock; null before teaching
     * @param  int  $pausedMs  milliseconds of pauses that have ended
     * @param  int|null  $pauseMs  since when it is paused; null when it goes on
     * @param  array<int, SeatStanding>  $seats  by learner; those of whom nothing was said are not listed
     * @param  SeatStanding  $others  of whom nothing was said
     * @param  list<string>  $late  keys of the marks that came after the end
     */
    private function __construct(
        public int $step,
        public ?int $startedMs,
        public ?int $endedMs,
        public int $pausedMs,
        public ?int $pauseMs,
        public array $seats,
        public SeatStanding $others,
        public array $late,
        public int $newest,
        public ?Marking $marks,
    ) {
    }

    public static function of(Log $log, Programme $programme): self
    {
        $events = $log->counting();
        $seats = Seats::after($log, $programme, $events);
        [$ended, $paused, $pause] = [null, 0, null];
        foreach ($events as $event) {
            if ($event->number === $log->ended) {
                $ended = $event->atMs;
            } elseif ($event->kind === EventKind::Paused) {
                $pause ??= $event->atMs;
            } elseif ($event->kind === EventKind::Resumed && $pause !== null) {
                $paused += max(0, $event->atMs - $pause);
                $pause = null;
            }
        }
        $known = $seats->known;
        ksort($known);

        return new self(
            step: $seats->step,
            startedMs: $seats->beganMs,
            endedMs: $ended,
            pausedMs: $paused,
            pauseMs: $pause,
            seats: $known,
            others: $seats->others,
            late: array_map(static fn (Event $e): string => $e->key, $log->late()),
            newest: $log->newest(),
            marks: $log->marks,
        );
    }

    public function seat(int $learner): SeatStanding
    {
        return $this->seats[$learner] ?? $this->others;
    }

    /** Whether the step at hand is not yet done: by exception, whether the learner is behind at it or before. */
    public function isOpen(int $learner): bool
    {
        $seat = $this->seat($learner);

        return $this->marks === Marking::Exception
            ? $seat->behind !== null && $seat->behind <= $this->step
            : $seat->done < $this->step;
    }

    /**
     * Whether somebody saw of each of them that the step at hand is done.
     *
     * @param  list<int>  $learners
     */
    public function isLookedAt(array $learners): bool
    {
        return array_filter($learners, fn (int $l): bool => $this->seat($l)->looked < $this->step) === [];
    }

    /**
     * @param  list<int>  $learners
     * @return list<int> who waits for help, longest first
     */
    public function queue(array $learners): array
    {
        $waiting = array_filter($learners, fn (int $l): bool => $this->seat($l)->helpMs !== null);
        usort($waiting, fn (int $a, int $b): int => [$this->seat($a)->helpMs, $a] <=> [$this->seat($b)->helpMs, $b]);

        return $waiting;
    }

    /**
     * The form that the table of cases and the browser's reducer share.
     *
     * @return array<string, mixed>
     */
    public function toArray(): array
    {
        return [
            'step' => $this->step,
            'started_ms' => $this->startedMs,
            'ended_ms' => $this->endedMs,
            'paused_ms' => $this->pausedMs,
            'pause_ms' => $this->pauseMs,
            'seats' => (object) array_map(static fn (SeatStanding $s): array => $s->toArray(), $this->seats),
            'others' => $this->others->toArray(),
            'late' => $this->late,
            'newest' => $this->newest,
            'marks' => $this->marks?->value,
        ];
    }
}
