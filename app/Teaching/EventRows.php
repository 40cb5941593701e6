<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\Lesson;
use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\Origin;
use Cathedra\Core\Lesson\Outcome;
use Cathedra\Core\Lesson\WayChange;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * Lines of a log between the table and the core. Read as plain rows: a full lesson has some 800, read at every look.
 */
final class EventRows
{
    /**
     * @return array{list<Event>, array<string, string>} by number, and by key the name of whose account did it
     */
    public static function after(Lesson $lesson, int $number): array
    {
        $rows = DB::table('lesson_events')->leftJoin('users', 'users.id', '=', 'lesson_events.user_id')
            ->where('lesson_id', $lesson->id)->where('number', '>', $number)->orderBy('number')
            ->get(['lesson_events.*', 'users.name as by']);
        $names = [];
        foreach ($rows as $row) {
            if ($row->by !== null) {
                $names[$row->key] = $row->by;
            }
        }

        return [array_values(array_map(self::event(...), $rows->all())), $names];
    }

    /** Only the changes of way: what is needed to know how steps are counted. */
    public static function changes(Lesson $lesson): Log
    {
        $rows = DB::table('lesson_events')->where('lesson_id', $lesson->id)
            ->where('kind', EventKind::WayChanged->value)->get();

        return Log::of(array_map(self::event(...), $rows->all()));
    }

    /**
     * @param  list<string>  $keys
     * @return array<string, array{int, Event}> lesson and event by key, of any lesson
     */
    public static function byKeys(array $keys): array
    {
        $found = [];
        foreach (DB::table('lesson_events')->whereIn('key', $keys)->get() as $row) {
            $found[$row->key] = [$row->lesson_id, self::event($row)];
        }

        return $found;
    }

    /** @param  list<Event>  $events */
    public static function insert(Lesson $lesson, array $events): void
    {
        DB::table('lesson_events')->insert(array_map(static fn (Event $e): array => [
            'lesson_id' => $lesson->id,
            'number' => $e->number,
            'key' => $e->key,
            'kind' => $e->kind->value,
            'learner_id' => $e->learner,
            'step' => $e->step,
            'cancels' => $e->cancels,
            'model' => $e->model,
            'finish' => $e->outcome?->finish->value,
            'finish_step' => $e->outcome?->step,
            'text' => $e->text,
            'way' => $e->way === null ? null : json_encode($e->way->toArray(), JSON_THROW_ON_ERROR),
            'marks' => $e->marks?->value,
            'learners' => $e->learners === [] ? null : json_encode($e->learners, JSON_THROW_ON_ERROR),
            'user_id' => $e->origin->who,
            'device' => $e->origin->device,
            'device_at' => self::time($e->origin->deviceMs),
            'after_number' => $e->origin->after,
            'at' => self::time($e->atMs),
        ], $events));
    }

    /** Local date and time with milliseconds, as the other times of the database. */
    public static function time(int $ms): string
    {
        $seconds = (int) floor($ms / 1000); // a wrong clock may stand before 1970

        return (new DateTimeImmutable("@$seconds"))->setTimezone(self::zone())->format('Y-m-d H:i:s')
            .sprintf('.%03d', $ms - 1000 * $seconds);
    }

    private static function event(stdClass $row): Event
    {
        $finish = $row->finish === null ? null : Finish::from($row->finish);

        return Event::of(
            key: $row->key,
            kind: EventKind::from($row->kind),
            origin: new Origin($row->device, self::ms($row->device_at), $row->after_number, $row->user_id),
            number: $row->number,
            atMs: self::ms($row->at),
            with: [
                'learner' => $row->learner_id,
                'step' => $row->step,
                'cancels' => $row->cancels,
                'model' => $row->model,
                'outcome' => $finish === null ? null : Outcome::of($finish, $row->finish_step),
                'text' => $row->text,
                'way' => $row->way === null ? null : self::way((string) $row->way),
                'marks' => $row->marks === null ? null : Marking::from($row->marks),
                'learners' => $row->learners === null ? null : self::learners((string) $row->learners),
            ],
        );
    }

    /** @return list<int> */
    private static function learners(string $json): array
    {
        return array_values(array_map(intval(...), (array) json_decode($json, true, flags: JSON_THROW_ON_ERROR)));
    }

    private static function way(string $json): WayChange
    {
        /** @var array{model: string, passage: string, from: string, option: string, begins: int,
         *     spans: list<array{first: int, was: int, now: int}>} $way */
        $way = json_decode($json, true, flags: JSON_THROW_ON_ERROR);

        return WayChange::of(
            model: $way['model'],
            passage: $way['passage'],
            from: $way['from'],
            option: $way['option'],
            begins: $way['begins'],
            spans: $way['spans'],
        );
    }

    private static function ms(string $time): int
    {
        $at = new DateTimeImmutable($time, self::zone());

        return 1000 * $at->getTimestamp() + (int) $at->format('v'); // 'Uv' is no number before 1970
    }

    private static function zone(): DateTimeZone
    {
        static $zone = null;

        return $zone ??= new DateTimeZone((string) config('app.timezone'));
    }
}
