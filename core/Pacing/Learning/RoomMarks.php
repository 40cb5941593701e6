<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Lesson\Seats;
use Cathedra\Core\Lesson\SeatStanding;
use Cathedra\Core\Numeric\Normal;
use Cathedra\Core\Rules\BaseTimes;

/**
 * What a lesson that is marked by exception says of times: nobody is tapped who is along, but the lead goes on when
 * the slowest of those along has the step. With N learners who began it when it was shown, r of them along, and
 * ln(seconds / expected) of each ~ N(mu, s^2), s^2 = spread^2 + own_spread^2, the moment is the r-th of N in order,
 * whose mean is
 *
 *     mu + s z((r - 3/8) / (N + 1/4))
 *
 * (Blom's approximation of normal order statistics). So every step is one observation of mu, made by the room as if by
 * one learner: its slowest are much the same from step to step. "All have it" says the moment more exactly than the
 * next step does.
 */
final class RoomMarks
{
    /** The learner in whose name the room speaks. */
    public const ROOM = 'room';

    /** Fewer say nothing of an order. */
    private const LEAST = 2;

    private int $step = 0;

    /** When the step at hand was shown first; null once it has spoken. */
    private ?float $since = null;

    /** Learners who began the step at hand when it was shown. */
    private int $started = 0;

    /** @var list<array{step: int, seconds: float, along: int, here: int}> */
    private array $found = [];

    private function __construct(private readonly Seats $seats, private readonly int $learners)
    {
    }

    /**
     * @param  int  $learners  in the group
     * @return list<array{step: int, seconds: float, along: int, here: int}> from the beginning of a demonstration until
     *     those along had the step, by step
     */
    public static function of(Log $log, Programme $programme, int $learners, TaughtClock $clock): array
    {
        $self = new self(Seats::before($log, $programme), $learners);
        foreach ($log->counting() as $event) {
            $self->before($event, $clock->at($event));
            $self->seats->tell($event);
            $self->after($clock->at($event));
        }

        return $self->found;
    }

    /** ln of what half the room would have taken, over what was expected, from when the slowest along had it. */
    public static function middle(float $ln, int $along, int $here, BaseTimes $times): float
    {
        $s = sqrt($times->spread ** 2 + $times->ownSpread ** 2);

        return $ln - $s * Normal::quantile(($along - 0.375) / ($here + 0.25));
    }

    /**
     * Variance of the r-th of N standard normals, by the delta method: p (1 - p) / ((N + 2) phi(z)^2) with Blom's p.
     */
    public static function spread(int $along, int $here): float
    {
        $p = ($along - 0.375) / ($here + 0.25);
        $density = exp(-Normal::quantile($p) ** 2 / 2) / sqrt(2 * M_PI);

        return $p * (1 - $p) / (($here + 2) * $density ** 2);
    }

    private function before(Event $event, float $t): void
    {
        $goesOn = $event->kind === EventKind::Moved && (int) $event->step > $this->step;
        $allHave = $event->kind === EventKind::AllDone && (int) $event->step === $this->step;
        $ends = $event->kind === EventKind::Ended;
        if ($this->since === null || ! ($goesOn || $allHave || $ends)) {
            return;
        }
        // Who was behind already when the step was shown began it late, so the others alone stand in order.
        $here = $this->seats();
        $slower = $this->seats(static fn (SeatStanding $seat, int $step): bool => $seat->behind === $step);
        $started = min($here, $this->started);
        if ($started - $slower >= self::LEAST) {
            $this->found[] = [
                'step' => $this->step,
                'seconds' => $t - $this->since,
                'along' => $started - $slower,
                'here' => $started,
            ];
        }
        $this->since = null;
    }

    /** Only forward: going back is another look, not a new beginning. */
    private function after(float $t): void
    {
        if ($this->seats->step > $this->step) {
            [$this->step, $this->since] = [$this->seats->step, $t];
            $behind = $this->seats(static fn (SeatStanding $seat): bool => $seat->behind !== null);
            $this->started = $this->seats() - $behind;
        }
    }

    /** @param  (callable(SeatStanding, int): bool)|null  $that  null: all who are here */
    private function seats(?callable $that = null): int
    {
        $of = array_filter($this->seats->known, fn (SeatStanding $seat): bool => $that === null
            ? $seat->away
            : ! $seat->away && $that($seat, $this->step));

        return $that === null ? $this->learners - count($of) : count($of);
    }
}
