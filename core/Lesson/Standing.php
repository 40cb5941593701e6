<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * Where a lesson is: folded from its log, by server numbers only.
 *
 * A move counts unless a device that did not know of it moved the lesson meanwhile: what an old device still had
 * waiting does not pull the room back.
 */
final readonly class Standing
{
    /**
     * @param  int  $step  being taught: 0 before the first, one past the last when finished
     * @param  int|null  $startedMs  the server's clock; null before teaching
     * @param  int  $pausedMs  milliseconds of pauses that have ended
     * @param  int|null  $pauseMs  since when it is paused; null when it goes on
     * @param  array<int, SeatStanding>  $seats  by learner; those of whom nothing was said are not listed
     * @param  list<string>  $late  keys of the marks that came after the end
     */
    private function __construct(
        public int $step,
        public ?int $startedMs,
        public ?int $endedMs,
        public int $pausedMs,
        public ?int $pauseMs,
        public array $seats,
        public array $late,
        public int $newest,
    ) {
    }

    public static function of(Log $log, Programme $programme): self
    {
        [$step, $started, $ended, $paused, $pause] = [0, null, null, 0, null];
        $seats = [];
        $moves = [];
        foreach ($log->counting() as $event) {
            $open = $log->ended === null || $event->number <= $log->ended;
            if ($event->kind->isMark() && $event->learner !== null) {
                $seats[$event->learner] = ($seats[$event->learner] ?? new SeatStanding)->after($event, $programme);
            } elseif ($event->kind === EventKind::Moved && $open && ! self::isStale($event, $moves)) {
                $step = (int) $event->step;
                $started ??= $event->atMs;
                $moves[$event->origin->device] = $event->number;
            } elseif ($event->kind === EventKind::Started) {
                $started ??= $event->atMs;
            } elseif ($event->number === $log->ended) {
                $ended = $event->atMs;
            } elseif ($event->kind === EventKind::Paused) {
                $pause ??= $event->atMs;
            } elseif ($event->kind === EventKind::Resumed && $pause !== null) {
                $paused += max(0, $event->atMs - $pause);
                $pause = null;
            }
        }
        ksort($seats);
        $late = array_map(static fn (Event $e): string => $e->key, $log->late());

        return new self(
            step: $step,
            startedMs: $started,
            endedMs: $ended,
            pausedMs: $paused,
            pauseMs: $pause,
            seats: $seats,
            late: $late,
            newest: $log->newest(),
        );
    }

    public function seat(int $learner): SeatStanding
    {
        return $this->seats[$learner] ?? new SeatStanding;
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

    /** @param  array<string, int>  $moves  number of the last move that counted, by device */
    private static function isStale(Event $move, array $moves): bool
    {
        unset($moves[$move->origin->device]);

        return $moves !== [] && max($moves) > $move->origin->after;
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
            'late' => $this->late,
            'newest' => $this->newest,
        ];
    }
}
