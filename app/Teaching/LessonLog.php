<?php

declare(strict_types=1);

namespace App\Teaching;

use App\Models\Lesson as Record;
use App\Models\User;
use App\Programme\LoadedProgramme;
use App\Shelf\ModelShelf;
use App\Support\Conflict;
use App\Support\Transaction;
use Carbon\CarbonImmutable;
use Cathedra\Core\Lesson\BadEvent;
use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Lesson;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Origin;
use Cathedra\Core\Lesson\Outcome;
use Cathedra\Core\Lesson\Outcomes;
use Cathedra\Core\Lesson\Slot;
use Cathedra\Core\Lesson\Standing;
use Cathedra\Core\Lesson\WaysFolded;
use Illuminate\Validation\ValidationException;

/**
 * The log of a lesson: the one place that writes it. Under a lock on the lesson's row, events get their numbers, and
 * what lists read (step, start, end, records, paper) is written from what the core says of the log, in the same
 * transaction.
 *
 * @phpstan-import-type Given from Deeds
 */
final readonly class LessonLog
{
    /** Relations the log needs. */
    public const WITH = ['group.learners', 'models', 'chosen'];

    /** Kinds whose admission looks at the whole log; the others need only know how steps are counted. */
    private const READ_ALL = ['taken-back', 'way-changed', 'unbegun'];

    public function __construct(private ModelShelf $shelf, private UsePaper $paper, private KeepRecords $records,
        private ChangeWay $ways)
    {
    }

    public function log(Record $record): Log
    {
        return Log::of(EventRows::after($record, 0)[0]);
    }

    /** @return array{Log, LogData} the whole log, for the core and for a screen, read once */
    public function whole(Record $record): array
    {
        [$events, $names] = EventRows::after($record, 0);

        return [Log::of($events), NewEvents::data($record, $events, $names)];
    }

    /**
     * Keeps deeds that are not kept yet; all of them or none.
     *
     * @param  list<Given>  $deeds
     *
     * @throws ValidationException naming the deed and the field
     * @throws Conflict when a key is used with another content
     */
    public function append(Record $record, User $who, array $deeds): Record
    {
        $ends = in_array(EventKind::Ended, array_column($deeds, 'kind'), true);
        $paper = $ends ? $this->paper->reckon($record->loadMissing(self::WITH)) : null;

        return Transaction::run(function () use ($record, $who, $deeds, $paper): Record {
            // Read under the lock: what another device changed meanwhile (a way, a learner) is changed on, not undone.
            $locked = Transaction::locked($record)->load(self::WITH);
            $new = $this->admitted($locked, $who, $deeds);
            if ($new === []) {
                return $locked;
            }
            EventRows::insert($locked, $new);
            $locked->newest = $new[count($new) - 1]->number;
            if (array_filter($new, static fn (Event $e): bool => ! $e->kind->isMark()) !== []) {
                $log = $this->log($locked);
                $programme = LoadedProgramme::of($locked, $this->shelf);
                $this->project($locked, $log, $programme);
                if ($paper !== null && $log->ended !== null) {
                    $this->paper->take($locked, $paper, $programme);
                }
            }
            $locked->save();

            return $locked;
        });
    }

    /** Writes anew what lists read of a lesson; for who comes back to its group. */
    public function recount(Record $record): void
    {
        Transaction::run(function () use ($record): void {
            $locked = Transaction::locked($record)->load(self::WITH);
            $this->project($locked, $this->log($locked), LoadedProgramme::of($locked, $this->shelf));
            $locked->save();
        });
    }

    private function lesson(Record $record): Lesson
    {
        return Lesson::of(
            Slot::of($record->starts_at->getTimestampMs(), $record->minutes),
            LoadedProgramme::of($record, $this->shelf)->core(),
            $record->learnerIds(),
        );
    }

    /** What lists read of a lesson, from its log. */
    private function project(Record $locked, Log $log, LoadedProgramme $programme): void
    {
        $core = $programme->core();
        $standing = Standing::of($log, $core);
        $time = static fn (?int $ms): ?CarbonImmutable => $ms === null
            ? null
            : CarbonImmutable::createFromTimestampMs($ms, config('app.timezone'));
        $locked->step = $standing->step;
        $locked->started_at = $time($standing->startedMs);
        $locked->ended_at = $time($standing->endedMs);
        $learners = $locked->learnerIds();
        $this->records->write($locked, Outcomes::of($log, $core, $learners), WaysFolded::of($log, $core), $learners);
    }

    /**
     * @param  list<Given>  $deeds
     * @return list<Event> those not kept yet, numbered
     */
    private function admitted(Record $locked, User $who, array $deeds): array
    {
        $known = EventRows::byKeys(array_column($deeds, 'key'));
        $lesson = $this->lesson($locked);
        $kinds = array_column($deeds, 'kind');
        $readsAll = array_intersect(array_map(static fn (EventKind $k): string => $k->value, $kinds), self::READ_ALL);
        $log = $readsAll === [] ? EventRows::changes($locked) : $this->log($locked);
        $now = CarbonImmutable::now()->getTimestampMs();
        $new = [];
        foreach ($deeds as $i => $deed) {
            try {
                $event = self::event($deed, $who, $locked->newest + count($new) + 1, $now);
                [$in, $same] = $known[$deed['key']] ?? [null, null];
                if ($same !== null) {
                    if ($in !== $locked->id || ! $same->saysTheSameAs($event)) {
                        throw Conflict::at(
                            "/events/$i/key",
                            'This key was used for something else; it is kept as it was.',
                        );
                    }

                    continue;
                }
                $lesson->admit($event, Log::of([...$log->events, ...$new]));
                if ($event->way !== null) {
                    $this->ways->change($locked, $event->way);
                    $lesson = $this->lesson($locked);
                }
            } catch (BadEvent $e) {
                throw ValidationException::withMessages(["events.$i.".self::field($e->field) => $e->getMessage()]);
            }
            $new[] = $event;
        }

        return $new;
    }

    /**
     * @param  Given  $deed
     *
     * @throws BadEvent
     */
    private static function event(array $deed, User $who, int $number, int $nowMs): Event
    {
        $correction = $deed['correction'];

        return Event::of(
            key: $deed['key'],
            kind: $deed['kind'],
            origin: new Origin($deed['device'], $deed['device_ms'], $deed['after'], $who->id),
            number: $number,
            atMs: $nowMs,
            with: [
                'learner' => $deed['learner'],
                'step' => $deed['step'],
                'cancels' => $deed['cancels'],
                'model' => $correction['model'] ?? null,
                'outcome' => $correction === null ? null : Outcome::of($correction['finish'], $correction['step']),
                'text' => $deed['text'],
                'way' => $deed['way'],
                'marks' => $deed['marks'],
                'learners' => $deed['learners'],
            ],
        );
    }

    /** The field of the request that a field of the core's event came in. */
    private static function field(string $field): string
    {
        return ['model' => 'correction.model', 'outcome' => 'correction', 'finish_step' => 'correction.step'][$field] ??
            $field;
    }
}
