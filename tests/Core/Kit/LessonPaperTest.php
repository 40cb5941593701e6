<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;
use Cathedra\Core\Kit\KitList;
use Cathedra\Core\Kit\LessonPaper;
use Cathedra\Core\Paper\BadPaper;
use Cathedra\Core\Paper\Material;
use Cathedra\Core\Paper\ModelPaper;
use Cathedra\Core\Paper\Stock;
use PHPUnit\Framework\TestCase;

final class LessonPaperTest extends TestCase
{
    private const HEAD = [['title' => 'Head', 'scale' => 0.7]];

    public function testEveryPieceForLearnersSparesAndPractice(): void
    {
        $paper = self::paper([self::a4(30)], [self::cat(140.0, self::HEAD)]);
        self::assertSame(
            [['Cat', 140.0, 22], ['Head', 98.0, 22]],
            array_map(static fn (array $p): array => [$p['title'], $p['side'], $p['count']], $paper->pieces),
            '18 learners, 3 spare, 1 to practise with',
        );
        // An A4 gives two of 140 and nothing of 98 beside them (210 - 140 = 70), or one of 140 and two of 98 above (297
        // - 140 =
        // 157), or six of 98 (2 * 3). 11 sheets for the big ones leave 22 small: 4 more sheets, 15; mixed, x sheets of
        // one and two: 22 small from 11 of them, 11 big; the other 11 big from 6 sheets: 17. So 15.
        self::assertSame([15, 0, true], [$paper->sheets(), $paper->short(), $paper->plan?->isProven()]);
    }

    public function testAModelFromAWholeSheetCutsNothing(): void
    {
        $paper = self::paper([self::a4(10)], [self::box()]);
        self::assertSame(
            [null, 22, 12, [210.0]],
            [$paper->plan, $paper->sheets(), $paper->short(), $paper->sides],
            'the sheet as it is, whatever square was wanted',
        );
        // Of two stocks the nearer shape is taken: the box is of 1 : 1.414, A4 is that, a newspaper page 1 : 1.315.
        $paper = self::paper([Stock::of('News', 289, 380, null), self::a4(30)], [self::box()]);
        self::assertSame([[0, 22], [1]], [$paper->takes, $paper->stocksOf(0)]);
    }

    public function testSeveralModelsAreCutTogether(): void
    {
        // 22 of 140 and 22 of 98: alone 11 and 4 sheets (two and six from each); a box from 22 whole sheets beside
        // them: 37.
        $paper = self::paper([self::a4(null)], [self::cat(140.0), self::cat(98.0), self::box()]);
        self::assertSame([37, [140.0, 98.0, 210.0]], [$paper->sheets(), $paper->sides]);
        self::assertSame([[0], [0], [0]], array_map($paper->stocksOf(...), [0, 1, 2]));
        self::assertSame(
            [[2, 0, 22]],
            array_map(static fn (array $u): array => [$u['model'], $u['stock'], $u['sheets']], $paper->uncut),
        );
    }

    public function testWhatTheFirstStockLacksTheSecondGives(): void
    {
        // 22 of 148 and only 6 A4: two of 148 from each A4 are 12, one from each of ten A5: 22.
        $pile = [self::a4(6), Stock::of('A5', 148, 210, 10)];
        $paper = self::paper($pile, [self::cat(148.0)]);
        self::assertSame([[6, 10], 0], [$paper->takes, $paper->short()]);
        self::assertSame([0, 1], $paper->stocksOf(0));
        // With nine A5 one square is missing: two of A4 would be cut from one sheet more.
        $paper = self::paper([$pile[0], Stock::of('A5', 148, 210, 9)], [self::cat(148.0)]);
        self::assertSame(1, $paper->short[0], 'the first stock is the one to get more of');
        // Too large for the first: the second has to bring all.
        $paper = self::paper([Stock::of('A5', 148, 210, 50), self::a4(3)], [self::cat(200.0)]);
        self::assertSame([0, 19], $paper->short);
        self::assertNull($paper->tooBig());
        self::assertSame(300.0, self::paper($pile, [self::cat(300.0)])->tooBig());
    }

