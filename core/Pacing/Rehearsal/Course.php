<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

use Cathedra\Core\Lesson\EventKind;

/** How one played lesson went, from what happened in it: the figures that a lead's own rehearsal is held against. */
final readonly class Course
{
    /** Shares of the room that simple rules wait for before they show the next step. */
    private const GATES = [0.5, 0.6, 0.7, 0.8, 0.9, 1.0];

    /**
     * @param  float  $finish  seconds until the last learner is done
     * @param  float  $idle  minutes that a learner waited to be shown the next step, mean
     * @param  float  $queue  minutes that a learner waited for help, mean
     * @param  float  $gate  the share that was waited for
     */
    private function __construct(
        public float $finish,
        public float $idle,
        public float $queue,
        public float $gate,
    ) {
    }

    /** The simple rule, "go on when so many have it", by which these people are done first. */
    public static function best(RehearsedRoom $setting, Cast $cast): self
    {
        $courses = array_map(
            static fn (float $gate): self => self::of($setting->with(['gate' => $gate]), $cast),
            self::GATES,
        );
        usort($courses, static fn (self $a, self $b): int => [$a->finish, $a->idle] <=> [$b->finish, $b->idle]);

        return $courses[0];
    }

    public static function of(RehearsedRoom $setting, Cast $cast): self
    {
        [$finish, $idle, $queue] = [0.0, 0.0, 0.0];
        $moved = $asked = $done = [];
        $happenings = Trace::of($setting, $cast);
        foreach ($happenings as ['t' => $t, 'kind' => $kind, 'learner' => $learner, 'step' => $step]) {
            if ($kind === EventKind::Moved) {
                $moved[$step] = $t;
            } elseif ($kind === EventKind::Help) {
                $asked[$learner] = $t;
            } elseif ($kind === EventKind::Helped) {
                $slow = $setting->helpers === 0 ? RehearsedRoom::ALONE : 1.0;
                $queue += $t - $slow * $setting->steps[$step]->help - $asked[$learner];
            } elseif ($kind === EventKind::Done) {
                $finish = max($finish, $t);
                $done[] = [$step, $t];
            }
        }
        foreach ($done as [$step, $t]) {
            $idle += max(0.0, ($moved[$step + 1] ?? $t) - $t);
        }

        return new self(
            $finish,
            $idle / 60 / $setting->learners,
            max(0.0, $queue) / 60 / $setting->learners,
            $setting->gate,
        );
    }
}
