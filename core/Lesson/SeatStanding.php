<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** How far one learner is. */
final readonly class SeatStanding
{
    /**
     * @param  int  $done  furthest step of the lesson done, 0 for none
     * @param  int|null  $helpMs  since when the learner waits for help, the server's clock; null when not waiting
     * @param  int|null  $helpStep  at which step
     * @param  bool  $away  known not to be in the room (never came, or left)
     * @param  bool  $seen  was there at some time
     */
    public function __construct(
        public int $done = 0,
        public ?int $helpMs = null,
        public ?int $helpStep = null,
        public bool $away = false,
        public bool $seen = false,
    ) {
    }

    /** @param  Programme  $programme  says which step finishing early reaches */
    public function after(Event $event, Programme $programme): self
    {
        $step = $event->step ?? 0;

        return match ($event->kind) {
            EventKind::Done => new self(max($this->done, $step), seen: true),
            EventKind::FinishedEarly => new self(max($this->done, $programme->at($step)?->last() ?? $step), seen: true),
            EventKind::Help => new self($this->done, $this->helpMs ?? $event->atMs, $step, seen: true),
            EventKind::Helped, EventKind::Came => new self($this->done, seen: true),
            EventKind::Left => new self($this->done, away: true, seen: true),
            EventKind::Away => new self($this->done, away: true, seen: $this->seen),
            default => $this,
        };
    }

    /** @return array{done: int, help_ms: int|null, help_step: int|null, away: bool, seen: bool} */
    public function toArray(): array
    {
        return [
            'done' => $this->done,
            'help_ms' => $this->helpMs,
            'help_step' => $this->helpStep,
            'away' => $this->away,
            'seen' => $this->seen,
        ];
    }
}
