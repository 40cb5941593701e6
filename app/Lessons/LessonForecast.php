<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\Rehearsal\Forecast;
use Cathedra\Core\Pacing\Rehearsal\Lever;
use Cathedra\Core\Pacing\Rehearsal\Plan;

/** How a lesson is likely to go. */
final readonly class LessonForecast
{
    /** Ways that are tried, at most; each is a plan of its own to rehearse. */
    private const MOST_WAYS = 12;

    public function __construct(
        private LessonPlan $plan,
        private ModelShelf $shelf,
        private LibraryFiles $files,
        private LearnedTimes $learned,
    ) {
    }

    public function of(Lesson $lesson): ForecastData
    {
        $times = $this->learned->times($lesson->organisation_id);
        $programme = Programme::of($lesson, $this->shelf);
        $ways = $lesson->started_at === null ? $this->ways($programme) : [];
        $forecast = Forecast::of(
            $this->plan->rehearsable($lesson, $programme),
            $times,
            $this->files->policies(),
            array_map(fn (LeverWay $way): Plan => $this->plan->rehearsable(
                $lesson,
                Programme::of($lesson, $this->shelf, [
                    $way->model => [
                        ...$programme->find($way->model)->ways ?? [],
                        $way->passage => $way->option,
                    ],
                ]),
            ), $ways),
        );

        return new ForecastData(
            count($forecast->now->answer->finishes),
            $lesson->learners(),
            OutlookData::of($forecast->now),
            array_map(static fn (Lever $l): array => [
                'name' => $l->name,
                'minutes' => round($l->minutes, 1),
                'share' => round($l->share, 3),
                'steps' => $l->steps,
                'way' => $l->other === null ? null : $ways[$l->other],
                'then' => OutlookData::of($l->then),
            ], $forecast->levers),
            $this->learned->said($lesson->organisation_id),
        );
    }

    /** @return list<LeverWay> one passage another way, each */
    private function ways(Programme $programme): array
    {
        $ways = [];
        foreach ($programme->items as $item) {
            foreach ($item->passages as $passage) {
                foreach ($passage['options'] as $option => $title) {
                    if ($option !== $passage['option']) {
                        $ways[] = new LeverWay(
                            $item->slug,
                            $passage['name'],
                            $option,
                            $passage['option'],
                            $passage['title'],
                            $title,
                            $passage['first'],
                        );
                    }
                }
            }
        }

        return array_slice($ways, 0, self::MOST_WAYS);
    }
}
