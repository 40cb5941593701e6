<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\Rehearsal\Answer;
use Cathedra\Core\Pacing\Rehearsal\Forecast;
use Cathedra\Core\Pacing\Rehearsal\Lever;

/** How a lesson is likely to go. */
final readonly class LessonForecast
{
    public function __construct(
        private LessonPlan $plan,
        private ModelShelf $shelf,
        private LibraryFiles $files,
    ) {
    }

    public function of(Lesson $lesson): ForecastData
    {
        $times = $this->files->times();
        $plan = $this->plan->rehearsable($lesson, Programme::of($lesson, $this->shelf));
        $forecast = Forecast::of($plan, $times, $this->files->policies());
        $answer = $forecast->answer;
        $minutes = static fn (float $p): int => LessonPlan::whole(
            (int) ceil(Answer::quantile($answer->finishes, $p) + $forecast->after),
        );
        $bell = 60 * $lesson->minutes - $times->blocks['clear'] - $forecast->after;

        return new ForecastData(
            count($answer->finishes),
            $lesson->learners(),
            ['early' => $minutes(0.1), 'middle' => $minutes(0.5), 'late' => $minutes(0.9)],
            round($answer->share ?? 0.0, 3),
            round($answer->allDoneBy($bell), 3),
            self::wave($forecast),
            self::holds($forecast),
            array_map(static fn (Lever $l): array => [
                'name' => $l->name,
                'minutes' => round($l->minutes, 1),
                'share' => round($l->share, 3),
                'steps' => $l->steps,
            ], $forecast->levers),
            $times->source,
        );
    }

    /** @return list<array{t: int, slowest: int, middle: int, fastest: int}> by steps of the lesson done */
    private static function wave(Forecast $forecast): array
    {
        $done = static fn (int $at): int => max([
            0,
            ...array_filter(array_slice($forecast->numbers, 0, $at - 1)),
        ]);

        $all = count($forecast->numbers);
        $wave = [];
        foreach ($forecast->answer->wave as $w) {
            $wave[] = [
                't' => (int) round($w['t_s']),
                'slowest' => $done($w['slowest']),
                'middle' => $done($w['middle']),
                'fastest' => $done($w['fastest']),
            ];
            if ($w['slowest'] > $all) {
                break; // nine of ten are done; the rest is a long tail
            }
        }

        return $wave;
    }

    /** @return list<array{step: int, minutes: float, from: int, to: int}> */
    private static function holds(Forecast $forecast): array
    {
        $ends = [];
        $at = 0.0;
        foreach ($forecast->demos as $k => $demo) {
            $at += $demo + $forecast->answer->holds[$k];
            $ends[$forecast->numbers[$k] ?? 0] = $at;
        }

        return array_map(static fn (array $hold): array => [
            'step' => $hold['step'],
            'minutes' => round($hold['minutes'], 1),
            'from' => (int) round($ends[$hold['step']] - 60 * $hold['minutes']),
            'to' => (int) round($ends[$hold['step']]),
        ], $forecast->holds);
    }
}
