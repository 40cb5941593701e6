<?php

declare(strict_types=1);

namespace Tests\Core\Lesson;

use Cathedra\Core\Lesson\Outcomes;
use Cathedra\Core\Lesson\Standing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Support\Logs;

/** The table of cases that the core and the browser's reducer both keep to, and what holds for any log. */
final class LogCasesTest extends TestCase
{
    private const CASES = __DIR__.'/../../cases/lesson-log.json';

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function cases(): iterable
    {
        foreach (json_decode((string) file_get_contents(self::CASES), true, flags: JSON_THROW_ON_ERROR) as $case) {
            yield $case['name'] => [$case];
        }
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('cases')]
    public function testCase(array $case): void
    {
        $programme = Logs::programme($case['programme']);
        $log = Logs::of($case['events']);
        self::assertEquals($case['standing'], self::plain(Standing::of($log, $programme)->toArray()));
        self::assertEquals(
            $case['outcomes'],
            self::plain(Outcomes::of($log, $programme, $case['learners'])->toArray()),
        );
    }

    public function testOnlyTheServersNumbersDecide(): void
    {
        for ($seed = 1; $seed <= 2000; $seed++) {
            ['programme' => $models, 'learners' => $learners, 'events' => $events] = Logs::random($seed);
            $programme = Logs::programme($models);
            $log = Logs::of($events);
            $chance = new Randomizer(new Mt19937($seed + 1));
            $again = Logs::of(array_values($chance->shuffleArray([...$events, ...$events])));
            $standing = Standing::of($log, $programme)->toArray();
            $outcomes = Outcomes::of($log, $programme, $learners);
            self::assertEquals($standing, Standing::of($again, $programme)->toArray(), "seed $seed");
            self::assertEquals(
                $outcomes->toArray(),
                Outcomes::of($again, $programme, $learners)->toArray(),
                "seed $seed",
            );
            self::assertLessThanOrEqual($programme->steps() + 1, $standing['step']);
            foreach ($outcomes->records as $own) {
                self::assertTrue(
                    $log->ended === null || $log->marks !== null || count($own) === count($models),
                    "everybody has a record, seed $seed",
                );
            }
            self::assertTrue(
                $log->ended !== null || $standing['late'] === [],
                "nothing is late in an open lesson, seed $seed",
            );
        }
    }

    /** @param  array<string, mixed>  $value */
    private static function plain(array $value): mixed
    {
        return json_decode((string) json_encode($value), true);
    }
}