    public function testAShortageNamesTheSquareThatWouldDo(): void
    {
        $paper = self::paper([self::a4(12)], [self::cat(null)]);
        self::assertSame([22, 10], [$paper->sheets(), $paper->short()]);
        self::assertEqualsWithDelta(148.5, ($paper->smaller ?? 0) * 210, 1e-9, '24 squares of 148.5 from 12 sheets');
        self::assertNull(self::paper([self::a4(22)], [self::cat(null)])->smaller);
        // Two pieces: the largest body in whole mm for which 12 sheets are enough, found again by trying every one.
        $short = self::paper([self::a4(12)], [self::cat(140.0, self::HEAD)]);
        $largest = 0;
        for ($mm = 139; $mm > 60 && $largest === 0; $mm--) {
            $plan = CutPlanner::plan(
                new CutRequest(
                    [self::a4(12)],
                    [['side' => (float) $mm, 'count' => 22], ['side' => round($mm * 0.7, 1), 'count' => 22]],
                    0.0,
                    0.0,
                ),
            );
            $largest = $plan->isFeasible() ? $mm : 0;
        }
        self::assertEqualsWithDelta($largest, 140 * ($short->smaller ?? 0), 1e-9);
    }

    public function testTrimTakesFromTheLargestSquare(): void
    {
        self::assertSame([190.0], self::paper([Stock::of(
            name: 'A4',
            width: 210,
            height: 297,
            count: null,
            pointer: '',
            trim: 10.0,
        )], [self::cat(null)])->sides);
    }

    public function testAPieceTooSmallIsNamed(): void
    {
        $this->expectException(BadPaper::class);
        $this->expectExceptionMessageMatches('/Head would have 7 mm/');
        self::paper([self::a4(null)], [self::cat(10.0, self::HEAD)]);
    }

    public function testTheListIsInTheOrderOfDoing(): void
    {
        $two = self::paper([self::a4(null)], [self::cat(140.0, self::HEAD)]);
        $keys = static fn (bool $inLesson, bool $cuts, string $method = 'scissors'): array => array_column(
            (new KitList(
                paper: $two,
                learners: 18,
                seats: 4,
                squareInLesson: $inLesson,
                modelCuts: $cuts,
                method: $method === 'tear' ? 'tear' : 'scissors',
                materials: [],
            ))->toDo(),
            'said',
        );
        self::assertSame(['take', 'cut', 'cut', 'check-square', 'practise', 'sort', 'spares'], $keys(false, false));
        self::assertSame(['take', 'practise', 'sort', 'spares', 'scissors'], $keys(true, false), 'the learners cut');
        self::assertSame(['take', 'practise', 'sort', 'spares'], $keys(true, false, 'tear'));
        $list = (new KitList(
            paper: $two,
            learners: 18,
            seats: 4,
            squareInLesson: false,
            modelCuts: true,
            method: 'tear',
            materials: [
                new Material(
                    key: 'thread',
                    name: 'thread',
                    per: 'model',
                    number: 0.5,
                    caution: '',
                    notFor: [],
                    instead: null,
                ),
            ],
        ))->toDo();
        self::assertSame(
            ['cut-1', 'cut-2'],
            array_column(array_slice($list, 1, 2), 'key'),
            'keys are counted through, each kind by itself',
        );
        // 18 at tables of 4: five tables of 4, 4, 4, 3, 3; three share a pair: 2 + 2 + 2 + 1 + 1.
        self::assertSame(8, $list[count($list) - 2]['with']['n']);
        self::assertSame(9, $list[count($list) - 1]['with']['n'], 'half a metre for each of 18');
    }

    public function testWhoFoldsAModelTwiceGetsTwoSquares(): void
    {
        // 36 squares of a cat with its head for 18 learners: two of each piece for everybody, four pieces in a kit.
        $cat = new ModelPaper(
            title: 'Cat',
            ratio: 1.0,
            parts: self::HEAD,
            side: 140.0,
            learners: 36,
            spares: 3,
            practice: 1,
        );
        $kits = new KitList(
            paper: self::paper([self::a4(null)], [$cat, self::box()]),
            learners: 18,
            seats: 4,
            squareInLesson: false,
            modelCuts: false,
            method: 'scissors',
            materials: [],
        );
        self::assertSame([2, 2, 1], array_column($kits->forLearner(), 'times'));
        $sort = array_values(array_filter($kits->toDo(), static fn (array $e): bool => $e['said'] === 'sort'))[0];
        self::assertSame(5, $sort['with']['n']);
    }

