<?php

declare(strict_types=1);

namespace Tests\Core\Pacing;

use Cathedra\Core\Pacing\BadPlan;
use Cathedra\Core\Pacing\Contradictions;
use Cathedra\Core\Pacing\Diagonal;
use Cathedra\Core\Pacing\ModelLoad;
use Cathedra\Core\Pacing\Policies;
use Cathedra\Core\Pacing\Room;
use Cathedra\Core\Pacing\RunSheet;
use Cathedra\Core\Pacing\StepLoad;
use Cathedra\Core\Rules\BadRules;
use Cathedra\Core\Rules\PolicyTable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;
use Tests\Support\Sheets;

/** How a lesson is taught, in seconds of the plan; and what is no way to teach one. */
final class PoliciesTest extends TestCase
{
    private const FILE = __DIR__.'/../../../library/policies.yaml';

    /**
     * Three folds of 10 s to show and 40 s to fold, without spread or help: 60 to arrive, 30 to hand out, 3 x 50, 50 to
     * clear: 290. Each row derives its own number.
     *
     * @return iterable<string, array{array<string, string>, int, int, int}> policies, prepared, squaring, seconds
     */
    public static function plans(): iterable
    {
        yield 'as usual' => [[], 0, 0, 290];
        yield 'each shown twice: 3 x (1.6 x 10 + 40)' => [['show' => 'twice'], 0, 0, 308];
        yield 'without words: 3 x (0.9 x 10 + 40)' => [['show' => 'silent'], 0, 0, 287];
        yield 'all shown first: the same sum' => [['show' => 'first'], 0, 0, 290];
        yield 'exact throughout: 3 x (10 + 1.15 x 40)' => [['exact' => 'all'], 0, 0, 308];
        yield 'near enough: 3 x (10 + 0.9 x 40)' => [['exact' => 'forgiving'], 0, 0, 278];
        yield 'the quick go on: 3 x (10 + 0.85 x 40)' => [['pace' => 'ahead'], 0, 0, 272];
        yield 'on when the last has it: no spread, the same' => [['pace' => 'everybody'], 0, 0, 290];
        yield 'from cards: nothing is shown' => [['show' => 'cards'], 0, 0, 260];
        yield 'with a card: 3 x (10 + 1.1 x 40)' => [['crease_with' => 'card'], 0, 0, 302];
        yield 'card and exact: 3 x (10 + 1.1 x 1.15 x 40)' => [['crease_with' => 'card', 'exact' => 'all'], 0, 0, 322];
        yield 'two folded before: 140 + 0.4 x 20 + 50' => [[], 2, 0, 198];
        yield 'two folded before, all shown first: 140 + 8 + 10 + 40' => [['show' => 'first'], 2, 0, 198];
        yield 'squares made, fold along that crease: 140 + 100 + 10 + 0.5 x 40 + 2 x 50' => [[], 0, 100, 370];
        yield 'squares made, crease made again: 140 + 100 + 3 x 50' => [['squaring' => 'again'], 0, 100, 390];
        yield 'squares made before: nothing to count' => [['squaring' => 'again'], 0, 0, 290];
    }

    /** @param  array<string, string>  $chosen */
    #[DataProvider('plans')]
    public function testThePlanFollows(array $chosen, int $prepared, int $squaring, int $seconds): void
    {
        $plan = $this->plan(Policies::of(self::table(), $chosen, $prepared), $squaring);
        self::assertSame($seconds, $plan->needed);
        $steps = array_values(array_filter(array_column($plan->lines, 'step')));
        $isCards = ($chosen['show'] ?? '') === 'cards';
        self::assertSame($isCards ? [] : range($prepared + 1, 3), $steps, 'numbered as ever');
    }

    public function testACreaseThatIsThereIsOnlyShown(): void
    {
        // 60 + 30 + 100 + 10 + 2 x 50 + 50
        self::assertSame(350, $this->plan(Policies::usual(), 100, 1, 'crease')->needed);
    }

    public function testAModelFoldedTwiceGoesQuickerTheSecondTime(): void
    {
        // 60 + 30 + 3 x 50 + 0.6 x 150 + 50; with two steps folded before, the second is folded from the flat square.
        $plan = $this->plan(Policies::usual(), 0, 2);
        self::assertSame(380, $plan->needed);
        self::assertSame(90, array_column($plan->lines, 'seconds', 'key')['again']);
        self::assertSame(198 + 90, $this->plan(Policies::of(self::table(), [], 2), 0, 2)->needed);
    }

