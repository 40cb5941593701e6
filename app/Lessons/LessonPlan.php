<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Paper\Kits;
use App\Shelf\ModelFacts;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\RunSheet;

/** The run sheet of a lesson, as it is set or with another programme in its place. */
final readonly class LessonPlan
{
    public function __construct(
        private Kits $kits,
        private LibraryFiles $files,
        private PoliciesOf $policies,
    ) {
    }

    public function of(Lesson $lesson, Programme $programme): RunSheet
    {
        return RunSheet::plan(
            self::room($lesson),
            $programme->loads(),
            $lesson->minutes,
            $this->squaring($lesson, $programme),
            $this->files->times(),
            $lesson->decorate,
            $this->policies->chosen($lesson),
        );
    }

    /** The same lesson as a room that can be rehearsed. */
    public function rehearsable(Lesson $lesson, Programme $programme): Plan
    {
        return Plan::of(
            self::room($lesson),
            $programme->loads(),
            $lesson->minutes,
            $this->squaring($lesson, $programme),
            $lesson->decorate,
            $this->policies->chosen($lesson),
            $this->files->teachingRules(),
        );
    }

    private static function room(Lesson $lesson): Room
    {
        return new Room($lesson->learners(), $lesson->helpers, $lesson->group->age_band);
    }

    /** Seconds of making squares in the lesson. */
    private function squaring(Lesson $lesson, Programme $programme): int
    {
        $factor = $this->files->times()->ages[$lesson->group->age_band]['factor'] ?? 1;
        $squares = count(array_filter($programme->models(), static fn (ModelFacts $m): bool => $m->ratio === 1.0));

        return $lesson->square_in_lesson
            ? $squares * (int) round($this->kits->squaringSeconds($lesson->method) * $factor)
            : 0;
    }

    /** Minutes the lesson needs, a begun one counted as a whole one. */
    public function minutes(Lesson $lesson, Programme $programme): int
    {
        return self::whole($this->of($lesson, $programme)->needed);
    }

    public static function whole(int $seconds): int
    {
        return (int) ceil($seconds / 60);
    }
}
