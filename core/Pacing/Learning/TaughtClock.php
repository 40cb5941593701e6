<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;

/**
 * When things happened in a lesson, in seconds on a clock that stands still in pauses. Times are the device's, put on
 * the server's clock by its quickest event, so that what was sent late counts when it happened.
 */
final readonly class TaughtClock
{
    /** What ends a pause: who goes to another step teaches again, whether that was said or not. */
    private const GOES_ON = [EventKind::Resumed, EventKind::Moved, EventKind::Ended];

    /**
     * @param  array<string, int>  $lag  milliseconds from a device's clock to the server's
     * @param  list<array{float, float}>  $pauses  from, to; the last may be open until INF
     */
    private function __construct(private array $lag, private array $pauses)
    {
    }

    /** @param  list<Event>  $events  of one lesson, by number */
    public static function of(array $events): self
    {
        $lag = [];
        foreach ($events as $event) {
            $device = $event->origin->device;
            $late = $event->atMs - $event->origin->deviceMs;
            $lag[$device] = min($lag[$device] ?? $late, $late);
        }
        $true = static fn (Event $e): float => ($e->origin->deviceMs + $lag[$e->origin->device]) / 1000;
        $pauses = [];
        $since = null;
        foreach ($events as $event) {
            if ($event->kind === EventKind::Paused) {
                $since ??= $true($event);
            } elseif ($since !== null && in_array($event->kind, self::GOES_ON, true)) {
                $pauses[] = [$since, $true($event)];
                $since = null;
            }
        }
        if ($since !== null) {
            $pauses[] = [$since, INF];
        }

        return new self($lag, $pauses);
    }

    public function at(Event $event): float
    {
        return $this->without(($event->origin->deviceMs + $this->lag[$event->origin->device]) / 1000);
    }

    /** The same for a moment of the server's clock. */
    public function atMs(int $ms): float
    {
        return $this->without($ms / 1000);
    }

    private function without(float $t): float
    {
        $still = 0.0;
        foreach ($this->pauses as [$from, $to]) {
            $still += max(0.0, min($t, $to) - $from);
        }

        return $t - $still;
    }
}
