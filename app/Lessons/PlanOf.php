<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Paper\Kits;
use App\Shelf\ModelFacts;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\Timeline;

/** A lesson as the core plans it. */
final readonly class PlanOf
{
    public function __construct(
        private Kits $kits,
        private LibraryFiles $files,
        private PoliciesOf $policies,
    ) {
    }

    public function __invoke(Lesson $lesson, Programme $programme, Room $room): Plan
    {
        return Plan::of(
            $room,
            $programme->loads(),
            $lesson->minutes,
            $this->squaring($lesson, $programme),
            $lesson->decorate,
            $this->policies->chosen($lesson),
            $this->files->teachingRules(),
            self::timeline($lesson),
        );
    }

    public static function timeline(Lesson $lesson): Timeline
    {
        return $lesson->blocks === null
            ? Timeline::usual($lesson->decorate)
            : Timeline::of($lesson->blocks['order'], $lesson->blocks['minutes'])->decorating($lesson->decorate);
    }

    /** Seconds of making squares in the lesson; 0 where they are made before. */
    public function squaring(Lesson $lesson, Programme $programme): int
    {
        return $lesson->square_in_lesson ? $this->squaringTime($lesson, $programme) : 0;
    }

    /** Seconds that making the squares would take in the lesson. */
    public function squaringTime(Lesson $lesson, Programme $programme): int
    {
        $factor = $this->files->times()->ages[$lesson->group->age_band]['factor'] ?? 1;
        $squares = count(array_filter($programme->models(), static fn (ModelFacts $m): bool => $m->ratio === 1.0));

        return $squares * (int) round($this->kits->squaringSeconds($lesson->method) * $factor);
    }
}