    /** 10 learners at tables of 4 are 3 tables; a cat has two square pieces, so 20 fresh squares are cut. */
    public function testWhatTheWayOfTeachingAsksForIsOnTheList(): void
    {
        $kits = new KitList(
            paper: self::paper([self::a4(null)], [self::cat(140.0, self::HEAD)]),
            learners: 10,
            seats: 4,
            squareInLesson: true,
            modelCuts: false,
            method: 'tear',
            materials: [],
            brings: ['fresh', 'table-cards', 'card'],
        );
        $list = array_column($kits->toDo(), 'with', 'key');
        self::assertSame(
            [['n' => 20], ['n' => 3], ['n' => 10]],
            [$list['bring-fresh-1'], $list['bring-table-cards-1'], $list['bring-card-1']],
        );
    }

    public function testTablesAreSeatedEvenly(): void
    {
        $glue = new Material(
            key: 'glue',
            name: 'glue',
            per: 'learner',
            number: 0.5,
            caution: '',
            notFor: ['young'],
            instead: 'paste',
        );
        $kits = new KitList(
            paper: self::paper([self::a4(null)], [self::cat(140.0, self::HEAD), self::box()]),
            learners: 10,
            seats: 4,
            squareInLesson: false,
            modelCuts: true,
            method: 'scissors',
            materials: [$glue, new Material(
                key: 'hooks',
                name: 'hooks',
                per: 'room',
                number: 1,
                caution: '',
                notFor: [],
                instead: null,
            )],
        );
        $tables = $kits->forTables();
        self::assertSame([4, 3, 3], array_column($tables, 'learners'));
        self::assertSame([2, 1, 1], array_column($tables, 'scissors'));
        self::assertSame(
            [['glue' => 2], ['glue' => 2], ['glue' => 2]],
            array_column($tables, 'materials'),
            'what the room needs once is on no table',
        );
        self::assertSame(
            [['Cat', false], ['Head', false], ['Box', true]],
            array_map(static fn (array $p): array => [$p['title'], $p['uncut']], $kits->forLearner()),
        );
        self::assertSame([false, true], [$glue->fits('young'), $glue->fits('adult')]);
        for ($n = 1; $n <= 40; $n++) {
            $seated = array_column(
                (new KitList(
                    paper: self::paper([self::a4(null)], [self::cat(140.0)]),
                    learners: $n,
                    seats: 6,
                    squareInLesson: false,
                    modelCuts: false,
                    method: 'scissors',
                    materials: [],
                ))->forTables(),
                'learners',
            );
            self::assertSame($n, array_sum($seated));
            self::assertLessThanOrEqual(1, max([0, ...$seated]) - min([$n, ...$seated]));
            self::assertLessThanOrEqual(6, max([0, ...$seated]));
        }
    }

    private static function a4(?int $count): Stock
    {
        return Stock::of('A4', 210, 297, $count);
    }

    /** @param  list<array{title: string, scale: float}>  $parts */
    private static function cat(?float $side, array $parts = []): ModelPaper
    {
        return new ModelPaper(
            title: 'Cat',
            ratio: 1.0,
            parts: $parts,
            side: $side,
            learners: 18,
            spares: 3,
            practice: 1,
        );
    }

    private static function box(): ModelPaper
    {
        return new ModelPaper(
            title: 'Box',
            ratio: 210 / 297,
            parts: [],
            side: 100.0,
            learners: 18,
            spares: 3,
            practice: 1,
        );
    }

    /**
     * @param  non-empty-list<Stock>  $pile
     * @param  list<ModelPaper>  $models
     */
    private static function paper(array $pile, array $models): LessonPaper
    {
        return LessonPaper::for($pile, $models, 0.0);
    }
}
