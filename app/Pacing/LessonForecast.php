<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Programme\Loaded;
use App\Programme\LoadedProgramme;
use App\Programme\ProgrammeItem;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Rehearsal\Lever;
use Cathedra\Core\Pacing\StepTimes;
use Cathedra\Core\Rules\BaseTimes;

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
        private EasierModel $easier,
        private PaperLevers $papers,
        private Rehearsals $rehearsals,
    ) {
    }

    public function of(Lesson $lesson): ForecastData
    {
        Loaded::one($lesson);
        $times = $this->learned->times($lesson->organisation_id);
        $programme = LoadedProgramme::of($lesson, $this->shelf);
        $plan = $this->plan->rehearsable($lesson, $programme);
        $isOpen = $lesson->started_at === null;
        $ways = $isOpen ? $this->ways($programme, $times) : [];
        $isShort = $this->plan->of($lesson, $programme)->spare() < 0;
        $easier = $isOpen && $isShort ? $this->easier->than($programme, $lesson->group, $lesson->minutes) : null;
        $others = array_map(fn (LeverWay $way): array => ['way', $this->plan->rehearsable(
            $lesson,
            LoadedProgramme::of($lesson, $this->shelf, [
                $way->model => [
                    ...$programme->find($way->model)->ways ?? [],
                    $way->passage => $way->option,
                ],
            ]),
        )], $ways);
        if ($easier !== null) {
            $load = new ModelLoad($this->shelf->loads($easier->slug), $this->shelf->diagonals($easier->slug));
            $others[] = ['easier', $plan->with(['models' => [$load, ...array_slice($plan->models, 1)]])];
        }
        $papers = [];
        foreach ($isOpen ? $this->papers->of($lesson, $programme, $plan) : [] as $paper) {
            $papers[count($others)] = $paper;
            $others[] = [$paper->name, $paper->plan];
        }
        $forecast = $this->rehearsals->forecast($plan, $times, $this->files->policies(), $others);

        return new ForecastData(
            runs: count($forecast->now->answer->finishes),
            learners: $lesson->learners(),
            now: OutlookData::of($forecast->now),
            levers: array_map(static fn (Lever $l): array => [
                'name' => $l->name,
                'minutes' => round($l->minutes, 1),
                'share' => round($l->share, 3),
                'steps' => $l->steps,
                'way' => $l->other === null ? null : $ways[$l->other] ?? null,
                'model' => $l->name === 'easier' && $easier !== null
                    ? ['slug' => $easier->slug, 'title' => $easier->title, 'folds' => $easier->folds]
                    : ['slug' => '', 'title' => '', 'folds' => ''],
                'paper' => ($papers[$l->other ?? -1] ?? null)?->data()
                    ?? ['stock' => null, 'title' => '', 'mm' => null],
                'then' => OutlookData::of($l->then),
            ], $forecast->levers),
            source: $this->learned->said($lesson),
        );
    }

    /** @return list<LeverWay> one passage another way, each; of many those that take the least time by themselves */
    private function ways(LoadedProgramme $programme, BaseTimes $times): array
    {
        $ways = $seconds = [];
        foreach ($programme->items as $item) {
            foreach ($item->passages as $passage) {
                foreach ($passage['options'] as $option => $title) {
                    if ($option !== $passage['option']) {
                        $ways[] = new LeverWay(
                            model: $item->slug,
                            passage: $passage['name'],
                            option: $option,
                            was: $passage['option'],
                            question: $passage['title'],
                            title: $title,
                            first: $passage['first'],
                        );
                        $seconds[] = $this->seconds(
                            $item,
                            [$passage['name'] => $option],
                            $times,
                        ) - $this->seconds($item, [$passage['name'] => $passage['option']], $times);
                    }
                }
            }
        }

        array_multisort($seconds, $ways);

        return array_slice($ways, 0, self::MOST_WAYS);
    }

    /**
     * Showing and folding, before anybody waits; by the usual ways else, which are always kept.
     *
     * @param  array<string, string>  $ways
     */
    private function seconds(ProgrammeItem $item, array $ways, BaseTimes $times): float
    {
        return array_sum(array_map(
            static fn (StepTimes $step): float => $step->show + $step->fold,
            StepTimes::of(new ModelLoad($this->shelf->loads($item->slug, $ways)), $times),
        ));
    }
}
