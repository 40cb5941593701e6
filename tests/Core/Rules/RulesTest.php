<?php

declare(strict_types=1);

namespace Tests\Core\Rules;

use Cathedra\Core\Rules\BadRules;
use Cathedra\Core\Rules\BaseTimes;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Rules\Method;
use Cathedra\Core\Rules\PaperRules;
use Cathedra\Core\Rules\TeachingRules;
use Illuminate\Support\Arr;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** The rules of library/ as values: what is shipped, and what a file may not say. */
final class RulesTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../../library';

    public function testWhatIsShipped(): void
    {
        $rules = PaperRules::fromArray(self::paper());
        self::assertSame([0.04, 0.18], [$rules->spoilRate(1), $rules->spoilRate(5)]);
        self::assertSame([0.05, 1, 4, 15], [$rules->spareRisk, $rules->practice, $rules->seats, $rules->sorting]);
        self::assertSame([60, 30, 75], array_map($rules->squaringSeconds(...), Method::cases()));
        self::assertSame([25, 12, 40], array_map($rules->cutSeconds(...), Method::cases()));
        self::assertSame([4, 8, 1], array_map($rules->stack(...), Method::cases()));
        self::assertSame([0.0, 0.0, 1.5], array_map($rules->kerf(...), Method::cases()), 'only tearing loses paper');
        self::assertSame([0.64, 0.75], [$rules->density('newsprint'), $rules->density('leather')]);
        self::assertSame([2.0, 0.6], [$rules->squareTolerance(1), $rules->squareTolerance(5)]);
        foreach (Method::cases() as $method) {
            self::assertGreaterThan(60, strlen($rules->caution($method)), 'a caution says something');
        }
    }

    public function testLimitsFollowTheHands(): void
    {
        $rules = PaperRules::fromArray(self::paper());
        self::assertSame(
            [
                'stack_mm' => 2.0,
                'stack_most_mm' => 3.2,
                'dexterity_mm' => 8.0,
                'dexterity_least_mm' => 5.0,
                'table_mm' => 450.0,
                'soft_mm' => 320.0,
            ],
            $rules->limits('young'),
        );
        self::assertSame($rules->limits('junior'), $rules->limits('elves'), 'unknown hands are those of juniors');
        foreach (['young', 'junior', 'teen', 'adult', 'mixed'] as $age) {
            $limits = $rules->limits($age);
            self::assertLessThan($limits['dexterity_mm'], $limits['dexterity_least_mm'], $age);
        }
    }

    /** @return iterable<string, array{list<string>, float|null, bool}> */
    public static function does(): iterable
    {
        yield 'nothing' => [[], null, false];
        yield 'flaps' => [['flap'], 120.0, false];
        yield 'the larger of two' => [['flap', 'fly'], 140.0, true];
        yield 'stands' => [['stand'], 80.0, true];
        yield 'what is not listed' => [['sing'], null, false];
    }

    /** @param  list<string>  $does */
    #[DataProvider('does')]
    public function testWhatAModelDoes(array $does, ?float $least, bool $stiff): void
    {
        $rules = PaperRules::fromArray(self::paper());
        self::assertSame([$least, $stiff], [$rules->leastSheet($does), $rules->mustBearItself($does)]);
    }

    /** @return iterable<string, array{string}> every rule that a file must have, by its place */
    public static function places(): iterable
    {
        $needed = [
            'spoil_rate.values', 'spoil_rate.values.3', 'spare_risk.value', 'torn_kerf_mm.value',
            'squaring_seconds', 'squaring_seconds.tear', 'cut_seconds.trimmer', 'stack.scissors',
            'density.values.other', 'stack_mm.good', 'stack_mm.most', 'dexterity_mm.good.young',
            'dexterity_mm.least.mixed', 'least_mm.values', 'least_mm.stiff', 'soft_mm.value', 'table_mm.value',
            'square_tolerance.values.5', 'notes.contrast', 'notes.see_through', 'notes.grain', 'table_seats.value',
            'practice.value', 'sorting_seconds.value', 'cautions.tear',
        ];
        foreach ($needed as $place) {
            yield $place => [$place];
        }
    }

    #[DataProvider('places')]
    public function testWhatIsMissingOrNoNumberIsNamed(string $place): void
    {
        foreach ([null, 'much', -1, 1e9] as $wrong) {
            $data = self::with(self::paper(), $place, $wrong);
            if (str_starts_with($place, 'cautions') && is_string($wrong)) {
                continue; // any words are a caution
            }
            try {
                PaperRules::fromArray($data);
                self::fail("$place as ".json_encode($wrong).' was taken');
            } catch (BadRules $e) {
                self::assertStringStartsWith('library/paper-rules.yaml: ', $e->getMessage());
                foreach (explode('.', $place) as $key) {
                    self::assertStringContainsString($key, $e->getMessage());
                }
            }
        }
    }

    /** @return iterable<string, array{string, string, mixed}> file, place, what it says instead (null: nothing) */
    public static function slips(): iterable
    {
        $places = [
            'folds.valley.hands', 'folds.crimp.factor', 'folds.petal.weight', 'seconds.each', 'seconds.show_step',
        ];
        foreach ($places as $place) {
            foreach ([null, 'much', -1, 1e9] as $wrong) {
                yield "folds $place ".json_encode($wrong) => ['folds', $place, $wrong];
            }
        }
        yield 'a fold built on none' => ['folds', 'folds.petal.builds_on', ['origami']];
        yield 'no source of folds' => ['folds', 'source', null];
        $times = [
            'age_factor.young.factor', 'layers_factor', 'slowest_spread', 'own_spread',
            'miss_factor', 'repeat_factor', 'repeat_show', 'known_factor', 'known_stuck', 'small_factor',
            'small_mm', 'hard_paper_factor', 'small_group', 'prior_marks',
            'group_spread', 'prior_lessons', 'full_marks', 'lead_spread', 'show_spread',
            'also_factor', 'help_seconds', 'stuck_rate',
            'stuck_rate.5', 'blocks.arrive', 'blocks.decorate',
        ];
        foreach ($times as $place) {
            foreach ([null, 'much', -1, 1e9] as $wrong) {
                yield "base-times $place ".json_encode($wrong) => ['base-times', $place, $wrong];
            }
        }
        yield 'an age without a name' => ['base-times', 'age_factor.young.label', ''];
        $weights = ['creases', 'layers', 'smallness', 'small_mm', 'hidden', 'by_eye', 'levels.2', 'hard_from'];
        foreach ($weights as $place) {
            foreach ([null, 'much', -1, 1e9] as $wrong) {
                yield "difficulty $place ".json_encode($wrong) => ['difficulty', $place, $wrong];
            }
        }
        yield 'levels that fall' => ['difficulty', 'levels', [0.7, 1.4, 1.4, 3.2]];
        yield 'three levels' => ['difficulty', 'levels', [0.7, 1.4, 2.3]];
    }

    #[DataProvider('slips')]
    public function testASlipInTheTablesIsNamedWithItsFile(string $file, string $place, mixed $wrong): void
    {
        $data = array_map(
            static fn (string $name): array => (array) Yaml::parseFile(self::LIBRARY."/$name.yaml"),
            ['folds' => 'folds', 'base-times' => 'base-times', 'difficulty' => 'difficulty'],
        );
        $read = static function () use (&$data): array {
            $folds = FoldTable::fromArray($data['folds']);
            $times = BaseTimes::fromArray($data['base-times'], $folds);

            return [$folds, $times, Difficulty::fromArray($data['difficulty'], $folds)];
        };
        self::assertCount(3, $read(), 'as shipped they can be read');
        $data[$file] = self::with($data[$file], $place, $wrong);
        $this->expectException(BadRules::class);
        $this->expectExceptionMessageMatches("#^library/$file.yaml: .*".preg_quote(explode('.', $place)[0], '#').'#');
        $read();
    }

    /** Worked by hand: what the shipped limits make of a sum. */
    public function testTheLevelsAreLimitsFromAbove(): void
    {
        $folds = FoldTable::fromArray((array) Yaml::parseFile(self::LIBRARY.'/folds.yaml'));
        $scale = Difficulty::fromArray((array) Yaml::parseFile(self::LIBRARY.'/difficulty.yaml'), $folds);
        $levels = array_map($scale->level(...), [0.0, 0.7, 0.71, 1.4, 1.41, 2.3, 2.31, 3.2, 3.21, 9.0]);
        self::assertSame([1, 1, 2, 2, 3, 3, 4, 4, 5, 5], $levels);
    }

    /** @return iterable<string, array{float, int, int}> share, learners in the room, enough */
    public static function shares(): iterable
    {
        yield 'nobody' => [0.8, 0, 0];
        yield 'one' => [0.8, 1, 1];
        yield 'four of five' => [0.8, 5, 4];
        yield 'a person is whole' => [0.8, 6, 5];
        yield 'half and a twentieth of twenty' => [0.55, 20, 11];
        yield 'all' => [1.0, 30, 30];
        yield 'a thousandth' => [0.001, 60, 1];
    }

    #[DataProvider('shares')]
    public function testHowManyAreEnough(float $share, int $room, int $enough): void
    {
        $rules = self::teaching($share, 120);
        self::assertSame($enough, $rules->enough($room));
        self::assertLessThanOrEqual($room, $rules->enough($room));
    }

    public function testTeachingRulesThatCannotBeMeant(): void
    {
        foreach ([[0.0, 60], [-0.1, 60], [1.01, 60], [0.5, 0]] as [$share, $wait]) {
            try {
                self::teaching($share, $wait);
                self::fail("$share and $wait were taken");
            } catch (BadRules $e) {
                self::assertStringContainsString('library/teaching-rules.yaml', $e->getMessage());
            }
        }
        $shipped = TeachingRules::fromArray(Yaml::parseFile(self::LIBRARY.'/teaching-rules.yaml'));
        self::assertSame(['go_share', 'long_wait_seconds'], array_keys($shipped->sources));
    }

    /** Every default says where it comes from. */
    public function testEveryRuleHasItsSource(): void
    {
        foreach (self::paper() as $name => $rule) {
            if (! in_array($name, ['cautions'], true)) {
                self::assertNotSame('', trim((string) ($rule['source'] ?? '')), $name);
            }
        }
    }

    private static function teaching(float $share, int $wait): TeachingRules
    {
        return TeachingRules::fromArray([
            'go_share' => ['value' => $share, 'source' => 'for this test'],
            'long_wait_seconds' => ['value' => $wait, 'source' => 'for this test'],
        ]);
    }

    /** @return array<string, mixed> */
    private static function paper(): array
    {
        return Yaml::parseFile(self::LIBRARY.'/paper-rules.yaml');
    }

    /**
     * The data with one place changed, or taken away (null).
     *
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private static function with(array $data, string $place, mixed $value): array
    {
        if ($value === null) {
            Arr::forget($data, $place);
        } else {
            Arr::set($data, $place, $value);
        }

        return $data;
    }
}
