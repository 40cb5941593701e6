<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * How every learner ended with every model. A correction by hand stands over the marks, the latest by server number;
 * marks that came after the end change nothing, but where they would, that is offered. Of whom nothing was said in a
 * lesson whose marking was said, there is no record: silence is not absence.
 *
 * @phpstan-type Offer array{learner: int, model: string, from: Outcome|null, to: Outcome}
 */
final readonly class Outcomes
{
    /**
     * @param  array<int, array<string, Outcome>>  $records  by learner and model: corrections, and the marks' word once
     *     the
     *     lesson has ended
     * @param  list<Offer>  $offers  what the late marks would change
     */
    private function __construct(public array $records, public array $offers)
    {
    }

    /** @param  list<int>  $learners */
    public static function of(Log $log, Programme $programme, array $learners): self
    {
        $corrections = self::corrections($log);
        $counted = self::tallies($log->counting(), $programme);
        $withLate = self::tallies($log->standing(), $programme);
        $lateAt = self::lateAt($log);
        $records = [];
        $offers = [];
        foreach ($learners as $learner) {
            foreach ($programme->models as $model) {
                $correction = $corrections[$learner][$model->slug] ?? null;
                $marks = self::outcome($counted[$learner] ?? [], $model);
                $silent = $log->ended === null || ($log->marks !== null && ! isset($counted[$learner]));
                $record = $correction->outcome ?? ($silent ? null : $marks);
                if ($record !== null) {
                    $records[$learner][$model->slug] = $record;
                }
                if ($log->ended === null) {
                    continue;
                }
                $late = self::outcome($withLate[$learner] ?? [], $model);
                $settled = $correction !== null && $correction->number > ($lateAt[$learner] ?? 0);
                $differs = ! $late->equals($marks) && ($record === null || ! $late->equals($record));
                if (isset($lateAt[$learner]) && ! $settled && $differs) {
                    $offers[] = ['learner' => $learner, 'model' => $model->slug, 'from' => $record, 'to' => $late];
                }
            }
        }

        return new self($records, $offers);
    }

    public function find(int $learner, string $model): ?Outcome
    {
        return $this->records[$learner][$model] ?? null;
    }

    /** @return int learners who finished every model of the lesson */
    public function finished(Programme $programme): int
    {
        return count(array_filter($this->records, static fn (array $own): bool => count(array_filter(
            $own,
            static fn (Outcome $o): bool => $o->finish->isFinished(),
        )) >= count($programme->models)));
    }

    /** @return array<int, array<string, Event>> the last correction of each learner and model */
    private static function corrections(Log $log): array
    {
        $last = [];
        foreach ($log->standing() as $event) {
            if ($event->kind === EventKind::Corrected && $event->learner !== null && $event->model !== null) {
                $last[$event->learner][$event->model] = $event;
            }
        }

        return $last;
    }

    /** @return array<int, int> number of the last late mark, by learner */
    private static function lateAt(Log $log): array
    {
        $last = [];
        foreach ($log->late() as $event) {
            $last[(int) $event->learner] = $event->number;
        }

        return $last;
    }

    /**
     * @param  list<Event>  $events
     * @return array<int, array{seen: bool, done: array<string, int>, helped: array<string, bool>}> by learner, then
     *     model
     */
    private static function tallies(array $events, Programme $programme): array
    {
        $tallies = [];
        foreach ($events as $event) {
            if (! $event->kind->isMark() || $event->learner === null) {
                continue;
            }
            $own = $tallies[$event->learner] ?? ['seen' => false, 'done' => [], 'helped' => []];
            $own['seen'] = $own['seen'] || $event->kind !== EventKind::Away;
            $model = $event->step === null ? null : $programme->at($event->step);
            if ($model !== null && $event->step !== null) {
                $reached = match ($event->kind) {
                    EventKind::Done => $model->own($event->step),
                    EventKind::FinishedEarly => $model->steps,
                    default => 0,
                };
                $own['done'][$model->slug] = max($own['done'][$model->slug] ?? 0, $reached);
                $own['helped'][$model->slug] = ($own['helped'][$model->slug] ?? false)
                    || $event->kind === EventKind::Help || $event->kind === EventKind::Helped;
            }
            $tallies[$event->learner] = $own;
        }

        return $tallies;
    }

    /** @param  array{seen?: bool, done?: array<string, int>, helped?: array<string, bool>}  $tally */
    private static function outcome(array $tally, ProgrammeModel $model): Outcome
    {
        return Outcome::fromMarks(
            $tally['done'][$model->slug] ?? 0,
            $model->steps,
            $tally['helped'][$model->slug] ?? false,
            $tally['seen'] ?? false,
        );
    }

    /**
     * The form that the table of cases and the browser's reducer share.
     *
     * @return array{records: object, offers: list<array{learner: int, model: string,
     *     from: array{string, int|null}|null, to: array{string, int|null}}>}
     */
    public function toArray(): array
    {
        $plain = static fn (Outcome $o): array => [$o->finish->value, $o->step];

        return [
            'records' => (object) array_map(
                static fn (array $own): object => (object) array_map($plain, $own),
                $this->records,
            ),
            'offers' => array_map(
                static fn (array $o): array => [
                    ...$o,
                    'from' => $o['from'] === null ? null : $plain($o['from']),
                    'to' => $plain($o['to']),
                ],
                $this->offers,
            ),
        ];
    }
}
