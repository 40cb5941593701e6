<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Pacing\Block;
use Cathedra\Core\Pacing\Live\SoFar;
use Cathedra\Core\Pacing\Rehearsal\Cast;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\Trace;
use Cathedra\Core\Rules\BaseTimes;

/**
 * A lesson of one model that the rehearsal's room plays, as a lead marks it by exception: whoever is two steps behind
 * when the room goes on is said to be so, and along again when caught up. Learners are numbered from 0.
 *
 * @phpstan-import-type Happening from Trace
 */
final readonly class TaughtRoom
{
    /**
     * @param  list<Happening>  $happenings
     * @param  list<Block>  $blocks
     * @param  float  $finish  seconds from the start of the slot until the last learner has folded
     */
    private function __construct(
        private array $happenings,
        private array $blocks,
        private int $learners,
        public int $steps,
        public float $finish,
    ) {
    }

    /** @param  float  $slower  how many times as long this room folds as is planned */
    public static function played(Plan $plan, BaseTimes $times, float $slower, int $seed): self
    {
        $setting = $plan->setting($times);
        $room = $setting->with(['factor' => $slower * $setting->factor]);
        $happenings = Trace::of($room, Cast::of($room, Rehearsal::chance($room, 1, $seed), 0));
        $done = array_filter($happenings, static fn (array $one): bool => $one['kind'] === EventKind::Done);

        return new self(
            happenings: $happenings,
            blocks: $plan->blocks($times),
            learners: $setting->learners,
            steps: count($plan->models[0]->steps),
            finish: max([0.0, ...array_column($done, 't')]),
        );
    }

    /**
     * What is known when the room goes on to a step.
     *
     * @return array{SoFar, float} and when that is, seconds from the start of the slot
     */
    public function at(int $step): array
    {
        $lines = ['1 started marks:exception'];
        $add = static function (string $line) use (&$lines): void {
            $lines[] = (count($lines) + 1)." $line";
        };
        $done = array_fill(0, max(1, $this->learners), 0);
        [$behind, $at, $now] = [[], 0, 0.0];
        foreach ($this->happenings as ['t' => $t, 'kind' => $kind, 'learner' => $learner, 'step' => $k]) {
            $block = $this->blocks[$k];
            if ($block->kind !== 'step' || $block->out || $block->step === null) {
                continue;
            }
            $time = 't:'.round($t, 3);
            if ($kind === EventKind::Moved) {
                foreach ($done as $l => $has) {
                    if ($has < $at - 1 && ! isset($behind[$l])) {
                        $behind[$l] = true;
                        $add("not-yet $l @".($has + 1)." $time");
                    }
                }
                [$at, $now] = [$block->step, $t];
                $add("moved @$at $time");
                if ($at === $step) {
                    break;
                }
            } elseif ($kind === EventKind::Done && $learner !== null) {
                $done[$learner] = $block->step;
                if (isset($behind[$learner])) {
                    $isAlong = $at <= $block->step;
                    $add($isAlong ? "along $learner $time" : "not-yet $learner @".($block->step + 1)." $time");
                    if ($isAlong) {
                        unset($behind[$learner]);
                    }
                }
            }
        }

        return [self::soFar($lines, $this->steps, $this->learners, $now), $now];
    }

    /** @param  list<string>  $lines  of a log, as in `Logs::plain` */
    public static function soFar(array $lines, int $steps, int $learners, float $now): SoFar
    {
        return SoFar::of(
            self::log($lines),
            Programme::of([['slug' => 'cup', 'steps' => $steps]]),
            range(0, $learners - 1),
            (int) round(1000 * $now),
        );
    }

    /** @param  list<string>  $lines */
    private static function log(array $lines): Log
    {
        return Logs::of(Logs::plain(...$lines));
    }
}
