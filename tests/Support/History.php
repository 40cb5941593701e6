<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Group;
use App\Models\Lesson;
use App\Models\Organisation;
use App\Models\User;
use App\Shelf\ModelShelf;
use App\Teaching\Deeds;
use App\Teaching\LessonLog;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\EventKind;
use Illuminate\Support\Facades\DB;

/** A group with years of lessons behind it, for bench and tests: written through the log, as lessons are. */
final class History
{
    private const DAYS_BETWEEN = 9;

    /** One learner in five stopped; the others finished. */
    public static function write(Organisation $library, User $lead, int $lessons, int $learners): Group
    {
        $group = Group::query()->create([
            'organisation_id' => $library->id,
            'name' => 'Three years',
            'age_band' => 'junior',
            'helpers' => 0,
        ]);
        for ($seat = 1; $seat <= $learners; $seat++) {
            $group->learners()->create(['name' => "N$seat", 'seat' => $seat]);
        }
        self::teach($group, $lead, $lessons);

        return $group;
    }

    /** Lessons of a group, one model after the other, the last of them the latest. */
    public static function teach(Group $group, User $lead, int $lessons): void
    {
        $models = app(ModelShelf::class)->slugs();
        $first = CarbonImmutable::now()->setTime(16, 0)->subDays(self::DAYS_BETWEEN * $lessons);
        DB::transaction(function () use ($group, $lead, $lessons, $models, $first): void {
            for ($n = 0; $n < $lessons; $n++) {
                $at = $first->addDays(self::DAYS_BETWEEN * $n);
                self::lesson($group, $lead, $models[$n % count($models)], $at);
            }
        });
    }

    /** Takes it out of the database again, with all that hangs on it. */
    public static function erase(Group $group): void
    {
        Lesson::withTrashed()->where('group_id', $group->id)->forceDelete();
        $group->forceDelete();
    }

    private static function lesson(Group $group, User $lead, string $model, CarbonImmutable $at): void
    {
        $lesson = Lesson::query()->create([
            'organisation_id' => $group->organisation_id,
            'group_id' => $group->id,
            'starts_at' => $at,
            'minutes' => 60,
            'helpers' => 0,
        ]);
        $lesson->models()->create(['place' => 0, 'model' => $model]);
        $ms = $at->getTimestampMs();
        $deeds = [Deeds::make(EventKind::Moved, ['step' => 2], $ms)];
        foreach ($group->learners as $i => $learner) {
            $with = ['learner' => $learner->id, 'step' => $i % 5 === 0 ? 1 : 2];
            $deeds[] = Deeds::make($i % 5 === 0 ? EventKind::Done : EventKind::FinishedEarly, $with, $ms);
        }
        $deeds[] = Deeds::make(EventKind::Ended, [], $ms);
        app(LessonLog::class)->append($lesson, $lead, $deeds);
    }
}