    public function testAllShownFirstIsABlockOfItsOwn(): void
    {
        $plan = $this->plan(Policies::of(self::table(), ['show' => 'first'], 1), 0);
        $seconds = array_column($plan->lines, 'seconds', 'key');
        self::assertSame([4, 20], [$seconds['recap'], $seconds['show-all']]); // 0.4 x 10; 2 x 10
        self::assertSame([60, 30, 4, 20, 40, 40, 50], array_column($plan->lines, 'seconds'));
    }

    /** @return iterable<string, array{array<string, string>, bool, list<string>}> policies, squares made, to bring */
    public static function brought(): iterable
    {
        yield 'as usual' => [[], true, []];
        yield 'cards to crease with' => [['crease_with' => 'card'], false, ['card']];
        yield 'pencils once, though two things ask' => [
            ['crease_with' => 'pencil', 'cut_line' => 'pencil'], true, ['pencil'],
        ];
        yield 'a line nobody draws' => [['cut_line' => 'pencil', 'squaring' => 'fresh'], false, []];
        yield 'fresh squares first' => [['cut_line' => 'pencil', 'squaring' => 'fresh'], true, ['fresh', 'pencil']];
        yield 'steps for the quick' => [['pace' => 'ahead'], false, ['table-cards']];
        yield 'steps for all serve the quick' => [['pace' => 'ahead', 'show' => 'cards'], false, ['step-cards']];
    }

    /**
     * @param  array<string, string>  $chosen
     * @param  list<string>  $brings
     */
    #[DataProvider('brought')]
    public function testWhatIsBroughtFollowsFromWhatIsChosen(array $chosen, bool $makes, array $brings): void
    {
        self::assertSame($brings, Policies::of(self::table(), $chosen)->brings($makes));
    }

    /**
     * @return iterable<string, array{array<string, string>, int, bool, string, bool, list<string>}> policies, steps
     *     folded before, squares made, by which method, a model is cut, what contradicts
     */
    public static function contradictions(): iterable
    {
        yield 'as usual' => [[], 0, true, 'scissors', true, []];
        yield 'a model is cut' => [['cutting' => 'square'], 0, false, 'scissors', true, ['model-cuts']];
        yield 'no model is cut' => [['cutting' => 'none'], 0, false, 'scissors', false, []];
        yield 'squares are cut' => [['cutting' => 'none'], 0, true, 'scissors', false, ['square-cuts']];
        yield 'squares are torn' => [['cutting' => 'none'], 0, true, 'tear', false, []];
        yield 'both are cut' => [['cutting' => 'none'], 0, true, 'scissors', true, ['model-cuts', 'square-cuts']];
        yield 'folded before it is made' => [[], 2, true, 'tear', false, ['prepared-squares']];
        yield 'folded before, squares too' => [[], 2, false, 'tear', false, []];
        yield 'folded before from fresh squares' => [['squaring' => 'fresh'], 2, true, 'tear', false, []];
        yield 'cards, yet together' => [
            ['show' => 'cards', 'pace' => 'everybody'], 0, false, 'tear', false, ['cards-together'],
        ];
        yield 'shown, together' => [['pace' => 'everybody'], 0, false, 'tear', false, []];
    }

    /**
     * @param  array<string, string>  $chosen
     * @param  'scissors'|'tear'  $method
     * @param  list<string>  $wrong
     */
    #[DataProvider('contradictions')]
    public function testWhatCannotBeAtOnce(
        array $chosen,
        int $prepared,
        bool $makes,
        string $method,
        bool $cuts,
        array $wrong,
    ): void {
        $of = static fn (array $policies, int $steps, bool $squares, string $by): array => array_keys(
            Contradictions::of(Policies::of(self::table(), $policies, $steps), $squares, $by, $cuts),
        );
        self::assertSame($wrong, $of($chosen, $prepared, $makes, $method));
        $found = Contradictions::of(Policies::of(self::table(), $chosen, $prepared), $makes, $method, $cuts);
        foreach ($found as $what => $ways) {
            foreach ($ways as $way => $change) {
                self::assertNotContains($what, $of(
                    [...$chosen, ...$change['policies'] ?? []],
                    $change['prepared'] ?? $prepared,
                    $change['square_in_lesson'] ?? $makes,
                    $change['method'] ?? $method,
                ), "$way ends it");
            }
        }
    }

    public function testOnlyWhatIsNotAsUsualIsSaid(): void
    {
        self::assertSame([], Policies::of(self::table(), [])->says);
        self::assertSame([], Policies::of(self::table(), ['show' => 'along'])->says);
        self::assertSame(
            ['I show each step twice; look both times.'],
            Policies::of(self::table(), ['show' => 'twice'])->says,
        );
        self::assertEquals(Policies::usual(), Policies::of(self::table(), []));
    }

