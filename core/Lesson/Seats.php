<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * All seats of a room as events are told, one after the other in the server's order. Of whom nothing was said yet is
 * one seat, `others`: silence is kept once, not per learner.
 */
final class Seats
{
    /** @var array<int, SeatStanding> by learner: of whom something was said */
    public array $known = [];

    public SeatStanding $others;

    /** The lesson's step. */
    public int $step = 0;

    /** The furthest step the lesson has been at. */
    public int $furthest = 0;

    /** @var array<string, true> models of which a mark has a step */
    public array $markedModels = [];

    /** When the lesson began, by the server's clock; null before that. */
    public ?int $beganMs = null;

    /** @var array<string, int> number of the last move that counted, by device */
    private array $moves = [];

    private function __construct(private readonly Log $log, private readonly Programme $programme)
    {
        $this->others = new SeatStanding;
    }

    /** Before anything was told. */
    public static function before(Log $log, Programme $programme): self
    {
        return new self($log, $programme);
    }

    /** @param  iterable<Event>  $events  of the log, by number */
    public static function after(Log $log, Programme $programme, iterable $events): self
    {
        $seats = new self($log, $programme);
        foreach ($events as $event) {
            $seats->tell($event);
        }

        return $seats;
    }

    /** What happened next. */
    public function tell(Event $event): void
    {
        if ($event->kind->isMark()) {
            $this->mark($event);
        } elseif ($event->kind === EventKind::Moved && $this->counts($event)) {
            $this->beganMs ??= $event->atMs;
            $this->moves[$event->origin->device] = $event->number;
            $this->moved((int) $event->step);
        } elseif ($event->kind === EventKind::Started) {
            $this->beganMs ??= $event->atMs;
        } elseif ($event->kind === EventKind::Ended) {
            $this->ended();
        }
    }

    /** A move after the end does not count, nor one of a device that did not know of another device's move. */
    private function counts(Event $move): bool
    {
        $others = $this->moves;
        unset($others[$move->origin->device]);
        $isStale = $others !== [] && max($others) > $move->origin->after;

        return ! $isStale && ($this->log->ended === null || $move->number <= $this->log->ended);
    }

    public function of(int $learner): SeatStanding
    {
        return $this->known[$learner] ?? $this->others;
    }

    /** The lesson is at a step now: who is along has the steps before. */
    private function moved(int $step): void
    {
        $this->step = $step;
        $this->furthest = max($this->furthest, $step);
        if ($this->log->marks === null) {
            return;
        }
        $presumed = $this->log->marks === Marking::Exception ? $step - 1 : 0;
        $model = $this->programme->at($step)?->slug;
        $this->forAllHere(static fn (SeatStanding $s): SeatStanding => $s->presumed($presumed)->wasIn($model));
    }

    /** The lesson ends: at the last step of a model, who is along has it. */
    private function ended(): void
    {
        if ($this->log->marks === Marking::Exception && $this->programme->at($this->step)?->last() === $this->step) {
            $this->forAllHere(fn (SeatStanding $s): SeatStanding => $s->presumed($this->step));
        }
    }

    private function mark(Event $event): void
    {
        $model = $event->step === null ? null : $this->programme->at($event->step)?->slug;
        if ($model !== null) {
            $this->markedModels[$model] = true;
        }
        $step = (int) $event->step;
        if ($event->kind === EventKind::AllDone) {
            $this->log->marks !== null && $this->forAllHere(
                static fn (SeatStanding $s): SeatStanding => $s->done($step, $model),
            );
        } elseif ($event->kind === EventKind::TableDone) {
            foreach ($this->log->marks === null ? [] : $event->learners as $learner) {
                if (! $this->of($learner)->away) {
                    $this->known[$learner] = $this->of($learner)->done($step, $model);
                }
            }
        } elseif ($event->learner !== null) {
            $seat = $this->of($event->learner);
            $this->known[$event->learner] = $this->log->marks === null
                ? $this->earlier($seat, $event)
                : $this->told($seat, $event, $model);
        }
    }

    private function told(SeatStanding $seat, Event $event, ?string $model): SeatStanding
    {
        $step = (int) $event->step;
        $isLoose = $this->log->marks === Marking::Exception;

        return match ($event->kind) {
            EventKind::Done => $seat->done($step, $model),
            EventKind::FinishedEarly => $seat->done($this->programme->at($step)?->last() ?? $step, $model),
            EventKind::NotYet => $seat->notYet($step, $model),
            EventKind::Help => $seat->askingHelp($step, $model, $event->atMs),
            EventKind::Helped => $seat->helped($model),
            EventKind::Along => $seat->along($isLoose ? $this->step - 1 : 0),
            EventKind::Came => $isLoose && $this->step >= 2 ? $seat->here()->late() : $seat->here(),
            EventKind::Left => $seat->left(wasHere: true),
            EventKind::Away => $seat->left(wasHere: false),
            default => $seat,
        };
    }

    /** Lessons begun before it was asked how they are marked: a done ends help wherever it was asked for. */
    private function earlier(SeatStanding $seat, Event $event): SeatStanding
    {
        $step = (int) $event->step;
        $reached = match ($event->kind) {
            EventKind::Done => $step,
            EventKind::FinishedEarly => $this->programme->at($step)?->last() ?? $step,
            default => 0,
        };
        $done = max($seat->done, $reached);

        return match ($event->kind) {
            EventKind::Done, EventKind::FinishedEarly => new SeatStanding($done, $done, seen: true),
            EventKind::Help => new SeatStanding(
                done: $done,
                looked: $done,
                helpMs: $seat->helpMs ?? $event->atMs,
                helpStep: $step,
                seen: true,
            ),
            EventKind::Helped, EventKind::Came => new SeatStanding($done, $done, seen: true),
            EventKind::Left => new SeatStanding($done, $done, away: true, seen: true),
            EventKind::Away => new SeatStanding($done, $done, away: true, seen: $seat->seen),
            default => $seat,
        };
    }

    /** @param  callable(SeatStanding): SeatStanding  $to */
    private function forAllHere(callable $to): void
    {
        foreach ($this->known as $learner => $seat) {
            $this->known[$learner] = $seat->away ? $seat : $to($seat);
        }
        $this->others = $to($this->others);
    }
}
