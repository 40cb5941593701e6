<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use Cathedra\Core\Progress\NextModels;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What comes next: one new fold before none, none before two; not much harder, not too old, not again. */
final class NextModelsTest extends TestCase
{
    private const SHELF = [
        ['slug' => 'cup', 'kinds' => ['valley', 'tuck'], 'difficulty' => 2, 'age_from' => 6],
        ['slug' => 'dart', 'kinds' => ['valley'], 'difficulty' => 1, 'age_from' => 5],
        ['slug' => 'house', 'kinds' => ['valley', 'squash', 'cupboard'], 'difficulty' => 2, 'age_from' => 6],
        ['slug' => 'box', 'kinds' => ['valley', 'blintz'], 'difficulty' => 3, 'age_from' => 8],
        ['slug' => 'crane', 'kinds' => ['valley', 'petal'], 'difficulty' => 5, 'age_from' => 10],
        ['slug' => 'lamp', 'kinds' => ['valley', 'curl'], 'difficulty' => 2, 'age_from' => 14],
    ];

    /** @return iterable<string, array{list<string>, list<string>, string, list<string>}> */
    public static function rooms(): iterable
    {
        // Nothing finished: difficulty 1 or 2. Dart has one new fold, cup two, house three; lamp is for older ones.
        yield 'a new group of juniors' => [[], [], 'junior', ['dart', 'cup', 'house']];
        // Difficulty up to 3 now. Box has one new fold; dart none; house two.
        yield 'after the cup' => [['valley', 'tuck'], ['cup'], 'junior', ['box', 'dart', 'house']];
        yield 'small children after the cup' => [['valley', 'tuck'], ['cup'], 'young', ['dart', 'house']];
        // Difficulty up to 4. Only the curl of the lamp is new; of the others the nearer in difficulty comes first.
        yield 'after the box' => [
            ['valley', 'tuck', 'blintz', 'squash', 'cupboard'], ['cup', 'box'], 'adult', ['lamp', 'house', 'dart'],
        ];
        yield 'all of it' => [['valley'], array_column(self::SHELF, 'slug'), 'adult', []];
    }

    /**
     * @param  list<string>  $known
     * @param  list<string>  $finished
     * @param  list<string>  $next
     */
    #[DataProvider('rooms')]
    public function testWhatComesNext(array $known, array $finished, string $band, array $next): void
    {
        self::assertSame(
            $next,
            array_column(NextModels::of(self::SHELF, $known, $finished, $band), 'slug'),
        );
    }

    public function testItSaysWhatIsNewAndWhatComesAgain(): void
    {
        self::assertSame(
            [['slug' => 'box', 'fresh' => ['blintz'], 'again' => ['valley']]],
            NextModels::of(shelf: self::SHELF, known: ['valley', 'tuck'], finished: ['cup'], band: 'junior', most: 1),
        );
    }
}
