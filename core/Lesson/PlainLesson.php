<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * A lesson given as plain data, whatever it says, and what its log comes to: what an independent program is compared
 * with (design 15a). Fields as in tests/cases/lesson-log.json.
 */
final readonly class PlainLesson
{
    private const NUMBER = ' must be a whole number.';

    /** @param  list<int>  $learners */
    private function __construct(private Programme $programme, private array $learners, private Log $log)
    {
    }

    /**
     * @param  mixed  $data  `programme` (slug, steps), `learners`, `events`
     *
     * @throws BadEvent naming the place, when it is not of this form; what no lesson would let in is taken
     */
    public static function of(mixed $data): self
    {
        $events = [];
        foreach (self::rows($data, 'events') as $i => $given) {
            $events[] = self::event($given, "events/$i");
        }
        $models = [];
        foreach (self::rows($data, 'programme') as $i => $given) {
            $models[] = [
                'slug' => self::word($given, 'slug', "programme/$i"),
                'steps' => self::whole($given, 'steps', "programme/$i"),
            ];
        }
        $learners = is_array($data) && is_array($data['learners'] ?? null) ? array_values($data['learners']) : [];
        foreach ($learners as $i => $learner) {
            is_int($learner) || throw BadEvent::at("learners/$i", "learners/$i".self::NUMBER);
        }

        /** @var list<int> $learners */
        return new self(Programme::of($models), $learners, Log::of($events));
    }

    /**
     * @return array{step: int, ended: bool, seats: list<array<string, mixed>>, outcomes?: list<array<string, mixed>>}
     */
    public function toArray(): array
    {
        $standing = Standing::of($this->log, $this->programme);
        $said = [
            'step' => $standing->step,
            'ended' => $this->log->ended !== null,
            'seats' => array_map(static function (int $learner) use ($standing): array {
                $seat = $standing->seat($learner);

                return [
                    'learner' => $learner,
                    'here' => ! $seat->away,
                    'done' => $seat->done,
                    'looked' => $seat->looked,
                    'behind' => $seat->behind,
                    'help' => $seat->helpMs !== null,
                ];
            }, $this->learners),
        ];

        return $this->log->ended === null ? $said : $said + ['outcomes' => $this->outcomes()];
    }

    /** @return list<array{learner: int, model: string, finish: string, step: int|null, seen: bool}> */
    private function outcomes(): array
    {
        $outcomes = Outcomes::of($this->log, $this->programme, $this->learners);
        $said = [];
        foreach ($this->learners as $learner) {
            foreach ($this->programme->models as $model) {
                $outcome = $outcomes->find($learner, $model->slug);
                $said[] = [
                    'learner' => $learner,
                    'model' => $model->slug,
                    'finish' => $outcome === null ? 'not-recorded' : $outcome->finish->value,
                    'step' => $outcome?->step,
                    'seen' => $outcome !== null && $outcome->seen,
                ];
            }
        }

        return $said;
    }

    /** @param  array<array-key, mixed>  $given */
    private static function event(array $given, string $at): Event
    {
        $kind = EventKind::tryFrom(self::word($given, 'kind', $at))
            ?? throw BadEvent::at("$at/kind", "$at/kind is nothing that can happen in a lesson.");
        $with = [];
        if ($kind->hasLearner()) {
            $with['learner'] = self::whole($given, 'learner', $at);
        }
        if ($kind->hasStep()) {
            $with['step'] = self::whole($given, 'step', $at);
        }
        $with += match ($kind) {
            EventKind::TakenBack => ['cancels' => self::word($given, 'cancels', $at)],
            EventKind::Noted => ['text' => self::word($given, 'text', $at)],
            EventKind::Started => ['marks' => self::marks($given, $at)],
            EventKind::TableDone => ['learners' => self::table($given, $at)],
            EventKind::Corrected => self::correction(self::part($given, 'correction', $at), "$at/correction"),
            EventKind::WayChanged => ['way' => self::way(self::part($given, 'way', $at), "$at/way")],
            default => [],
        };

        return Event::of(
            key: self::word($given, 'key', $at),
            kind: $kind,
            origin: new Origin(
                is_string($given['device'] ?? null) ? $given['device'] : '',
                0,
                isset($given['after']) ? self::whole($given, 'after', $at) : 0,
                null,
            ),
            number: self::whole($given, 'number', $at),
            atMs: isset($given['at_ms']) ? self::whole($given, 'at_ms', $at) : 0,
            with: $with,
        );
    }

    /** @param  array<array-key, mixed>  $given */
    private static function marks(array $given, string $at): ?Marking
    {
        return ($given['marks'] ?? null) === null ? null : Marking::tryFrom(self::word($given, 'marks', $at))
            ?? throw BadEvent::at("$at/marks", "$at/marks must be \"exception\" or \"close\".");
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return list<int>
     */
    private static function table(array $given, string $at): array
    {
        $learners = $given['learners'] ?? null;
        if (! is_array($learners) || array_filter($learners, is_int(...)) !== $learners) {
            throw BadEvent::at("$at/learners", "$at/learners must be a list of whole numbers.");
        }

        return array_values(array_unique($learners));
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return array{model: string, outcome: Outcome}
     */
    private static function correction(array $given, string $at): array
    {
        $finish = Finish::tryFrom(self::word($given, 'finish', $at))
            ?? throw BadEvent::at("$at/finish", "$at/finish is no way to end.");
        $step = isset($given['step']) ? self::whole($given, 'step', $at) : null;

        return ['model' => self::word($given, 'model', $at), 'outcome' => Outcome::of($finish, $step)];
    }

    /** @param  array<array-key, mixed>  $given */
    private static function way(array $given, string $at): WayChange
    {
        $spans = [];
        foreach (self::rows($given, 'spans') as $i => $span) {
            $spans[] = [
                'first' => self::whole($span, 'first', "$at/spans/$i"),
                'was' => self::whole($span, 'was', "$at/spans/$i"),
                'now' => self::whole($span, 'now', "$at/spans/$i"),
            ];
        }

        return WayChange::of(
            model: self::word($given, 'model', $at),
            passage: self::word($given, 'passage', $at),
            from: self::word($given, 'from', $at),
            option: self::word($given, 'option', $at),
            begins: self::whole($given, 'begins', $at),
            spans: $spans,
        );
    }

    /** @return list<array<array-key, mixed>> */
    private static function rows(mixed $data, string $key): array
    {
        $rows = is_array($data) ? $data[$key] ?? null : null;
        if (! is_array($rows) || array_filter($rows, is_array(...)) !== $rows) {
            throw BadEvent::at($key, "\"$key\" must be a list of objects.");
        }

        /** @var array<array-key, array<array-key, mixed>> $rows */
        return array_values($rows);
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return array<array-key, mixed>
     */
    private static function part(array $given, string $key, string $at): array
    {
        $value = $given[$key] ?? null;

        return is_array($value) ? $value : throw BadEvent::at("$at/$key", "$at/$key must be an object.");
    }

    /** @param  array<array-key, mixed>  $given */
    private static function word(array $given, string $key, string $at): string
    {
        $value = $given[$key] ?? null;

        return is_string($value) ? $value : throw BadEvent::at("$at/$key", "$at/$key must be a text.");
    }

    /** @param  array<array-key, mixed>  $given */
    private static function whole(array $given, string $key, string $at): int
    {
        $value = $given[$key] ?? null;

        return is_int($value) ? $value : throw BadEvent::at("$at/$key", "$at/$key".self::NUMBER);
    }
}
