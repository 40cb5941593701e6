<?php

declare(strict_types=1);

namespace App\Pacing;

use App\Models\Lesson;
use App\Programme\LoadedProgramme;
use Cathedra\Core\Pacing\Rehearsal\Plan;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\Timeline;

/** The run sheet of a lesson, as it is set or with another programme in its place. */
final readonly class LessonPlan
{
    public function __construct(
        private PlanOf $plan,
        private RoomOf $room,
        private LearnedTimes $learned,
        private Rehearsals $rehearsals,
    ) {
    }

    public function of(Lesson $lesson, LoadedProgramme $programme): RunSheet
    {
        $plan = $this->rehearsable($lesson, $programme);
        $times = $this->learned->times($lesson->organisation_id);

        return RunSheet::of($plan, $this->rehearsals->of($plan, $times), $times);
    }

    /** The lesson as a room that can be rehearsed. */
    public function rehearsable(Lesson $lesson, LoadedProgramme $programme): Plan
    {
        return ($this->plan)($lesson, $programme, ($this->room)($lesson->group, $lesson->helpers));
    }

    /**
     * Every block in its order.
     *
     * @return list<array{key: string, minutes: int|null, usual: int, out: bool}>
     */
    public function blocks(Lesson $lesson, LoadedProgramme $programme): array
    {
        $timeline = PlanOf::timeline($lesson);
        $squaring = $this->plan->squaring($lesson, $programme);
        $wanted = $this->plan->squaringTime($lesson, $programme);
        $times = $this->learned->times($lesson->organisation_id);

        return array_map(static fn (string $key): array => [
            'key' => $key,
            'minutes' => $timeline->minutes[$key] ?? null,
            'usual' => $key === Timeline::FOLDING ? 0 : (int) round(match ($key) {
                'squaring' => $wanted,
                default => $times->blocks[str_replace('-', '_', $key)],
            } / 60),
            'out' => $key !== Timeline::FOLDING
                && $timeline->seconds($key, $squaring, $lesson->decorate, $times) <= 0.0,
        ], $timeline->order);
    }

    /** Minutes the lesson needs, a begun one counted as a whole one. */
    public function minutes(Lesson $lesson, LoadedProgramme $programme): int
    {
        return self::whole($this->of($lesson, $programme)->needed);
    }

    public static function whole(int $seconds): int
    {
        return (int) ceil($seconds / 60);
    }
}
