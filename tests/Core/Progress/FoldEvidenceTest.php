<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use Cathedra\Core\Lesson\Finish;
use Cathedra\Core\Progress\FoldEvidence;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FoldEvidenceTest extends TestCase
{
    /**
     * Records, and how many made a petal fold alone and with help, and how many of them nobody saw.
     *
     * @return iterable<string, array{list<array{0: int, 1: Finish, 2: list<string>, 3?: bool}>, array{0: int, 1: int,
     *     2?: int}}>
     */
    public static function records(): iterable
    {
        yield 'nothing' => [[], [0, 0]];
        yield 'alone' => [[[1, Finish::Alone, ['petal', 'squash']]], [1, 0]];
        yield 'with help' => [[[1, Finish::WithHelp, ['petal']]], [0, 1]];
        yield 'stopped proves nothing' => [[[1, Finish::Stopped, ['petal']]], [0, 0]];
        yield 'away proves nothing' => [[[1, Finish::Away, ['petal']]], [0, 0]];
        yield 'another fold' => [[[1, Finish::Alone, ['squash']]], [0, 0]];
        yield 'the best counts, first' => [
            [[1, Finish::Alone, ['petal']], [1, Finish::WithHelp, ['petal']]],
            [1, 0],
        ];
        yield 'the best counts, last' => [
            [[1, Finish::WithHelp, ['petal']], [1, Finish::Stopped, ['petal']], [1, Finish::Alone, ['petal']]],
            [1, 0],
        ];
        yield 'two learners' => [[[1, Finish::Alone, ['petal']], [2, Finish::WithHelp, ['petal']]], [1, 1]];
        yield 'nobody looked' => [[[1, Finish::Alone, ['petal'], false]], [1, 0, 1]];
        yield 'somebody looked once' => [
            [[1, Finish::Alone, ['petal'], false], [1, Finish::WithHelp, ['petal']]],
            [1, 0, 0],
        ];
        yield 'one looked at, one not' => [
            [[1, Finish::Alone, ['petal']], [2, Finish::WithHelp, ['petal'], false]],
            [1, 1, 1],
        ];
        yield 'stopped, though seen, proves nothing' => [
            [[1, Finish::Alone, ['petal'], false], [1, Finish::Stopped, ['petal'], true]],
            [1, 0, 1],
        ];
        yield 'who is no longer in the group' => [[[9, Finish::Alone, ['petal']]], [0, 0]];
    }

    /**
     * @param  list<array{0: int, 1: Finish, 2: list<string>, 3?: bool}>  $records
     * @param  array{0: int, 1: int, 2?: int}  $expected
     */
    #[DataProvider('records')]
    public function testStanding(array $records, array $expected): void
    {
        $evidence = FoldEvidence::of(array_map(
            static fn (array $r): array => [
                'learner' => $r[0], 'finish' => $r[1], 'seen' => $r[3] ?? true, 'kinds' => $r[2],
            ],
            $records,
        ));
        self::assertSame(
            ['alone' => $expected[0], 'helped' => $expected[1], 'unseen' => $expected[2] ?? 0],
            $evidence->standing('petal', [1, 2, 3]),
        );
    }

    public function testTheOrderOfRecordsDoesNotMatterAndMoreRecordsNeverTakeAway(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 200; $round++) {
            $records = [];
            foreach (range(1, mt_rand(1, 25)) as $_) {
                $records[] = [
                    'learner' => mt_rand(1, 5),
                    'finish' => Finish::cases()[mt_rand(0, 3)],
                    'seen' => mt_rand(0, 1) === 1,
                    'kinds' => array_slice(['petal', 'squash', 'valley'], 0, mt_rand(0, 3)),
                ];
            }
            $shuffled = $records;
            shuffle($shuffled);
            $all = FoldEvidence::of($records)->standing('petal', [1, 2, 3, 4, 5]);
            self::assertSame($all, FoldEvidence::of($shuffled)->standing('petal', [1, 2, 3, 4, 5]));
            $some = FoldEvidence::of(array_slice($records, 1))->standing('petal', [1, 2, 3, 4, 5]);
            self::assertLessThanOrEqual($all['alone'], $some['alone']);
            self::assertLessThanOrEqual($all['alone'] + $all['helped'], $some['alone'] + $some['helped']);
            self::assertLessThanOrEqual(5, $all['alone'] + $all['helped']);
            self::assertLessThanOrEqual($all['alone'] + $all['helped'], $all['unseen']);
        }
    }

    public function testAFoldIsKnownWhenHalfHaveMadeIt(): void
    {
        // made, learners: half of ten, one less, half of an odd number, and a group without learners
        foreach ([[5, 10, true], [4, 10, false], [2, 3, true], [1, 3, false], [0, 0, false]] as [$made, $of, $known]) {
            self::assertSame($known, FoldEvidence::isKnown($made, $of), "$made of $of");
        }
    }
}
