<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Programme\Loaded;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use Cathedra\Core\Pacing\Block;
use Cathedra\Core\Pacing\Rehearsal\Cast;
use Cathedra\Core\Pacing\Rehearsal\Course;
use Cathedra\Core\Pacing\Rehearsal\PacedStep;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;

/** The learners of a lesson as a rehearsal plays them. */
final readonly class LessonCast
{
    public function __construct(private LessonPlan $plan, private LearnedTimes $learned, private ModelShelf $shelf)
    {
    }

    /** @param  int  $seed  another number, other chance */
    public function of(Lesson $lesson, int $seed): CastData
    {
        Loaded::one($lesson);
        $times = $this->learned->times($lesson->organisation_id);
        $plan = $this->plan->rehearsable($lesson, LoadedProgramme::of($lesson, $this->shelf));
        $blocks = array_values(array_filter(
            $plan->blocks($times),
            static fn (Block $block): bool => $block->kind === 'step' && ! $block->again && ! $block->out,
        ));
        $setting = $plan->setting($times)->with([
            'bell' => null,
            'learners' => $plan->room->learners,
            'rounds' => 1,
            'steps' => array_map(static fn (Block $block): PacedStep => $block->room, $blocks),
        ]);
        $cast = Cast::of($setting, Rehearsal::chance($setting, 1, $seed), 0);
        $best = Course::best($setting, $cast);
        $learners = $lesson->learnerIds();
        $by = static fn (array $of): object => (object) array_combine($learners, array_slice($of, 0, count($learners)));

        return new CastData(
            learners: $learners,
            helpers: $lesson->helpers,
            steps: array_map(static fn (Block $block): array => [
                'step' => $block->step ?? 0,
                'show' => round($block->room->demo, 1),
                'help' => round($block->room->help, 1),
                'checkpoint' => $block->room->checkpoint,
            ], $blocks),
            seconds: $by(array_map(
                static fn (array $own): array => array_map(static fn (float $s): float => round($s, 1), $own),
                $cast->seconds,
            )),
            stuck: $by(array_map(static fn (array $own): array => array_keys(array_filter($own)), $cast->stuck)),
            missed: $by(array_map(static fn (array $own): array => array_keys(array_filter($own)), $cast->missed)),
            best: [
                'finish' => round($best->finish, 1),
                'idle' => round($best->idle, 1),
                'queue' => round($best->queue, 1),
                'gate' => $best->gate,
            ],
        );
    }
}
