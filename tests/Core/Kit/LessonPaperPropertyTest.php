<?php

declare(strict_types=1);

namespace Tests\Core\Kit;

use Cathedra\Core\Cutting\Prefer;
use Cathedra\Core\Kit\LessonPaper;
use Cathedra\Core\Paper\ModelPaper;
use Cathedra\Core\Paper\Stock;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever lessons and cupboards there are: everybody gets every piece, counts add up, more paper is never worse. */
final class LessonPaperPropertyTest extends TestCase
{
    private const FORMATS = [
        ['A4', 210.0, 297.0],
        ['A5', 148.0, 210.0],
        ['Letter', 215.9, 279.4],
        ['News', 289.0, 380.0],
        ['Square', 150.0, 150.0],
    ];

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 120) as $seed) {
            yield "seed $seed" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testEveryPieceIsThereAndTheCountsAddUp(int $seed): void
    {
        [$pile, $models, $kerf, $prefer] = self::lesson($seed);
        $paper = LessonPaper::for($pile, $models, $kerf, $prefer);
        if (! $paper->fits()) {
            self::assertGreaterThan(
                max(array_map(static fn (Stock $s): float => $s->largest(), $pile)),
                $paper->tooBig(),
            );

            return;
        }
        $made = [];
        foreach ($paper->plan?->toArray()['sheets'] ?? [] as $sheet) {
            foreach ($sheet['squares'] as $square) {
                $made[(string) $square['side_mm']] = ($made[(string) $square['side_mm']] ?? 0) + $sheet['times'];
            }
        }
        $wanted = [];
        foreach ($paper->pieces as $piece) {
            $model = $models[$piece['model']];
            self::assertSame(
                $model->learners + $model->spares + $model->practice,
                $piece['count'],
                'one for everybody, the spares, and the set to practise with',
            );
            if (! $piece['uncut']) {
                $wanted[(string) round($piece['side'], 3)] =
                    ($wanted[(string) round($piece['side'], 3)] ?? 0) + $piece['count'];
            }
        }
        foreach ($wanted as $side => $count) {
            self::assertGreaterThanOrEqual($count, $made[$side] ?? 0, "squares of $side mm");
        }
        foreach ($paper->takes as $i => $sheets) {
            self::assertSame(
                $pile[$i]->count === null ? 0 : max(0, $sheets - $pile[$i]->count),
                $paper->short[$i],
                'what is taken beyond what there is, is short',
            );
        }
        self::assertSame(array_sum($paper->takes), $paper->sheets());
        foreach (array_keys($models) as $m) {
            foreach ($paper->stocksOf($m) as $stock) {
                self::assertGreaterThan(0, $paper->takes[$stock], 'a model comes from paper that is taken');
            }
        }
    }

    #[DataProvider('seeds')]
    public function testMorePaperIsNeverShorter(int $seed): void
    {
        [$pile, $models, $kerf] = self::lesson($seed);
        $paper = LessonPaper::for($pile, $models, $kerf, Prefer::Least);
        $more = array_map(
            static fn (Stock $s): Stock => Stock::of(
                name: $s->name,
                width: $s->width,
                height: $s->height,
                count: $s->count === null ? null : $s->count + 5,
                pointer: '',
                trim: $s->trim,
                scrap: $s->scrap,
            ),
            $pile,
        );
        $with = LessonPaper::for($more, $models, $kerf, Prefer::Least);
        self::assertSame($paper->fits(), $with->fits());
        self::assertTrue(
            ! $paper->fits() || $with->short() <= $paper->short(),
            "{$with->short()} sheets short with more paper, {$paper->short()} with less",
        );
    }

    #[DataProvider('seeds')]
    public function testTheSmallerSquareThatIsOfferedReallyDoes(int $seed): void
    {
        [$pile, $models, $kerf, $prefer] = self::lesson($seed);
        $paper = LessonPaper::for($pile, $models, $kerf, $prefer);
        $shrunk = static fn (float $share): array => array_map(
            static fn (ModelPaper $m, float $side): ModelPaper => new ModelPaper(
                title: $m->title,
                ratio: $m->ratio,
                parts: $m->parts,
                side: floor($side * $share * 10) / 10,
                learners: $m->learners,
                spares: $m->spares,
                practice: $m->practice,
            ),
            $models,
            $paper->sides,
        );
        if ($paper->smaller === null) {
            $hopeless = $paper->fits() && $paper->short() > 0 && $paper->uncut === [];
            self::assertTrue(
                ! $hopeless || LessonPaper::for($pile, $shrunk(0.4), $kerf, $prefer)->short() > 0,
                'two fifths of the side would do, so something should have been offered',
            );

            return;
        }
        self::assertGreaterThan(0, $paper->short());
        self::assertLessThan(1.0, $paper->smaller);
        self::assertSame(0, LessonPaper::for($pile, $shrunk($paper->smaller), $kerf, $prefer)->short());
    }

    /** @return array{non-empty-list<Stock>, list<ModelPaper>, float, Prefer} */
    private static function lesson(int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $pile = [];
        foreach ($chance->pickArrayKeys(self::FORMATS, $chance->getInt(1, 2)) as $key) {
            [$name, $width, $height] = self::FORMATS[$key];
            $pile[] = Stock::of(
                name: $name,
                width: $width,
                height: $height,
                count: $chance->getInt(0, 3) === 0 ? null : $chance->getInt(1, 30),
                pointer: '',
                trim: $chance->getInt(0, 2) === 0 ? 5.0 : 0.0,
                scrap: $chance->getInt(0, 2) === 0,
            );
        }
        $models = [];
        for ($m = $chance->getInt(1, 2); $m > 0; $m--) {
            $uncut = $chance->getInt(0, 5) === 0;
            $models[] = new ModelPaper(
                title: "Model $m",
                ratio: $uncut ? 210 / 297 : 1.0,
                parts: $m === 1 && $chance->getInt(0, 2) === 0 && ! $uncut
                    ? [['title' => "Head $m", 'scale' => 0.7]]
                    : [],
                side: $chance->getInt(0, 4) === 0 ? null : (float) $chance->getInt(70, 200),
                learners: $chance->getInt(1, 24),
                spares: $chance->getInt(0, 4),
                practice: 1,
            );
        }

        return [
            $pile,
            $models,
            $chance->getInt(0, 1) * 1.5,
            [Prefer::Least, Prefer::Fewest, Prefer::Scrap][$chance->getInt(0, 2)],
        ];
    }
}
