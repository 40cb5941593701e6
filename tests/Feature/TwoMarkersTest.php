<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Lesson;
use App\Models\User;
use Illuminate\Support\Str;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Logs;
use Tests\Support\TwoMarkers;

/**
 * Rooms of the rehearsal, marked by two devices over lines that lose requests, lose answers, and are gone for minutes:
 * every deed is kept once, and everybody ends as was said. A device can name no step that it has not heard of.
 * CATHEDRA_ROOMS says how many rooms (10; 200 take minutes).
 */
final class TwoMarkersTest extends TestCase
{
    /** Of a hundred sendings so many never arrive, and so many answers. */
    private const LOST = 15;

    /** Steps of a drinking cup. */
    private const STEPS = 7;

    private Randomizer $chance;

    /** @var array<string, list<array<string, mixed>>> what waits on each device */
    private array $waits;

    /** The step of the lesson, as far as the server was told. */
    private int $arrived;

    private int $sent = 0;

    private int $lost = 0;

    public function testWhatTwoMarkersSayOverBadLinesIsKeptOnce(): void
    {
        $this->chance = new Randomizer(new Mt19937(24));
        $lead = $this->lead();
        $this->actingAs($lead);
        $behind = $looked = 0;
        for ($room = 1; $room <= (int) (getenv('CATHEDRA_ROOMS') ?: 10); $room++) {
            [$left, $seen] = $this->playedAndKept($lead, $room);
            $behind += $left;
            $looked += $seen;
        }
        self::assertGreaterThan($room / 10, $behind, 'some were left behind');
        self::assertGreaterThan($room, $looked, 'some were looked at');
        self::assertGreaterThan($this->sent / 10, $this->lost, 'the lines were bad');
    }

    /** @return array{int, int} learners who were left behind, and who were looked at */
    private function playedAndKept(User $lead, int $room): array
    {
        $count = $this->chance->getInt(8, 40);
        $group = $this->group($lead, array_map(static fn (int $n): string => "Learner $n", range(1, $count)));
        $learners = array_values($group->learners()->orderBy('seat')->pluck('id')->all());
        $lesson = $this->postJson('/api/lessons', $this->lessonInput($group))->assertCreated()->json('card.id');
        $happenings = TwoMarkers::room($count, self::STEPS, $room);
        [$lines] = TwoMarkers::said($happenings, $count, self::STEPS, $this->chance);
        $this->waits = ['lead' => [], 'helper' => []];
        $this->arrived = 0;
        $gone = ['lead' => 0, 'helper' => 0]; // deeds for which a device still has no line
        $heard = 0; // the step that the helper's device shows
        $said = $left = $seen = [];
        foreach (Logs::plain('1 started marks:exception dev:lead', ...$lines) as $one) {
            $device = $one['device'];
            $one['kind'] === 'ended' && $this->sendAll($lesson, 'helper');
            $one['kind'] === 'done' && $this->sendAll($lesson, 'lead'); // the last step is seen before it is looked at
            $heard = $gone['helper'] === 0 ? $this->arrived : $heard;
            if ($device === 'helper' && isset($one['step'])) {
                if ($heard === 0 || ($one['kind'] === 'done' && $heard < self::STEPS)) {
                    continue; // nothing that could be tapped
                }
                $one['step'] = min($one['step'], $heard);
            }
            if ($one['kind'] === 'not-yet') {
                $left[$one['learner']] = $one['step'];
            } elseif ($one['kind'] === 'along') {
                unset($left[$one['learner']]);
            } elseif ($one['kind'] === 'done') {
                $seen[$one['learner']] = true;
            }
            $said[] = $one;
            $this->waits[$device][] = array_filter([
                'key' => (string) Str::uuid(),
                'kind' => $one['kind'],
                'device' => $device,
                'device_ms' => now()->getTimestampMs(),
                'after' => 0,
                'learner' => isset($one['learner']) ? $learners[$one['learner']] : null,
                'step' => $one['step'] ?? null,
                'marks' => $one['marks'] ?? null,
            ], static fn (mixed $of): bool => $of !== null);
            $gone[$device] = max(0, $gone[$device] - 1);
            if ($gone[$device] === 0 && $this->chance->getInt(1, 100) <= 5) {
                $gone[$device] = $this->chance->getInt(3, 15);
            }
            $gone[$device] === 0 && $this->chance->getInt(0, 2) === 0 && $this->sendOnce($lesson, $device);
        }
        $this->sendAll($lesson, 'lead');
        $this->isAsInTheRoom(lesson: $lesson, plain: $said, learners: $learners, left: $left, seen: $seen);

        return [count($left), count($seen)];
    }

    /**
     * @param  list<array<string, mixed>>  $plain  what was said
     * @param  list<int>  $learners  by their place in the room
     * @param  array<int, int>  $left  step at which those stopped who were left behind
     * @param  array<int, true>  $seen  who was looked at
     */
    private function isAsInTheRoom(int $lesson, array $plain, array $learners, array $left, array $seen): void
    {
        $kept = $this->getJson("/api/lessons/$lesson/events?after=0")->assertOk()->json('events');
        self::assertCount(count($plain), $kept, 'every deed once');
        $name = static fn (array $e, bool $isKept): string => implode(' ', [
            $e['device'], $e['kind'], $e['step'] ?? '', isset($e['learner']) && ! $isKept
                ? $learners[$e['learner']]
                : $e['learner'] ?? '',
        ]);
        foreach (['lead', 'helper'] as $device) {
            $of = static fn (array $e): bool => $e['device'] === $device;
            self::assertSame(
                array_map(static fn (array $e): string => $name($e, false), array_values(array_filter($plain, $of))),
                array_map(static fn (array $e): string => $name($e, true), array_values(array_filter($kept, $of))),
                'in the order in which they were done',
            );
        }
        $records = Lesson::query()->whereKey($lesson)->sole()->finishes->keyBy('learner_id');
        foreach ($learners as $place => $learner) {
            $record = $records[$learner] ?? self::fail("no record of $place");
            isset($left[$place])
                ? self::assertSame(['stopped', $left[$place]], [$record->outcome->value, $record->step])
                : self::assertSame('alone', $record->outcome->value);
            self::assertSame(isset($seen[$place]) && ! isset($left[$place]), (bool) $record->seen);
        }
    }

    /** What waits is sent until all of it was answered. */
    private function sendAll(int $lesson, string $device): void
    {
        while ($this->waits[$device] !== []) {
            $this->sendOnce($lesson, $device);
        }
    }

    /** The request may be lost, or the answer; then the same is sent again next time. */
    private function sendOnce(int $lesson, string $device): void
    {
        $this->sent++;
        $deeds = array_slice($this->waits[$device], 0, $this->chance->getInt(1, 20));
        if ($deeds === [] || $this->isLost()) {
            return;
        }
        $this->postJson("/api/lessons/$lesson/events", ['after' => 0, 'events' => $deeds])->assertOk();
        $this->arrived = max([$this->arrived, ...array_column($deeds, 'step')]);
        $hears = ! $this->isLost();
        if ($hears) {
            $this->waits[$device] = array_slice($this->waits[$device], count($deeds));
        }
    }

    /** @phpstan-impure */
    private function isLost(): bool
    {
        $isLost = $this->chance->getInt(1, 100) <= self::LOST;
        $this->lost += $isLost ? 1 : 0;

        return $isLost;
    }
}
