<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\Origin;
use Cathedra\Core\Lesson\Outcome;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Lesson\WayChange;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Logs written briefly, and logs made at random, for the tests of both the core and the browser's reducer. */
final class Logs
{
    /**
     * Events as the API gives them, in a line each: "3 done 7 @2" is number 3: learner 7 has done step 2. After that,
     * in any order: "dev:B" device, "after:2" newest number known, "t:90" seconds after the start of time, "key:x",
     * "cancels:x", "finish:cup/stopped/3", "marks:close", "of:1,2" (a table).
     *
     * @return list<array<string, mixed>>
     */
    public static function plain(string ...$lines): array
    {
        return array_values(array_map(self::line(...), $lines));
    }

    /** @param  list<array<string, mixed>>  $plain */
    public static function of(array $plain): Log
    {
        return Log::of(array_map(self::event(...), $plain));
    }

    /** @param  array<string, mixed>  $e */
    public static function event(array $e): Event
    {
        $correction = $e['correction'] ?? null;

        return Event::of(
            key: $e['key'],
            kind: EventKind::from($e['kind']),
            origin: new Origin($e['device'], $e['at_ms'], $e['after'], null),
            number: $e['number'],
            atMs: $e['at_ms'],
            with: [
                'learner' => $e['learner'] ?? null,
                'step' => $e['step'] ?? null,
                'cancels' => $e['cancels'] ?? null,
                'model' => $correction['model'] ?? null,
                'outcome' => $correction === null
                    ? null
                    : Outcome::of(Finish::from($correction['finish']), $correction['step']),
                'text' => $e['text'] ?? null,
                'way' => isset($e['way']) ? self::way($e['way']) : null,
                'marks' => isset($e['marks']) ? Marking::from($e['marks']) : null,
                'learners' => $e['learners'] ?? null,
            ],
        );
    }

    /** @param  array<string, mixed>  $way */
    public static function way(array $way): WayChange
    {
        return WayChange::of(
            model: $way['model'],
            passage: $way['passage'],
            from: $way['from'],
            option: $way['option'],
            begins: $way['begins'],
            spans: $way['spans'],
        );
    }

    /**
     * A log as two devices and three learners might make it, with everything that can happen, often against all sense.
     *
     * @return array{programme: list<array{slug: string, steps: int}>, learners: list<int>, events: list<array<string,
     *     mixed>>}
     */
    public static function random(int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $programme = [['slug' => 'cup', 'steps' => $chance->getInt(1, 5)]];
        if ($chance->getInt(0, 1) === 1) {
            $programme[] = ['slug' => 'crane', 'steps' => $chance->getInt(1, 6)];
        }
        $learners = [1, 2, 3];
        $events = [];
        $changes = []; // of way, with the programme as it was before
        $count = $chance->getInt(1, 28);
        for ($n = 1; $n <= $count; $n++) {
            $kind = $n === 1 && $chance->getInt(0, 3) > 0 ? 'started' : self::pick($chance, [
                'done',
                'done',
                'done',
                'done',
                'help',
                'helped',
                'moved',
                'moved',
                'taken-back',
                'taken-back',
                'away',
                'came',
                'left',
                'finished-early',
                'started',
                'paused',
                'resumed',
                'ended',
                'reopened',
                'corrected',
                'noted',
                'way-changed',
                'not-yet',
                'not-yet',
                'along',
                'all-done',
                'table-done',
                'shown',
                'unbegun',
            ]);
            $of = EventKind::from($kind);
            $event = [
                'key' => "k$n",
                'kind' => $kind,
                'number' => $n,
                'at_ms' => 1000 * $n * $chance->getInt(1, 3),
                'device' => self::pick($chance, ['A', 'B']),
                'after' => max(0, $n - $chance->getInt(1, 6)),
            ];
            // a device counts steps by the ways it knows of
            $known = $programme;
            foreach (array_reverse($changes) as [$number, $device, $before]) {
                $known = $event['after'] >= $number || $event['device'] === $device ? $known : $before;
            }
            $steps = array_sum(array_column($known, 'steps'));
            $event += $of->hasLearner() ? ['learner' => $learners[$chance->getInt(0, 2)]] : [];
            $event += $of->hasStep()
                ? ['step' => $kind === 'moved' ? $chance->getInt(0, $steps + 1) : $chance->getInt(1, $steps)]
                : [];
            $event += match ($kind) {
                'taken-back' => ['cancels' => 'k'.$chance->getInt(1, $count)],
                'corrected' => ['correction' => self::correction($chance, $known)],
                'noted' => ['text' => 'A note.'],
                'started' => [[], ['marks' => 'close'], ['marks' => 'exception']][$chance->getInt(0, 2)],
                'table-done' => ['learners' => $chance->pickArrayKeys([1 => 0, 2 => 0, 3 => 0], $chance->getInt(1, 3))],
                'way-changed' => ['way' => self::change($chance, $programme, $n)],
                default => [],
            };
            $events[] = $event;
            if (isset($event['way'])) {
                $changes[] = [$n, $event['device'], $programme];
                $programme = self::changed($programme, $event['way']);
            }
        }
        $repeats = array_slice($events, 0, $chance->getInt(0, 3)); // the same again, as after a lost answer
        $shuffled = $chance->shuffleArray([...$events, ...$repeats]);

        return ['programme' => $programme, 'learners' => $learners, 'events' => array_values($shuffled)];
    }

