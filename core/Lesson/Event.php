<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/** One line of a lesson's log. */
final readonly class Event
{
    /** Learners at one table at most. */
    public const MAX_TABLE = 60;

    /** Signs of a note at most. */
    public const MAX_TEXT = 400;

    private function __construct(
        /** made by the device; the same deed sent twice has the same key */
        public string $key,
        public EventKind $kind,
        public Origin $origin,
        /** of the server, within the lesson, from 1: the order in which things count */
        public int $number,
        /** the server's clock, milliseconds since 1970 */
        public int $atMs,
        public ?int $learner,
        /** of the lesson, numbered through; 0 before the first, one past the last at the end (moved only) */
        public ?int $step,
        /** key of the event that this one takes back */
        public ?string $cancels,
        /** library name; corrected only */
        public ?string $model,
        /** corrected only */
        public ?Outcome $outcome,
        /** noted only */
        public ?string $text,
        /** way-changed only */
        public ?WayChange $way,
        /** started only, and there only since it is asked */
        public ?Marking $marks,
        /**
         * of whom a table-done speaks
         *
         * @var list<int>
         */
        public array $learners,
    ) {
    }

    /**
     * Keeps exactly what belongs to the kind; everything else given is refused rather than ignored.
     *
     * @param  array{learner?: int|null, step?: int|null, cancels?: string|null, model?: string|null,
     *     outcome?: Outcome|null, text?: string|null, way?: WayChange|null, marks?: Marking|null,
     *     learners?: list<int>|null}  $with
     *
     * @throws BadEvent naming the field
     */
    public static function of(
        string $key,
        EventKind $kind,
        Origin $origin,
        int $number,
        int $atMs,
        array $with = [],
    ): self {
        $wanted = [
            'learner' => $kind->hasLearner(),
            'step' => $kind->hasStep(),
            'cancels' => $kind === EventKind::TakenBack,
            'model' => $kind === EventKind::Corrected,
            'outcome' => $kind === EventKind::Corrected,
            'text' => $kind === EventKind::Noted,
            'way' => $kind === EventKind::WayChanged,
            'learners' => $kind === EventKind::TableDone,
        ];
        foreach ($wanted as $field => $needed) {
            $given = isset($with[$field]);
            if ($needed !== $given) {
                throw BadEvent::at($field, $needed
                    ? "An event \"{$kind->value}\" needs \"$field\"."
                    : "An event \"{$kind->value}\" has no \"$field\".");
            }
        }
        if (isset($with['marks']) && $kind !== EventKind::Started) {
            throw BadEvent::at('marks', "An event \"{$kind->value}\" has no \"marks\".");
        }
        $table = $with['learners'] ?? [];
        if (count($table) > self::MAX_TABLE || count(array_unique($table)) < count($table)) {
            throw BadEvent::at('learners', 'A table has at most '.self::MAX_TABLE.' learners, each once.');
        }
        if (isset($with['text']) && mb_strlen($with['text']) > self::MAX_TEXT) {
            throw BadEvent::at('text', 'A note has at most '.self::MAX_TEXT.' characters.');
        }

        return new self(
            key: $key,
            kind: $kind,
            origin: $origin,
            number: $number,
            atMs: $atMs,
            learner: $with['learner'] ?? null,
            step: $with['step'] ?? null,
            cancels: $with['cancels'] ?? null,
            model: $with['model'] ?? null,
            outcome: $with['outcome'] ?? null,
            text: $with['text'] ?? null,
            way: $with['way'] ?? null,
            marks: $with['marks'] ?? null,
            learners: $with['learners'] ?? [],
        );
    }

    /**
     * Whether whoever did this knew of a change of way, and so counts steps by it: the device had seen its number, or
     * had made it itself.
     */
    public function knows(self $change): bool
    {
        return $this->origin->after >= $change->number
            || ($this->number > $change->number && $this->origin->device === $change->origin->device);
    }

    /** The same with its step counted as the lesson is after a change of way that it did not know of. */
    public function after(WayChange $change): self
    {
        $step = $this->step === null ? null : match ($this->kind) {
            EventKind::Done, EventKind::AllDone, EventKind::TableDone => $change->done($this->step),
            default => $change->at($this->step),
        };
        $outcome = $this->outcome;
        if ($outcome?->step !== null && $this->model === $change->model) {
            $own = $change->at($outcome->step + $change->begins - 1) - $change->begins + 1;
            $outcome = Outcome::of($outcome->finish, $own);
        }

        return new self(
            key: $this->key,
            kind: $this->kind,
            origin: $this->origin,
            number: $this->number,
            atMs: $this->atMs,
            learner: $this->learner,
            step: $step,
            cancels: $this->cancels,
            model: $this->model,
            outcome: $outcome,
            text: $this->text,
            way: $this->way,
            marks: $this->marks,
            learners: $this->learners,
        );
    }

    /** Whether both say the same, however often and whenever they were sent. */
    public function saysTheSameAs(self $that): bool
    {
        return $this->key === $that->key
            && $this->kind === $that->kind
            && $this->learner === $that->learner
            && $this->step === $that->step
            && $this->cancels === $that->cancels
            && $this->model === $that->model
            && $this->text === $that->text
            && $this->marks === $that->marks
            && $this->learners === $that->learners
            && ($this->way?->toArray() === $that->way?->toArray())
            && ($this->outcome === null ? $that->outcome === null
                : $that->outcome !== null && $this->outcome->equals($that->outcome));
    }
}
