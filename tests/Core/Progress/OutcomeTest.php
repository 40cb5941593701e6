<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use Cathedra\Core\Progress\Finish;
use Cathedra\Core\Progress\Outcome;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class OutcomeTest extends TestCase
{
    /** @return iterable<string, array{list<array{step: int, kind: string}>, Finish, int|null}> */
    public static function taps(): iterable
    {
        yield 'none' => [[], Finish::Away, null];
        yield 'to the end' => [[['step' => 1, 'kind' => 'done'], ['step' => 5, 'kind' => 'done']], Finish::Alone, null];
        yield 'to the end with help' => [
            [['step' => 3, 'kind' => 'help'], ['step' => 5, 'kind' => 'done']],
            Finish::WithHelp,
            null,
        ];
        yield 'stuck' => [[['step' => 3, 'kind' => 'done'], ['step' => 4, 'kind' => 'help']], Finish::Stopped, 4];
        yield 'only asked for help' => [[['step' => 2, 'kind' => 'help']], Finish::Stopped, 1];
        yield 'out of order' => [
            [['step' => 5, 'kind' => 'done'], ['step' => 2, 'kind' => 'done']],
            Finish::Alone,
            null,
        ];
    }

    /** @param  list<array{step: int, kind: string}>  $marks */
    #[DataProvider('taps')]
    public function testTapsBecomeARecord(array $marks, Finish $finish, ?int $step): void
    {
        $outcome = Outcome::fromMarks($marks, 5);
        self::assertSame([$finish, $step], [$outcome->finish, $outcome->step]);
    }

    public function testBetterEndsRankHigher(): void
    {
        $ranks = array_map(static fn (Finish $f): int => $f->rank(), [
            Finish::Alone,
            Finish::WithHelp,
            Finish::Stopped,
            Finish::Away,
        ]);
        self::assertSame([3, 2, 1, 0], $ranks);
    }

    public function testAnotherTapNeverMakesAnEndWorseExceptForHelp(): void
    {
        for ($seed = 1; $seed <= 300; $seed++) {
            $chance = new Randomizer(new Mt19937($seed));
            $marks = [];
            $before = Outcome::fromMarks([], 6);
            for ($n = $chance->getInt(1, 8); $n > 0; $n--) {
                $marks[] = ['step' => $chance->getInt(1, 6), 'kind' => $chance->getInt(0, 3) === 0 ? 'help' : 'done'];
                $now = Outcome::fromMarks($marks, 6);
                $helped = in_array('help', array_column($marks, 'kind'), true);
                self::assertTrue(
                    $now->finish->rank() >= $before->finish->rank() || ($helped && $now->finish === Finish::WithHelp),
                    "seed $seed",
                );
                self::assertSame(
                    $now->finish === Finish::Stopped,
                    $now->step !== null,
                    "seed $seed: a step where somebody stopped, and only there",
                );
                self::assertTrue($now->step === null || ($now->step >= 1 && $now->step <= 6), "seed $seed");
                $before = $now;
            }
            $again = $chance->shuffleArray($marks);
            self::assertEquals($before, Outcome::fromMarks($again, 6), "seed $seed: the order of taps does not matter");
        }
        self::assertSame(
            [Finish::Stopped, 1],
            [Outcome::fromMarks([], 6, true)->finish, Outcome::fromMarks([], 6, true)->step],
            'there, but never tapped',
        );
    }
}
