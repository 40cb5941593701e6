<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Learning;

use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Rules\BaseTimes;

/**
 * What the log of a taught lesson says of times. A learner folds a step from the end of its demonstration, or from the
 * own end of the step before where that is later, until the mark. Pauses do not count; who asked for help at a step
 * tells nothing of it (waiting and help are in that time), nor do marks that were made together, for nobody knows whose
 * time that is; and of a time so long or short that something else happened, nothing is learned.
 */
final class Marks
{
    /** Seconds: less is a press on two names, or a mark after the fact. */
    private const LEAST = 2.0;

    /** Times what was expected, or that share of it; more is another story. */
    private const ODD = 6.0;

    /** So many marks of one step within a second were made together. */
    private const TOGETHER = 4;

    /**
     * @param  array<int, array{fold: string, show: float, expected: float}>  $steps  by number in the lesson: kind of
     *     fold, seconds it is shown, and the seconds that half the group was expected to take at most
     * @return list<Mark> of learners, each for what was tapped
     */
    public static function of(Log $log, array $steps, string $group, string $lesson): array
    {
        $clock = TaughtClock::of($log->events);
        [$moved, $done, $helped, $together] = [[], [], [], []];
        $last = 0;
        foreach ($log->counting() as $event) {
            $t = $clock->at($event);
            if ($event->kind === EventKind::Moved && $event->step !== null) {
                // only forward: going back is another look, not a new beginning
                $event->step > $last && ($moved[$event->step] = $t);
                $last = max($last, $event->step);
            } elseif ($event->kind === EventKind::Done && $event->step !== null) {
                $done[(int) $event->learner][$event->step] ??= $t;
                $at = $event->step.':'.floor($t);
                $together[$at] = ($together[$at] ?? 0) + 1;
            } elseif (in_array($event->kind, [EventKind::Help, EventKind::Helped], true)) {
                $helped[(int) $event->learner][(int) $event->step] = true;
            }
        }
        $marks = [];
        foreach ($done as $learner => $times) {
            foreach ($times as $step => $t) {
                $of = $steps[$step] ?? null;
                $alone = ($together[$step.':'.floor($t)] ?? 0) < self::TOGETHER;
                if ($of === null || ! isset($moved[$step]) || isset($helped[$learner][$step]) || ! $alone) {
                    continue;
                }
                $from = max($moved[$step] + $of['show'], $times[$step - 1] ?? 0.0);
                $ratio = ($t - $from) / max(1.0, $of['expected']);
                if ($t - $from >= self::LEAST && $ratio <= self::ODD && $ratio >= 1 / self::ODD) {
                    $marks[] = new Mark(
                        fold: $of['fold'],
                        group: $group,
                        lesson: $lesson,
                        learner: (string) $learner,
                        ln: log($ratio),
                    );
                }
            }
        }

        return $marks;
    }

    /**
     * The same of a lesson that is marked by exception: one mark a step, of the whole room (`RoomMarks`).
     *
     * @param  array<int, array{fold: string, show: float, expected: float}>  $steps  as above
     * @param  int  $learners  in the group
     * @return list<Mark>
     */
    public static function ofTheRoom(
        Log $log,
        Programme $programme,
        array $steps,
        string $group,
        string $lesson,
        int $learners,
        BaseTimes $times,
    ): array {
        $marks = [];
        foreach (RoomMarks::of($log, $programme, $learners, TaughtClock::of($log->events)) as $one) {
            $step = $steps[$one['step']] ?? null;
            $seconds = $step === null ? 0.0 : $one['seconds'] - $step['show'];
            if ($step === null || $seconds < self::LEAST) {
                continue;
            }
            $ln = RoomMarks::middle(log($seconds / max(1.0, $step['expected'])), $one['along'], $one['here'], $times);
            if (abs($ln) <= log(self::ODD)) {
                $marks[] = new Mark(
                    fold: $step['fold'],
                    group: $group,
                    lesson: $lesson,
                    learner: RoomMarks::ROOM,
                    ln: $ln,
                    worth: $one['along'],
                    spread: RoomMarks::spread($one['along'], $one['here']),
                );
            }
        }

        return $marks;
    }
}
