<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Latest;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Sequence\Ways\Beginnings;
use Cathedra\Core\Sequence\Ways\Combinations;
use Cathedra\Core\Sequence\Ways\Passage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Ways that begin alike are folded once as far as they do, and come out the same. */
final class BeginningsTest extends TestCase
{
    /** Of a model that has many. */
    private const WAYS = 10;

    /** @return iterable<string, array{string}> with repeats, marks, names, two pieces of paper, and a held fold */
    public static function models(): iterable
    {
        yield 'flapping bird' => ['flapping-bird'];
        yield 'dragonfly' => ['dragonfly'];
        yield 'curled butterfly' => ['butterfly-curled'];
        yield 'cat, of two pieces' => ['cat'];
    }

    #[DataProvider('models')]
    public function testEveryWayComesOutTheSame(string $slug): void
    {
        $known = new Beginnings();
        $yaml = (string) file_get_contents(__DIR__."/../../../library/models/$slug.yaml");
        [$all, $shared] = [0, []];
        foreach (array_slice(Combinations::of(Loader::load($slug, $yaml)->passages), 0, self::WAYS) as $ways) {
            $alone = Folder::fold(Loader::load($slug, $yaml, $ways), 150.0);
            $again = Folder::fold(Loader::load($slug, $yaml, $ways), 150.0, $known);
            self::assertSame(count($alone->steps), count($again->steps));
            foreach ($alone->steps as $i => $step) {
                $twin = $again->steps[$i];
                self::assertEquals($step->after->placements, $twin->after->placements, "step {$step->step->number}");
                self::assertEquals($step->after->pattern, $twin->after->pattern);
                self::assertEquals($step->called, $twin->called);
                self::assertCount(count($step->actions), $twin->actions);
                $all++;
                $shared[spl_object_id($twin->after)] = true;
            }
            self::assertSame($ways, array_intersect_key(array_map(
                static fn (Passage $passage): string => $passage->chosen,
                $again->sequence->passages,
            ), $ways), 'the sequence is that of these ways');
        }
        $slug === 'flapping-bird' && self::assertLessThan(0.8 * $all, count($shared), 'what is alike is folded once');
    }

    /** A model on another sheet, or of other proportions, begins anew. */
    public function testAnotherSheetIsAnotherBeginning(): void
    {
        $known = new Beginnings();
        $yaml = (string) file_get_contents(__DIR__.'/../../../library/models/house.yaml');
        $small = Folder::fold(Loader::load('house', $yaml), 100.0, $known);
        $large = Folder::fold(Loader::load('house', $yaml), 200.0, $known);
        self::assertEqualsWithDelta(2 * $small->end()->box()->width(), $large->end()->box()->width(), 1e-9);
    }

    public function testTheLatestAreKeptAndNoMore(): void
    {
        $made = 0;
        $latest = new Latest(2);
        $of = static function (object $key) use ($latest, &$made): string {
            return $latest->of([$key], static function () use (&$made): string {
                return 'made '.++$made;
            });
        };
        [$a, $b, $c] = [new \stdClass(), new \stdClass(), new \stdClass()];
        self::assertSame(['made 1', 'made 2', 'made 1'], [$of($a), $of($b), $of($a)]);
        self::assertSame('made 3', $of($c));
        self::assertSame(['made 2', 'made 4'], [$of($b), $of($a)], 'the oldest is let go');
    }
}
