<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Paper\Kits;
use App\Shelf\ModelFacts;
use App\Support\LibraryFiles;
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
        $times = $this->files->times();
        $room = new Room($lesson->learners(), $lesson->helpers, $lesson->group->age_band);
        $squares = count(array_filter($programme->models(), static fn (ModelFacts $m): bool => $m->ratio === 1.0));
        $squaring = $lesson->square_in_lesson
            ? $squares *
                (int) round(
                    $this->kits->squaringSeconds($lesson->method) * ($times->ages[$room->ageBand]['factor'] ?? 1),
                )
            : 0;

        return RunSheet::plan(
            $room,
            $programme->loads(),
            $lesson->minutes,
            $squaring,
            $times,
            $lesson->decorate,
            $this->policies->chosen($lesson),
        );
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