    public function testWhatIsNoPolicy(): void
    {
        foreach ([[['show' => 'thrice'], 0], [['music' => 'loud'], 0], [[], -1]] as [$chosen, $prepared]) {
            try {
                Policies::of(self::table(), $chosen, $prepared);
                self::fail('taken: '.json_encode($chosen));
            } catch (BadPlan $e) {
                self::assertMatchesRegularExpression('/thrice|music|not -1/', $e->getMessage());
            }
        }
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string}> */
    public static function badFiles(): iterable
    {
        $set = static fn (string $policy, mixed $value): callable => static function (array $d) use ($policy, $value) {
            $d['policies'][$policy] = $value;

            return $d;
        };
        yield 'a policy nobody knows' => [$set('music', ['title' => 'Music']), 'policies must be, in this order'];
        yield 'an option left out' => [
            static function (array $data): array {
                unset($data['policies']['show']['options']['twice']);

                return $data;
            },
            'policies.show.options must be, in this order: along, first, twice, silent, cards',
        ];
        yield 'without a reason' => [
            static function (array $data): array {
                $data['policies']['pace']['options']['wait']['why'] = '';

                return $data;
            },
            'policies.pace.options.wait.why is a sentence',
        ];
        yield 'a factor that cannot be' => [
            static function (array $data): array {
                $data['policies']['pace']['options']['wait']['fold'] = 0;

                return $data;
            },
            'policies.pace.options.wait.fold',
        ];
        $unsaid = static fn (array $data): array => ['source' => ''] + $data;
        yield 'without a source' => [$unsaid, 'source is a sentence'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $spoil */
    #[DataProvider('badFiles')]
    public function testTheFileIsReadStrictly(callable $spoil, string $reason): void
    {
        $this->expectException(BadRules::class);
        $this->expectExceptionMessage($reason);
        PolicyTable::fromArray($spoil(Yaml::parseFile(self::FILE)));
    }

    /** @return iterable<string, array{string, list<int>}> */
    public static function diagonals(): iterable
    {
        yield 'crane: both, the second after turning nothing' => ['crane', [1, 2]];
        yield 'drinking cup: turned, then corner to corner' => ['drinking-cup', [2]];
        yield 'kite: not the edge folds' => ['fan', []];
        yield 'an oblong sheet has no such crease' => ['heart', []];
        yield 'corners to the middle come first' => ['picture-frame', []];
    }

    /** @param  list<int>  $steps */
    #[DataProvider('diagonals')]
    public function testTheCreasesThatMadeTheSquareAreFound(string $slug, array $steps): void
    {
        self::assertSame($steps, Diagonal::of(Folds::library($slug)));
    }

    /** @return iterable<string, array{list<int>, array<string, string>, list<int>}> diagonals, chosen, there */
    public static function creasesThere(): iterable
    {
        yield 'both were made' => [[1, 2], [], [1, 2]];
        yield 'one was made' => [[1, 2], ['second' => 'model'], [1]];
        yield 'a step makes both, and both are there' => [[3, 3], [], [3]];
        yield 'a step makes both, and one is missing' => [[3, 3], ['second' => 'model'], []];
        yield 'the model has one' => [[2], ['second' => 'before'], [2]];
        yield 'they are made again' => [[1, 2], ['squaring' => 'again'], []];
        yield 'the model has none' => [[], [], []];
    }

    /**
     * @param  list<int>  $diagonals
     * @param  array<string, string>  $chosen
     * @param  list<int>  $there
     */
    #[DataProvider('creasesThere')]
    public function testCreasesOfTheSquareCount(array $diagonals, array $chosen, array $there): void
    {
        self::assertSame($there, Policies::of(self::table(), $chosen)->there($diagonals));
    }

    /** A line drawn takes 1.15 of the usual time, one crease less 0.85. */
    public function testMakingTheSquareTakesItsTime(): void
    {
        $of = static fn (array $chosen): float => Policies::of(self::table(), $chosen)->squaring;
        self::assertSame(1.0, $of([]));
        self::assertEqualsWithDelta(1.15 * 0.85, $of(['cut_line' => 'pencil', 'second' => 'model']), 1e-12);
    }

    private function plan(Policies $policies, int $squaring, int $times = 1, string $kind = 'valley'): RunSheet
    {
        return Sheets::sheet(Sheets::plan(
            room: new Room(12, 0, 'adult'),
            models: [new ModelLoad(array_fill(0, 3, new StepLoad($kind, 1, false, false)), [1], $times)],
            minutes: 30,
            squaring: $squaring,
            decorate: 'none',
            policies: $policies,
        ));
    }

    private static function table(): PolicyTable
    {
        return PolicyTable::fromArray(Yaml::parseFile(self::FILE));
    }
}
