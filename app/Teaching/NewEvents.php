<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Bin\InTheBin;
use App\Models\Lesson as Record;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\Event;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;

/**
 * What is new in the log of a lesson. Every device of a lesson asks this every few seconds, so it needs nothing of what
 * writing the log needs: a fifth of the code that answer had to load was for that.
 */
final readonly class NewEvents
{
    /**
     * The number of the newest event of a lesson.
     *
     * @throws ModelNotFoundException when the organisation has no such lesson
     * @throws InTheBin
     */
    public static function newest(int $lesson, int $organisation): int
    {
        $row = DB::table('lessons')->where('id', $lesson)->where('organisation_id', $organisation)
            ->first(['newest', 'deleted_at']) ?? throw new ModelNotFoundException();

        return $row->deleted_at === null ? (int) $row->newest : throw new InTheBin();
    }

    /** What is new after a number; one look at the lesson's row when nothing is. */
    public static function after(Record $record, int $number): LogData
    {
        return self::data($record, ...$record->newest > $number ? EventRows::after($record, $number) : [[], []]);
    }

    /**
     * @param  list<Event>  $events
     * @param  array<string, string>  $names  who did it, by key
     */
    public static function data(Record $record, array $events, array $names): LogData
    {
        $data = array_map(static fn (Event $e): EventData => EventData::of($e, $names[$e->key] ?? null), $events);

        return new LogData($record->newest, CarbonImmutable::now()->getTimestampMs(), $data);
    }
}
