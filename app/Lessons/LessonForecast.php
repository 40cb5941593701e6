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

        return new ForecastData(
            count($answer->finishes),
            $lesson->learners(),
            ['early' => $minutes(0.1), 'middle' => $minutes(0.5), 'late' => $minutes(0.9)],
            round($answer->share ?? 0.0, 3),
            round($forecast->everybody, 3),
            array_map(static fn (array $w): array => ['t' => (int) round($w['t'])] + $w, $forecast->wave),
            array_map(static fn (array $hold): array => [
                'step' => $hold['step'],
                'minutes' => round($hold['wait'] / 60, 1),
                'from' => (int) round($hold['to'] - $hold['wait']),
                'to' => (int) round($hold['to']),
            ], $forecast->holds),
            array_map(static fn (Lever $l): array => [
                'name' => $l->name,
                'minutes' => round($l->minutes, 1),
                'share' => round($l->share, 3),
                'steps' => $l->steps,
            ], $forecast->levers),
            $times->source,
        );
    }
}
