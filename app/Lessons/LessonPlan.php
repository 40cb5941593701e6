<?php

declare(strict_types=1);

namespace App\Lessons;

use App\Models\Lesson;
use App\Paper\Kits;
use App\Shelf\ModelFacts;
use App\Support\LibraryFiles;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\Timeline;

/** The run sheet of a lesson, as it is set or with another programme in its place. */
final readonly class LessonPlan
{
    public function __construct(
        private Kits $kits,
        private LibraryFiles $files,
        private PoliciesOf $policies,
        private RoomOf $room,
        private Rehearsals $rehearsals,
    ) {
    }

    public function of(Lesson $lesson, Programme $programme): RunSheet
    {
        $plan = $this->rehearsable($lesson, $programme);

        return RunSheet::of($plan, $this->rehearsals->of($plan), $this->files->times());
    }

    /** The lesson as a room that can be rehearsed. */
    public function rehearsable(Lesson $lesson, Programme $programme): Plan
    {
        return Plan::of(
            ($this->room)($lesson->group, $lesson->helpers),
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

    /**
     * Every block in its order.
     *
     * @return list<array{key: string, minutes: int|null, usual: int, out: bool}>
     */
    public function blocks(Lesson $lesson, Programme $programme): array
    {
        $timeline = self::timeline($lesson);
        $squaring = $this->squaring($lesson, $programme);
        $times = $this->files->times();

        return array_map(static fn (string $key): array => [
            'key' => $key,
            'minutes' => $timeline->minutes[$key] ?? null,
            'usual' => $key === Timeline::FOLDING ? 0 : (int) round(match ($key) {
                'squaring' => $squaring,
                default => $times->blocks[str_replace('-', '_', $key)],
            } / 60),
            'out' => $key !== Timeline::FOLDING
                && $timeline->seconds($key, $squaring, $lesson->decorate, $times) <= 0.0,
        ], $timeline->order);
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
