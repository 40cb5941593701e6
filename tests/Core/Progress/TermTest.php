<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use Cathedra\Core\Progress\Term;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A row of lessons: few new folds each time, nothing twice, nothing too long, and what fades is made again. */
final class TermTest extends TestCase
{
    private const SHELF = [
        ['slug' => 'cup', 'kinds' => ['valley', 'tuck'], 'difficulty' => 2, 'age_from' => 6, 'minutes' => 30],
        ['slug' => 'dart', 'kinds' => ['valley'], 'difficulty' => 1, 'age_from' => 5, 'minutes' => 20],
        ['slug' => 'house', 'kinds' => ['valley', 'squash'], 'difficulty' => 2, 'age_from' => 6, 'minutes' => 40],
        ['slug' => 'box', 'kinds' => ['valley', 'blintz'], 'difficulty' => 3, 'age_from' => 8, 'minutes' => 50],
        ['slug' => 'crane', 'kinds' => ['valley', 'squash', 'petal'], 'difficulty' => 4, 'age_from' => 8,
            'minutes' => 90],
        ['slug' => 'bag', 'kinds' => ['valley', 'tuck', 'flap'], 'difficulty' => 2, 'age_from' => 6, 'minutes' => 30],
    ];

    /**
     * Dart (valley is new); then one new fold each, as hard as what they have made: cup (tuck, difficulty 2) against
     * house (squash, 2) and box (3, too hard before something of 2): by name cup. Then bag, house (2), then box (3).
     */
    public function testOneNewFoldALesson(): void
    {
        $term = Term::of(shelf: self::SHELF, known: [], finished: [], band: 'junior', slot: 60, lessons: 6);
        self::assertSame(
            ['dart', 'cup', 'bag', 'house', 'box', null],
            array_map(static fn (?array $one): ?string => $one['slug'] ?? null, $term),
        );
        self::assertSame([['valley'], ['tuck'], ['flap'], ['squash'], ['blintz']], array_column($term, 'fresh'));
        self::assertSame(['valley', 'tuck'], $term[2]['again'] ?? null);
    }

    public function testAnotherAgeAnotherSlotAnotherBeginning(): void
    {
        $slugs = static fn (array $term): array => array_map(
            static fn (?array $one): ?string => $one['slug'] ?? null,
            $term,
        );
        // small children: nothing from 8 years on; half an hour: nothing longer
        self::assertSame(['dart', 'cup', 'bag', null], $slugs(Term::of(
            shelf: self::SHELF,
            known: [],
            finished: [],
            band: 'young',
            slot: 30,
            lessons: 4,
        )));
        // a group that has made the house, with time: the crane has one new fold, but is two harder than that
        self::assertSame(
            ['box', 'crane'],
            $slugs(Term::of(
                shelf: self::SHELF,
                known: ['valley', 'tuck', 'flap', 'squash'],
                finished: ['house', 'cup', 'bag', 'dart'],
                band: 'junior',
                slot: 90,
                lessons: 2,
            )),
        );
    }

    public function testWhatTheLeadChoseStaysAndTheRestFollowsFromIt(): void
    {
        $term = Term::of(
            shelf: self::SHELF,
            known: [],
            finished: [],
            band: 'junior',
            slot: 60,
            lessons: 3,
            fixed: [1 => 'crane'],
        );
        // however hard and long it is
        self::assertSame(['squash', 'petal'], $term[1]['fresh'] ?? null);
        self::assertSame(['dart', 'crane', 'box'], array_column($term, 'slug'), 'after a crane a box is not too hard');
    }

    /** Tuck was made in the first of six lessons; of two models with one new fold the one that tucks comes first. */
    public function testWhatFadesIsMadeAgain(): void
    {
        $shelf = [];
        foreach (['a' => ['tuck'], 'b' => ['one'], 'c' => ['two'], 'd' => ['three'], 'e' => ['four'],
            'y' => ['five'], 'z' => ['six', 'tuck']] as $slug => $kinds) {
            $shelf[] = ['slug' => $slug, 'kinds' => $kinds, 'difficulty' => 1, 'age_from' => 5, 'minutes' => 20];
        }
        $term = Term::of(shelf: $shelf, known: [], finished: [], band: 'adult', slot: 60, lessons: 7);
        self::assertSame(['a', 'b', 'c', 'd', 'e', 'z', 'y'], array_column($term, 'slug'));
        self::assertSame([[], [], [], [], [], ['tuck'], []], array_column($term, 'faded'));
    }

    public function testWhateverTheShelf(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        for ($seed = 0; $seed < 60; $seed++) {
            $kinds = array_map(static fn (int $k): string => "k$k", range(1, 9));
            $shelf = array_map(static fn (int $m): array => [
                'slug' => "m$m",
                'kinds' => array_slice($chance->shuffleArray($kinds), 0, $chance->getInt(1, 4)),
                'difficulty' => $chance->getInt(1, 5),
                'age_from' => $chance->getInt(4, 12),
                'minutes' => $chance->getInt(15, 90),
            ], range(1, 12));
            $term = array_filter(Term::of(
                shelf: $shelf,
                known: ['k1'],
                finished: ['m1'],
                band: 'junior',
                slot: 60,
                lessons: 12,
            ));
            $slugs = array_column($term, 'slug');
            self::assertSame(array_unique($slugs), $slugs, 'nothing twice');
            self::assertNotContains('m1', $slugs);
            $known = ['k1'];
            $of = array_column($shelf, null, 'slug');
            $reached = max(1, $of['m1']['difficulty']);
            foreach ($term as $one) {
                $model = $of[$one['slug']];
                self::assertTrue($model['minutes'] <= 60 && $model['age_from'] <= 10);
                self::assertLessThanOrEqual($reached + 1, $model['difficulty']);
                self::assertEqualsCanonicalizing($model['kinds'], [...$one['fresh'], ...$one['again']]);
                self::assertSame([], array_intersect($one['fresh'], $known));
                self::assertSame([], array_diff($one['faded'], $one['again']), 'what fades was made before');
                $known = [...$known, ...$model['kinds']];
                $reached = max($reached, $model['difficulty']);
            }
        }
    }
}
