<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Log;

/**
 * How long the steps of a taught lesson were shown, of those where the lead said that it was over: from the moment a
 * step was gone to until the first "shown" of it. Pauses do not count; a step that was gone back to is shown again, and
 * says nothing.
 */
final readonly class ShownSteps
{
    /** Seconds: less is a press too many. */
    private const LEAST = 1.0;

    /** Times what was planned, or that share of it; more is another story. */
    private const ODD = 8.0;

    /**
     * @param  string  $lead  who began the lesson; '' where nobody is known
     * @param  array<int, float>  $seconds  by number of the step in the lesson
     */
    private function __construct(public string $lead, public array $seconds)
    {
    }

    public static function of(Log $log): self
    {
        $clock = TaughtClock::of($log->events);
        [$lead, $seconds] = ['', []];
        [$step, $since] = [0, null];
        foreach ($log->counting() as $event) {
            $t = $clock->at($event);
            if ($event->kind === EventKind::Moved && $event->step !== null) {
                $lead = $lead === '' ? (string) $event->origin->who : $lead;
                $since = $event->step > $step ? $t : null;
                $step = max($step, $event->step);
            } elseif ($event->kind === EventKind::Shown && $event->step === $step && $since !== null) {
                $seconds[$step] = $t - $since;
                $since = null;
            }
        }

        return new self($lead, array_filter($seconds, static fn (float $s): bool => $s >= self::LEAST));
    }

    /**
     * What it says of the lead, beside what was planned.
     *
     * @param  array<int, array{show: float}>  $steps  seconds that a step was planned to be shown, by its number
     * @return list<float> ln of the seconds over those, step by step
     */
    public function beside(array $steps): array
    {
        $found = [];
        foreach ($this->seconds as $step => $seconds) {
            $planned = $steps[$step]['show'] ?? 0.0;
            if ($planned >= self::LEAST && abs(log($seconds / $planned)) <= log(self::ODD)) {
                $found[] = log($seconds / $planned);
            }
        }

        return $found;
    }

    /**
     * The steps as they were shown; where nobody said, as this lead shows.
     *
     * @param  array<int, array{fold: string, show: float, expected: float}>  $steps  as planned
     * @param  float  $factor  of the lead, on what is planned
     * @return array<int, array{fold: string, show: float, expected: float}>
     */
    public function put(array $steps, float $factor): array
    {
        foreach ($steps as $step => $of) {
            $steps[$step]['show'] = $this->seconds[$step] ?? $factor * $of['show'];
        }

        return $steps;
    }
}
