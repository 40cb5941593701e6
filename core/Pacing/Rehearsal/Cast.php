<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing\Rehearsal;

/** One run's chance as people: how long each learner folds each step, and whether the step stops that learner. */
final readonly class Cast
{
    /**
     * @param  list<list<float>>  $seconds  by learner, by step
     * @param  list<list<bool>>  $stuck  of who saw the step shown, by learner, by step
     * @param  list<list<bool>>  $missed  of who missed it
     */
    private function __construct(public array $seconds, public array $stuck, public array $missed)
    {
    }

    public static function of(RehearsedRoom $setting, Chance $chance, int $run): self
    {
        $between = Chance::factors($setting->between);
        $within = Chance::factors($setting->within);
        [$seconds, $stuck, $missed] = [[], [], []];
        foreach ($chance->pace[$run] as $i => $level) {
            foreach ($setting->steps as $k => $step) {
                $draw = $chance->draws[$run][$k * $setting->learners + $i];
                $seconds[$i][] = $step->fold * $setting->factor * $between[$level] * $within[$draw & 4095];
                $stuck[$i][] = ($draw >> 12) < (int) round($step->stuck * Chance::STUCK);
                $missed[$i][] = ($draw >> 12) < (int) round(min(1.0, $step->stuck * $setting->miss) * Chance::STUCK);
            }
        }

        return new self(array_values($seconds), array_values($stuck), array_values($missed));
    }
}
