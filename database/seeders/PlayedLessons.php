<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Lesson;
use App\Models\User;
use App\Pacing\PlanOf;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use App\Support\LibraryFiles;
use App\Teaching\Deeds;
use App\Teaching\LessonLog;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Pacing\Rehearsal\Cast;
use Cathedra\Core\Pacing\Rehearsal\Rehearsal;
use Cathedra\Core\Pacing\Rehearsal\Trace;
use Cathedra\Core\Pacing\Room;

/**
 * Lessons of the demo that were played by the rehearsal and written into their logs as if they had been taught: so that
 * there is something to learn times from. How slow this group really is at each fold is made up, and different from the
 * library's estimates.
 *
 * @phpstan-import-type Given from Deeds
 */
final readonly class PlayedLessons
{
    private const TRULY = [
        'valley' => 0.85, 'crease' => 0.8, 'petal' => 1.25, 'inside-reverse' => 1.3, 'squash' => 1.2,
        'collapse' => 1.15, 'kite' => 1.1, 'turn-over' => 1.5,
    ];

    private const PACE = 1.15;

    public function __construct(
        private ModelShelf $shelf,
        private PlanOf $plan,
        private LibraryFiles $files,
        private LessonLog $log,
    ) {
    }

    public function play(Lesson $lesson, User $lead, int $seed): void
    {
        $times = $this->files->times()->learned(self::TRULY);
        $group = $lesson->group;
        $room = new Room(
            learners: $group->size(),
            helpers: $lesson->helpers,
            ageBand: $group->age_band,
            knows: [],
            pace: self::PACE,
        );
        $plan = ($this->plan)($lesson, LoadedProgramme::of($lesson, $this->shelf), $room);
        $setting = $plan->setting($times);
        $cast = Cast::of($setting, Rehearsal::chance($setting, 1, $seed), 0);
        $blocks = $plan->blocks($times);
        $learners = array_values($group->learners->all());
        $deeds = [];
        $end = 0.0;
        foreach (Trace::of($setting, $cast) as $happening) {
            $block = $blocks[$happening['step']];
            $at = $lesson->starts_at->addMilliseconds((int) round(1000 * $happening['t']));
            $end = max($end, $happening['t']);
            $isStep = $block->kind === 'step' && ! $block->again;
            // a learner's mark has a learner, a move has none
            if ($isStep && $block->step !== null && $happening['t'] < 60 * $lesson->minutes - 60) {
                $who = $happening['learner'] === null ? [] : ['learner' => $learners[$happening['learner']]->id];
                $deeds[] = [$at, Deeds::make(
                    $happening['kind'],
                    ['step' => $block->step] + $who,
                    (int) $at->getTimestampMs(),
                )];
            }
        }
        foreach (array_chunk($deeds, 60) as $some) {
            CarbonImmutable::setTestNow($some[count($some) - 1][0]);
            $this->log->append($lesson, $lead, array_column($some, 1));
        }
        $close = $lesson->starts_at->addSeconds((int) min(60 * $lesson->minutes, $end + 60));
        CarbonImmutable::setTestNow($close);
        $steps = LoadedProgramme::of($lesson, $this->shelf)->steps();
        $this->log->append($lesson, $lead, [
            Deeds::make(EventKind::Moved, ['step' => $steps + 1]),
            Deeds::make(EventKind::Ended),
        ]);
        CarbonImmutable::setTestNow();
    }
}
