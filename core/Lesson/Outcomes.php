<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * How every learner ended with every model (design 15a). A correction by hand stands over the marks, the latest by
 * server number; marks that came after the end change nothing, but where they would, that is offered. What is not
 * recorded is not listed: silence is not absence.
 *
 * @phpstan-type Offer array{learner: int, model: string, from: Outcome|null, to: Outcome}
 */
final readonly class Outcomes
{
    /**
     * @param  array<int, array<string, Outcome>>  $records  by learner and model: corrections, and the marks' word once
     *     the lesson has ended
     * @param  list<Offer>  $offers  what the late marks would change
     */
    private function __construct(public array $records, public array $offers)
    {
    }

    /** @param  list<int>  $learners */
    public static function of(Log $log, Programme $programme, array $learners): self
    {
        $corrections = self::corrections($log);
        [$counted, $withLate] = $log->marks === null
            ? [EarlierMarks::of($log->counting(), $programme), EarlierMarks::of($log->standing(), $programme)]
            : [
                MarkedSeats::of($log, $programme, $log->counting()),
                MarkedSeats::of($log, $programme, $log->standing()),
            ];
        $lateAt = self::lateAt($log);
        $records = [];
        $offers = [];
        foreach ($learners as $learner) {
            foreach ($programme->models as $model) {
                $correction = $corrections[$learner][$model->slug] ?? null;
                $marks = $log->ended === null ? null : $counted->outcome($learner, $model);
                $record = $correction->outcome ?? $marks;
                if ($record !== null) {
                    $records[$learner][$model->slug] = $record;
                }
                $late = isset($lateAt[$learner]) ? $withLate->outcome($learner, $model) : null;
                $settled = $correction !== null && $correction->number > ($lateAt[$learner] ?? 0);
                if ($late === null || $log->ended === null || $settled) {
                    continue;
                }
                $differs = $marks === null || ! $late->equals($marks);
                if ($differs && ($record === null || ! $late->equals($record))) {
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
            foreach ($event->learner === null ? $event->learners : [$event->learner] as $learner) {
                $last[$learner] = $event->number;
            }
        }

        return $last;
    }

    /**
     * The form that the table of cases and the browser's reducer share.
     *
     * @return array{records: object, offers: list<array{learner: int, model: string,
     *     from: array{string, int|null, bool}|null, to: array{string, int|null, bool}}>}
     */
    public function toArray(): array
    {
        $plain = static fn (Outcome $o): array => [$o->finish->value, $o->step, $o->seen];

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
