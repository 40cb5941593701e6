<?php

declare(strict_types=1);

namespace Tests\Core\Paper;

use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\KitList;
use Cathedra\Core\Paper\LessonPaper;
use Cathedra\Core\Paper\Stock;
use PHPUnit\Framework\TestCase;

final class LessonPaperTest extends TestCase
{
    private const HEAD = [['title' => 'Head', 'scale' => 0.7]];

    public function testEveryPieceForLearnersSparesAndPractice(): void
    {
        $paper = self::paper(Stock::of('A4', 210, 297, 30), 140.0, self::HEAD);
        self::assertSame([['title' => 'Cat', 'side' => 140.0, 'count' => 22], ['title' => 'Head', 'side' => 98.0, 'count' => 22]], $paper->pieces, '18 learners, 3 spare, 1 to practise with');
        // An A4 gives two of 140 and nothing of 98 beside them (210 - 140 = 70), or one of 140 and two of 98 above (297 - 140 =
        // 157), or six of 98 (2 * 3). 11 sheets for the big ones leave 22 small: 4 more sheets, 15; mixed, x sheets of one
        // and two: 22 small from 11 of them, 11 big; the other 11 big from 6 sheets: 17. So 15.
        self::assertSame([15, 0, true], [$paper->sheets, $paper->short(), $paper->plan['optimal'] ?? null]);
    }

    public function testAModelFromAWholeSheetCutsNothing(): void
    {
        $paper = LessonPaper::for(Stock::of('A4', 210, 297, 10), 18, 3, 1, 'Box', 210 / 297, [], 100.0, 0.0, 0.0);
        self::assertSame([true, null, 22, 12], [$paper->uncut, $paper->plan, $paper->sheets, $paper->short()]);
        self::assertSame(210.0, $paper->side, 'the sheet as it is, whatever square was wanted');
    }

    public function testAShortageNamesTheSquareThatWouldDo(): void
    {
        $paper = self::paper(Stock::of('A4', 210, 297, 12), null, []);
        self::assertSame([22, 10], [$paper->sheets, $paper->short()]);
        self::assertEqualsWithDelta(148.5, $paper->smallerSide, 1e-9, '24 squares of 148.5 from 12 sheets');
        self::assertNull(self::paper(Stock::of('A4', 210, 297, 22), null, [])->smallerSide);
    }

    public function testTrimTakesFromTheLargestSquare(): void
    {
        self::assertSame(190.0, self::paper(Stock::of('A4', 210, 297, null), null, [], 10.0)->side);
    }

    public function testAPieceTooSmallIsNamed(): void
    {
        $this->expectException(BadPaper::class);
        $this->expectExceptionMessageMatches('/Head would have 7 mm/');
        self::paper(Stock::of('A4', 210, 297, null), 10.0, self::HEAD);
    }

    public function testTheListIsInTheOrderOfDoing(): void
    {
        $keys = static fn (LessonPaper $p, bool $inLesson, bool $cuts, string $method = 'scissors'): array => array_column(KitList::of($p, 18, $inLesson, $cuts, $method === 'tear' ? 'tear' : 'scissors'), 'key');
        $two = self::paper(Stock::of('A4', 210, 297, null), 140.0, self::HEAD);
        self::assertSame(['take', 'cut', 'cut', 'check-square', 'practise', 'sort', 'spares'], $keys($two, false, false));
        self::assertSame(['take', 'practise', 'sort', 'spares', 'scissors'], $keys($two, true, false), 'the learners cut');
        self::assertSame(['take', 'practise', 'sort', 'spares'], $keys($two, true, false, 'tear'));
        $list = KitList::of($two, 18, true, true, 'tear');
        self::assertSame(6, $list[count($list) - 1]['with']['pairs'], 'three learners share a pair');
    }

    /** @param  list<array{title: string, scale: float}>  $parts */
    private static function paper(Stock $stock, ?float $side, array $parts, float $trim = 0.0): LessonPaper
    {
        return LessonPaper::for($stock, 18, 3, 1, 'Cat', 1.0, $parts, $side, 0.0, $trim);
    }
}
