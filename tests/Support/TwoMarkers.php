<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Pacing\Rehearsal\Cast;
use Cathedra\Core\Pacing\Rehearsal\PacedStep;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\RehearsedRoom;
use Cathedra\Core\Pacing\Rehearsal\Trace;
use Random\Randomizer;

/**
 * A room of the rehearsal that a lead and a helper mark by exception, each on a device of their own.
 *
 * @phpstan-import-type Happening from Trace
 */
final class TwoMarkers
{
    /** @return list<Happening> of a room that folds as is expected */
    public static function room(int $learners, int $steps, int $seed): array
    {
        $room = new RehearsedRoom(
            learners: $learners,
            helpers: 1,
            gate: 0.8,
            between: 0.35,
            within: 0.25,
            factor: 1.0,
            miss: 2.0,
            bell: null,
            steps: array_fill(
                0,
                max(1, $steps),
                new PacedStep(demo: 20, fold: 40, stuck: 0.05, help: 40, checkpoint: false),
            ),
        );

        return Trace::of($room, Cast::of($room, Rehearsal::chance($room, 1, $seed), 0));
    }

    /**
     * What the two say: the lead's steps, a "not yet" of the helper for whoever is two steps behind when the room goes
     * on, "along" when caught up, and at the end a look at some.
     *
     * @param  list<Happening>  $happenings
     * @return array{list<string>, array<int, int>, array<int, true>} lines for `Logs::plain` after the first, where
     *     those stopped who were left behind, and who was looked at
     */
    public static function said(array $happenings, int $learners, int $steps, Randomizer $chance): array
    {
        $done = array_fill(0, max(1, $learners), 0);
        [$lines, $behind, $seen] = [[], [], []];
        $at = 0;
        $add = static function (string $line) use (&$lines): void {
            $lines[] = (count($lines) + 2)." $line";
        };
        // some go home before they have caught up
        $last = intdiv(count($happenings) * $chance->getInt(70, 100), 100);
        foreach (array_slice($happenings, 0, $last) as $one) {
            if ($one['kind'] === EventKind::Moved) {
                foreach ($done as $learner => $reached) {
                    if ($reached < $at - 1 && ! isset($behind[$learner])) {
                        $behind[$learner] = $reached + 1;
                        $add("not-yet $learner @{$behind[$learner]} dev:helper");
                    }
                }
                $at = $one['step'] + 1;
                $add("moved @$at dev:lead");
            } elseif ($one['kind'] === EventKind::Done && $one['learner'] !== null) {
                $done[$one['learner']] = $one['step'] + 1;
                if (isset($behind[$one['learner']]) && $at <= $one['step'] + 1) {
                    unset($behind[$one['learner']]);
                    $add("along {$one['learner']} dev:helper");
                }
            }
        }
        for ($step = $at + 1; $step <= $steps; $step++) {
            $add("moved @$step dev:lead");
        }
        foreach ($chance->pickArrayKeys($done, $chance->getInt(1, $learners)) as $learner) {
            if (! isset($behind[$learner]) && $chance->getInt(0, 2) === 0) {
                $seen[$learner] = true;
                $add("done $learner @$steps dev:helper");
            }
        }
        $add('moved @'.($steps + 1).' dev:lead');
        $add('ended dev:lead');

        return [$lines, $behind, $seen];
    }
}
