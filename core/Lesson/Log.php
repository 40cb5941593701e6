<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * The events of a lesson in the server's order, each key once. What was taken back and what came late is decided here,
 * so that every reader agrees. All steps are counted as the lesson counts them now, whatever way was shown then.
 */
final readonly class Log
{
    /**
     * @param  list<Event>  $events  by number
     * @param  array<string, Event>  $byKey
     * @param  array<string, string>  $takenBack  key of the taker by key of what it takes back
     * @param  int|null  $ended  number of the end that stands; null while the lesson is open
     * @param  list<Event>  $changes  of way, by number
     * @param  Marking|null  $marks  what the first start said; null in lessons begun before it was asked
     */
    private function __construct(
        public array $events,
        private array $byKey,
        private array $takenBack,
        public ?int $ended,
        public array $changes,
        public ?Marking $marks,
    ) {
    }

    /**
     * @param  iterable<Event>  $events  in any order; of events with the same key the one of the lowest number counts
     */
    public static function of(iterable $events): self
    {
        $sorted = [...$events];
        usort($sorted, static fn (Event $a, Event $b): int => $a->number <=> $b->number);
        $byKey = [];
        foreach ($sorted as $event) {
            $byKey[$event->key] ??= $event;
        }
        $byKey = self::begun($byKey);
        $changes = array_values(
            array_filter($byKey, static fn (Event $e): bool => $e->kind === EventKind::WayChanged),
        );
        $byKey = array_map(static fn (Event $e): Event => self::counted($e, $changes), $byKey);
        [$ended, $marks] = [null, null];
        foreach ($byKey as $event) {
            $marks ??= $event->marks;
            $ended = match ($event->kind) {
                EventKind::Ended => $ended ?? $event->number,
                EventKind::Reopened => null,
                default => $ended,
            };
        }

        return new self(
            events: array_values($byKey),
            byKey: $byKey,
            takenBack: self::takings($byKey, $ended),
            ended: $ended,
            changes: $changes,
            marks: $marks,
        );
    }

    /**
     * Without what went with a beginning that was taken back.
     *
     * @param  array<string, Event>  $byKey
     * @return array<string, Event>
     */
    private static function begun(array $byKey): array
    {
        $none = 0;
        foreach ($byKey as $event) {
            $none = $event->kind === EventKind::Unbegun ? $event->number : $none;
        }

        return $none === 0 ? $byKey : array_filter(
            $byKey,
            static fn (Event $e): bool => $e->number >= $none || ! $e->kind->isOfABeginning(),
        );
    }

    /** An event with its step as the lesson counts them now. */
    public function now(Event $event): Event
    {
        return self::counted($event, $this->changes);
    }

    /** @param  list<Event>  $changes  by number */
    private static function counted(Event $event, array $changes): Event
    {
        foreach ($changes as $change) {
            if ($change->way !== null && $change !== $event && ! $event->knows($change)) {
                $event = $event->after($change->way);
            }
        }

        return $event;
    }

    public function find(string $key): ?Event
    {
        return $this->byKey[$key] ?? null;
    }

    public function isTakenBack(string $key): bool
    {
        return isset($this->takenBack[$key]);
    }

    public function newest(): int
    {
        return $this->events === [] ? 0 : $this->events[count($this->events) - 1]->number;
    }

    public function isLate(Event $event): bool
    {
        return $this->ended !== null && $event->number > $this->ended && $event->kind->isMark();
    }

    /** @return list<Event> marks that came after the end and were not taken back: kept and shown, not counted */
    public function late(): array
    {
        return array_values(array_filter($this->standing(), $this->isLate(...)));
    }

    /** @return list<Event> what was not taken back, late marks included */
    public function standing(): array
    {
        return array_values(array_filter($this->events, fn (Event $e): bool => ! $this->isTakenBack($e->key)));
    }

    /** @return list<Event> what counts: not taken back, not late */
    public function counting(): array
    {
        return array_values(array_filter($this->standing(), fn (Event $e): bool => ! $this->isLate($e)));
    }

    /**
     * After the end, taking back reaches only what came after it and corrections: a record does not change by an undo
     * that was under way.
     *
     * @param  array<string, Event>  $byKey
     * @return array<string, string>
     */
    private static function takings(array $byKey, ?int $ended): array
    {
        $takings = [];
        foreach ($byKey as $event) {
            $named = $event->kind === EventKind::TakenBack ? $byKey[$event->cancels] ?? null : null;
            if ($named === null || ! $named->kind->mayBeTakenBack()) {
                continue;
            }
            $whileOpen = $ended === null || $event->number < $ended;
            $reaches = $whileOpen || $named->number > $ended || ! $named->kind->isMark();
            if ($reaches) {
                $takings[$named->key] ??= $event->key;
            }
        }

        return $takings;
    }
}
