<?php

declare(strict_types=1);

namespace Tests\Core\Lesson;

use Cathedra\Core\Lesson\Advice;
use Cathedra\Core\Lesson\Drift;
use Cathedra\Core\Lesson\Event;
use Cathedra\Core\Lesson\EventKind;
use Cathedra\Core\Lesson\Log;
use Cathedra\Core\Lesson\Marking;
use Cathedra\Core\Lesson\Origin;
use Cathedra\Core\Lesson\Programme;
use Cathedra\Core\Lesson\Slot;
use Cathedra\Core\Lesson\Standing;
use Cathedra\Core\Rules\BadRules;
use Cathedra\Core\Rules\TeachingRules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The tables of cases of advice and drift, which the browser keeps to as well. */
final class AdviceAndDriftTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function advice(): iterable
    {
        yield from self::read('advice');
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('advice')]
    public function testAdvice(array $case): void
    {
        $rules = self::rules(0.8);
        self::assertSame($case['enough'], array_map($rules->enough(...), range(0, 6)));
        $programme = Programme::of([['slug' => 'cup', 'steps' => $case['steps']]]);
        $advice = Advice::of(
            standing: self::standing($case['standing']),
            programme: $programme,
            learners: $case['learners'],
            checkpoint: $case['checkpoint'],
            rules: $rules,
        );
        self::assertSame($case['advice'], $advice->toArray());
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function drift(): iterable
    {
        yield from self::read('drift');
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('drift')]
    public function testDrift(array $case): void
    {
        self::assertSame(
            $case['drift'],
            Drift::of(
                self::standing($case['standing']),
                $case['lines'],
                $case['now_ms'],
                Slot::of($case['slot']['start_ms'], $case['slot']['minutes']),
            )->toArray(),
        );
    }

    /** 0.55 of 20 are 11: binary fractions say 11.000000000000002, and rounding that up would ask for 12. */
    public function testSharesAreCountedExactly(): void
    {
        self::assertSame(
            [11, 3, 10, 1],
            [
                self::rules(0.55)->enough(20),
                self::rules(0.28)->enough(10),
                self::rules(1)->enough(10),
                self::rules(0.001)->enough(5),
            ],
        );
        for ($share = 1; $share <= 1000; $share++) {
            for ($room = 0; $room <= 60; $room += 7) {
                $enough = self::rules($share / 1000)->enough($room);
                self::assertTrue($enough * 1000 >= $share * $room && ($enough - 1) * 1000 < $share * $room);
            }
        }
    }

    public function testRulesThatCannotBeMeantAreRefused(): void
    {
        $this->expectException(BadRules::class);
        $this->expectExceptionMessage('go_share.value is between 0.001 and 1, not 1.2');
        self::rules(1.2);
    }

    private static function rules(float $share): TeachingRules
    {
        return TeachingRules::fromArray([
            'go_share' => ['value' => $share, 'source' => 'a test'],
            'long_wait_seconds' => ['value' => 60, 'source' => 'a test'],
        ]);
    }

    /**
     * A log that stands as the case says.
     *
     * @param  array<string, mixed>  $of
     */
    private static function standing(array $of): Standing
    {
        $events = [];
        $add = static function (EventKind $kind, int $at, array $with = []) use (&$events): void {
            $n = count($events) + 1;
            $events[] = Event::of(
                key: "k$n",
                kind: $kind,
                origin: new Origin('A', 0, $n, null),
                number: $n,
                atMs: $at,
                with: $with,
            );
        };
        $marks = isset($of['marks']) ? ['marks' => Marking::from($of['marks'])] : [];
        $of['started_ms'] === null || $add(EventKind::Started, $of['started_ms'], $marks);
        $of['paused_ms'] === 0 || $add(EventKind::Paused, 0);
        $of['paused_ms'] === 0 || $add(EventKind::Resumed, $of['paused_ms']);
        $of['pause_ms'] === null || $add(EventKind::Paused, $of['pause_ms']);
        foreach ($of['seats'] as $learner => $seat) {
            $seat['done'] === 0 || $add(EventKind::Done, 0, ['learner' => $learner, 'step' => $seat['done']]);
            $seat['help_ms'] === null || $add(EventKind::Help, $seat['help_ms'], ['learner' => $learner, 'step' => 1]);
            $seat['away'] && $add(EventKind::Away, 0, ['learner' => $learner]);
        }
        $of['step'] === 0 || $add(EventKind::Moved, $of['started_ms'] ?? 0, ['step' => $of['step']]);
        $of['ended_ms'] === null || $add(EventKind::Ended, $of['ended_ms']);

        return Standing::of(Log::of($events), Programme::of([['slug' => 'cup', 'steps' => 5]]));
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    private static function read(string $name): iterable
    {
        $text = (string) file_get_contents(dirname(__DIR__, 2)."/cases/$name.json");
        foreach (json_decode($text, true, flags: JSON_THROW_ON_ERROR) as $case) {
            yield $case['name'] => [$case];
        }
    }
}
