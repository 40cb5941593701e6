<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Bin\PutBack;
use App\Models\Lesson;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Whoever lay in the bin while a lesson ended or was corrected has no record of it: it is written when he or she is
 * put back, from the log, as if nothing had been removed.
 */
final readonly class RecordsOfReturned
{
    public function __construct(private LessonLog $log)
    {
    }

    public function handle(PutBack $back): void
    {
        $time = EventRows::time($back->since->getTimestamp() * 1000);
        $changed = DB::table('lesson_events')->where('at', '>=', $time)->select('lesson_id');
        /** @var Collection<int, Lesson> $lessons */
        $lessons = Lesson::query()->where('group_id', $back->learner->group_id)->whereIn('id', $changed)
            ->orderBy('id')->get();
        foreach ($lessons as $lesson) {
            $this->log->recount($lesson);
        }
    }
}
