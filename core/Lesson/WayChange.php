<?php

declare(strict_types=1);

namespace Cathedra\Core\Lesson;

/**
 * From here on a passage of a model is shown another way. Steps are numbered by the ways that are shown, so the event
 * carries what the change does to the numbers: where steps give way to others, and how many to how many. Whoever had
 * numbers from before finds the place of each in the new count; no mark is lost by it.
 */
final readonly class WayChange
{
    /** Stretches of steps that differ, at most; a passage and what hangs on it later has a handful. */
    private const MOST_SPANS = 40;

    /**
     * @param  string  $model  library name
     * @param  string  $passage  the route or choice of the model
     * @param  string  $from  the option shown until now
     * @param  string  $option  the option shown from now on
     * @param  int  $begins  number of the model's first step in the lesson
     * @param  non-empty-list<array{first: int, was: int, now: int}>  $spans  ascending: from step first on (of the
     *     lesson, by the old count), so many steps give way to so many
     */
    private function __construct(
        public string $model,
        public string $passage,
        public string $from,
        public string $option,
        public int $begins,
        public array $spans,
    ) {
    }

    /**
     * @param  list<array{first: int, was: int, now: int}>  $spans
     *
     * @throws BadEvent when nothing changes, or the spans are out of order
     */
    public static function of(
        string $model,
        string $passage,
        string $from,
        string $option,
        int $begins,
        array $spans,
    ): self {
        if ($from === $option || $spans === [] || count($spans) > self::MOST_SPANS) {
            throw BadEvent::at('way', 'This is the way that is shown already.');
        }
        $next = $begins;
        foreach ($spans as ['first' => $first, 'was' => $was, 'now' => $now]) {
            if ($first < $next || $was < 0 || $now < 0 || $was + $now === 0 || $begins < 1) {
                throw BadEvent::at('way', 'The steps that differ must be told in their order, each once.');
            }
            $next = $first + $was;
        }

        return new self(model: $model, passage: $passage, from: $from, option: $option, begins: $begins, spans: $spans);
    }

    /** The first step, by the old count, at which the two ways part: until it is folded, the paper is the same. */
    public function parts(): int
    {
        return $this->spans[0]['first'];
    }

    /** Last step that gives way, by the old count; one less than where the ways part when steps only come in. */
    public function ends(): int
    {
        $last = $this->spans[count($this->spans) - 1];

        return $last['first'] + $last['was'] - 1;
    }

    /** How many steps the lesson has more. */
    public function more(): int
    {
        return array_sum(array_column($this->spans, 'now')) - array_sum(array_column($this->spans, 'was'));
    }

    /**
     * What was done by the old count, by the new one. Who has folded all that gives way has this part behind her,
     * whichever way it is shown; who is in the middle of it has done what both ways have in common, and that is nothing
     * at the very start of the model.
     */
    public function done(int $step): int
    {
        [$place, $left, $now] = $this->place($step);
        $done = match ($left) {
            null => $place,
            0 => $place + $now - 1,
            default => $place - 1,
        };

        return $left !== null && $done < $this->begins ? 0 : $done;
    }

    /** The step somebody is at, by the new count: in the middle of a passage, the first step that differs. */
    public function at(int $step): int
    {
        [$place, $left, $now] = $this->place($step);

        return $left !== null && $now === 0 ? max($this->begins, $place - 1) : $place;
    }

    /**
     * @return array{int, int|null, int} new number, that of the first step that came for it where the step gave way;
     *     how many give way after it, null where it stays; and how many came
     */
    private function place(int $step): array
    {
        $shift = 0;
        foreach ($this->spans as ['first' => $first, 'was' => $was, 'now' => $now]) {
            if ($step < $first) {
                break;
            }
            if ($step < $first + $was) {
                return [$first + $shift, $first + $was - 1 - $step, $now];
            }
            $shift += $now - $was;
        }

        return [$step + $shift, null, 0];
    }

    /** @return array<string, mixed> the form in which it is stored and sent */
    public function toArray(): array
    {
        return [
            'model' => $this->model,
            'passage' => $this->passage,
            'from' => $this->from,
            'option' => $this->option,
            'begins' => $this->begins,
            'spans' => $this->spans,
        ];
    }

    public function equals(self $that): bool
    {
        return $this->toArray() === $that->toArray();
    }
}