    /**
     * @param  list<array{slug: string, steps: int, passages?: list<array{name: string, option: string,
     *     last: int}>}>  $programme
     */
    public static function programme(array $programme): Programme
    {
        return Programme::of($programme);
    }

    /**
     * @param  list<array{slug: string, steps: int}>  $programme
     * @return array{model: string, finish: string, step: int|null}
     */
    private static function correction(Randomizer $chance, array $programme): array
    {
        $model = $programme[$chance->getInt(0, count($programme) - 1)];
        $finish = self::pick($chance, ['alone', 'help', 'stopped', 'away']);

        return [
            'model' => $model['slug'],
            'finish' => $finish,
            'step' => $finish === 'stopped' ? $chance->getInt(1, $model['steps']) : null,
        ];
    }

    /**
     * A change of one or two stretches of a model, that leaves it a step at least.
     *
     * @param  list<array{slug: string, steps: int}>  $programme
     * @return array<string, mixed>
     */
    private static function change(Randomizer $chance, array $programme, int $n): array
    {
        $which = $chance->getInt(0, count($programme) - 1);
        $begins = 1 + array_sum(array_column(array_slice($programme, 0, $which), 'steps'));
        $last = $begins + $programme[$which]['steps'] - 1;
        $first = $chance->getInt($begins, $last);
        $was = $chance->getInt(0, $last - $first + 1);
        $spans = [['first' => $first, 'was' => $was, 'now' => $chance->getInt(1, 3)]];
        if ($first + $was + 1 < $last) {
            $spans[] = ['first' => $first + $was + 1, 'was' => 1, 'now' => $chance->getInt(0, 2)];
        }

        return ['model' => $programme[$which]['slug'], 'passage' => 'legs', 'from' => "way$n", 'option' => "way$n+",
            'begins' => $begins, 'spans' => $spans];
    }

    /**
     * @param  list<array{slug: string, steps: int}>  $programme
     * @param  array<string, mixed>  $way
     * @return list<array{slug: string, steps: int}>
     */
    private static function changed(array $programme, array $way): array
    {
        return array_map(static fn (array $model): array => $model['slug'] === $way['model']
            ? ['slug' => $model['slug'], 'steps' => $model['steps'] + self::way($way)->more()]
            : $model, $programme);
    }

    /** @param  non-empty-list<string>  $from */
    private static function pick(Randomizer $chance, array $from): string
    {
        return $from[$chance->getInt(0, count($from) - 1)];
    }

    /** @return array<string, mixed> */
    private static function line(string $line): array
    {
        $words = preg_split('/ +/', trim($line)) ?: [];
        $number = (int) array_shift($words);
        $event = [
            'key' => "k$number",
            'kind' => array_shift($words),
            'number' => $number,
            'at_ms' => $number * 1000,
            'device' => 'A',
            'after' => $number - 1,
        ];
        foreach ($words as $word) {
            [$name, $value] = [...explode(':', $word, 2), ''];
            if (ctype_digit($word)) {
                $event['learner'] = (int) $word;
            } elseif ($word[0] === '@') {
                $event['step'] = (int) substr($word, 1);
            } else {
                $event = [
                    ...$event,
                    ...match ($name) {
                        'dev' => ['device' => $value],
                        'after' => ['after' => (int) $value],
                        't' => ['at_ms' => (int) $value * 1000],
                        'key' => ['key' => $value],
                        'cancels' => ['cancels' => $value],
                        'text' => ['text' => $value],
                        'marks' => ['marks' => $value],
                        'of' => ['learners' => array_map(intval(...), explode(',', $value))],
                        'finish' => ['correction' => self::ending($value)],
                        default => throw new \LogicException("\"$word\" is no part of an event."),
                    },
                ];
            }
        }

        return $event;
    }

    /** @return array{model: string, finish: string, step: int|null} of "cup/stopped/3" */
    private static function ending(string $value): array
    {
        [$model, $finish, $step] = [...explode('/', $value), null, null];

        return [
            'model' => (string) $model,
            'finish' => (string) $finish,
            'step' => $step === null ? null : (int) $step,
        ];
    }
}
