<?php

declare(strict_types=1);

namespace Tests\Core\Fault;

use Cathedra\Core\Fault\Edges;
use Cathedra\Core\Fault\Fault;
use Cathedra\Core\Fault\FaultKind;
use Cathedra\Core\Fault\Faults;
use Cathedra\Core\Fault\Mend;
use Cathedra\Core\Fault\Patches;
use Cathedra\Core\Fault\Sightings;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\Unfolding;
use Cathedra\Core\Folding\Sameness;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Rules\BadRules;
use Cathedra\Core\Rules\FaultTable;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\FoldedStep;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;

/** What goes wrong at a step, by the paper itself. */
final class FaultsTest extends TestCase
{
    private const LIBRARY = __DIR__.'/../../../library';

    /** @return iterable<string, array{string, int, FaultKind, Mend}> what a teacher knows goes wrong there */
    public static function known(): iterable
    {
        yield 'one layer too many at the front of a helmet' => ['helmet', 4, FaultKind::LayerMore, Mend::Again];
        yield 'the second ear of a helmet forgotten' => ['helmet', 3, FaultKind::OneSide, Mend::Finish];
        yield 'a flap of the cup folded over, not tucked in' => ['drinking-cup', 6, FaultKind::Plainly, Mend::Again];
        yield 'a guide of the cup left folded' => ['drinking-cup', 3, FaultKind::GuideLeft, Mend::Open];
        yield 'a roof of the house pressed flat, not opened' => ['house', 4, FaultKind::Plainly, Mend::Again];
        yield 'the tail of the whale folded over' => ['whale', 7, FaultKind::Plainly, Mend::Again];
        yield 'the crane not turned over' => ['crane', 3, FaultKind::NotTurned, Mend::Turn];
        yield 'the crane narrowed in front only' => ['crane', 13, FaultKind::FrontOnly, Mend::Finish];
        yield 'the other base of the crane' => ['crane', 6, FaultKind::OtherBase, Mend::Again];
        yield 'the petal of the crane along another line' => ['crane', 10, FaultKind::PetalLine, Mend::Again];
        yield 'the head of the crane at the other end' => ['crane', 16, FaultKind::LeftForRight, Mend::Again];
        yield 'an office sheet held across' => ['dart', 2, FaultKind::QuarterTurned, Mend::Again];
        yield 'the helmet to the wrong line' => ['helmet', 8, FaultKind::NearForFar, Mend::Again];
        yield 'both sides of the tulip not alike' => ['tulip', 7, FaultKind::Unlike, Mend::Again];
        yield 'both sides of the swan short of the middle' => ['swan', 5, FaultKind::Short, Mend::Again];
        yield 'the second lily petal from the wrong end' => ['lily', 24, FaultKind::HalfTurned, Mend::Again];
    }

    #[DataProvider('known')]
    public function testWhatATeacherKnowsIsFound(string $slug, int $step, FaultKind $kind, Mend $mend): void
    {
        $found = array_values(array_filter(
            self::faults($slug, $step),
            static fn (Fault $f): bool => $f->kind === $kind,
        ));
        self::assertCount(1, $found);
        self::assertSame($mend, $found[0]->mend);
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (Folds::slugs() as $slug) {
            yield $slug => [$slug];
        }
    }

    /**
     * Every fault is paper that can be, is not the right one, and the action it names leads back; a wrong side, one
     * layer or a plain fold is opened and is the paper before.
     */
    #[DataProvider('models')]
    public function testAFaultIsPaperAndItsMendingIsProved(string $slug): void
    {
        foreach (Folds::library($slug)->steps as $right) {
            $faults = self::faults($slug, $right->step->number);
            self::assertCount(count($faults), array_unique(array_column($faults, 'kind'), SORT_REGULAR));
            foreach ($faults as $i => $fault) {
                $name = "$slug {$right->step->number} {$fault->kind->value}";
                Folds::assertPaper($fault->state, $name);
                self::assertGreaterThanOrEqual(2.0, $fault->score, $name);
                self::assertLessThanOrEqual($faults[max(0, $i - 1)]->score, $fault->score, "$name: likeliest first");
                self::assertLeadsBack($fault, $right, $name);
            }
        }
    }

    private static function assertLeadsBack(Fault $fault, FoldedStep $right, string $name): void
    {
        if ($fault->mend === Mend::Turn) {
            self::assertNull(Sameness::difference($fault->state, $right->after), "$name: the same, turned over");

            return;
        }
        self::assertNotNull(Sameness::difference($fault->state, $right->after), "$name is not the right one");
        if ($fault->mend === Mend::Again) {
            $open = Unfolding::of($fault->state, $right->before, $fault->state);
            self::assertNull(Sameness::difference($open, $right->before), "$name: opened, it is as before");
        }
    }

    /**
     * Two hundred steps have one; nineteen of twenty faults are told by a check line or seen as a patch.
     */
    public function testMostStepsHaveOneAndItIsToldApart(): void
    {
        [$steps, $all, $told] = [0, 0, 0];
        foreach (Folds::slugs() as $slug) {
            foreach (Folds::library($slug)->steps as $step) {
                $faults = array_slice(self::faults($slug, $step->step->number), 0, Faults::MOST);
                $steps += $faults === [] ? 0 : 1;
                $all += count($faults);
                $told += count(array_filter(
                    $faults,
                    static fn (Fault $f): bool => $f->seen !== null || $f->tells !== null,
                ));
            }
        }
        self::assertGreaterThanOrEqual(200, $steps);
        self::assertGreaterThanOrEqual(0.95, $told / $all);
    }

    /** A model that was not turned over looks another: by its colours, its outline, or the edges of its flaps. */
    public function testNobodyIsToldThatAModelNotTurnedOverLooksRight(): void
    {
        $count = 0;
        foreach (Folds::slugs() as $slug) {
            foreach (Folds::library($slug)->steps as $step) {
                foreach (self::faults($slug, $step->step->number) as $fault) {
                    if ($fault->kind === FaultKind::NotTurned) {
                        $count++;
                        self::assertSame('front', $fault->seen, "$slug {$step->step->number}");
                    }
                }
            }
        }
        self::assertGreaterThanOrEqual(40, $count);
    }

    /** One colour, one outline: a strip folded over behind shows no edge, in front it does. */
    public function testAnEdgeOfAFlapIsSeen(): void
    {
        $folded = fn (string $how): FoldedState => Folds::steps(
            "  - {fold: $how, along: line (1/2 from A to D) to (1/2 from B to C), move: A}\n",
        )->end();
        $front = Folds::steps('  - {fold: valley, along: line (1/4 from A to D) to (1/4 from B to C), move: A}'."\n");
        self::assertTrue(Edges::areSeen($front->end(), $front->end()->turnedOver()));
        self::assertFalse(Edges::areSeen($front->end(), $front->end()));
        self::assertFalse(Edges::areSeen($folded('valley'), $folded('mountain')), 'halved, both show one plain face');
    }

    /**
     * A step that is refused after a sheet was halved to the left, and whether paper refuses it.
     *
     * @return iterable<string, array{string, bool}>
     */
    public static function refusals(): iterable
    {
        yield 'a mark never made' => ['{fold: valley, bring: mark m, to: corner top-left, layers: all}', false];
        yield 'a crease that is not there' => ['{fold: valley, bring: edge left, to: crease x, layers: all}', false];
        yield 'it lies there already' => ['{fold: valley, bring: edge left, to: edge left, layers: all}', false];
        yield 'no crease crosses it' => ['{fold: valley, along: line A to D, move: B, layers: all}', false];
    }

    public function testWhatPaperRefusesAndWhatOnlyACountDoes(): void
    {
        $at = new Point(0, 0);
        self::assertTrue(CannotFold::joined($at)->byPaper);
        self::assertTrue(CannotFold::collides('layers', $at)->byPaper);
        self::assertTrue(CannotFold::onTheOtherHalf(CannotFold::joined($at))->byPaper);
        self::assertFalse(CannotFold::covered($at)->byPaper);
        self::assertFalse(CannotFold::nothingBeyond()->byPaper);
        self::assertFalse(CannotFold::onTheOtherHalf(CannotFold::covered($at))->byPaper);
    }

    #[DataProvider('refusals')]
    public function testPaperStopsAndNamesDoNot(string $step, bool $byPaper): void
    {
        try {
            Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n  - $step\n");
            self::fail('it can be folded');
        } catch (BadSequence $refused) {
            $cause = $refused->getPrevious();
            self::assertInstanceOf(CannotFold::class, $cause);
            self::assertSame($byPaper, $cause->byPaper, $cause->getMessage());
        }
    }

    /** Two folds that were said to stop for a name: of a helmet and of a butterfly, each a tenth short. */
    public function testNoFaultStopsForAName(): void
    {
        foreach ([['helmet', 2], ['butterfly', 9]] as [$slug, $step]) {
            $found = array_values(array_filter(
                self::faults($slug, $step),
                static fn (Fault $f): bool => $f->kind === FaultKind::Short,
            ));
            self::assertCount(1, $found, $slug);
            self::assertNull($found[0]->stops, $slug);
            self::assertFalse($found[0]->goesOn, "$slug: whether it goes on is not said either");
        }
    }

    /** A flap of 20 x 20 mm of 100 is seen, a gap of 1 mm is not, the same paper least of all. */
    public function testAPatchIsSeenFromOneSquareCentimetreOn(): void
    {
        $corner = fn (string $share): string => "  - {fold: valley, bring: corner top-left, to: $share from (corner "
            .'top-left) to (corner bottom-right)}'."\n";
        $flat = Folds::steps("  - {fold: crease, bring: edge left, to: edge right}\n")->end();
        self::assertTrue(Patches::areSeen($flat, Folds::steps($corner('4/10'))->end()));
        self::assertFalse(Patches::areSeen($flat, Folds::steps($corner('1/25'))->end()));
        self::assertFalse(Patches::areSeen($flat, $flat));
    }

    /**
     * Weights of 7 and 3 of 74 in all, 40 sightings' worth: with 20 sightings, all of the second kind, its share is
     * (20 + 40 x 3/74) / 60 = 0.360, against 0.041 expected: more than double, so doubled. The first has
     * (40 x 7/74) / 60 = 0.063 against 0.095: two thirds.
     */
    public function testWhatLeadsSeeCountsForMore(): void
    {
        $table = FaultTable::fromArray((array) Yaml::parseFile(self::LIBRARY.'/faults.yaml'));
        self::assertEqualsWithDelta(74.0, array_sum($table->weights), 1e-9);
        self::assertSame([1.0], array_values(array_unique(Sightings::factors($table, []))));
        $factors = Sightings::factors($table, ['short' => 20, 'unknown' => 9]);
        self::assertSame(2.0, $factors['short']);
        self::assertEqualsWithDelta(2 / 3, $factors['front-only'], 1e-9);
        self::assertSame(array_keys($table->weights), array_keys($factors));
    }

    public function testTheTableIsStrict(): void
    {
        $data = (array) Yaml::parseFile(self::LIBRARY.'/faults.yaml');
        unset($data['weights']['short']);
        $this->expectException(BadRules::class);
        $this->expectExceptionMessage('library/faults.yaml: weights');
        FaultTable::fromArray($data);
    }

    /** @return list<Fault> */
    private static function faults(string $slug, int $step): array
    {
        static $kept = [];
        static $table = null;
        $table ??= FaultTable::fromArray((array) Yaml::parseFile(self::LIBRARY.'/faults.yaml'));

        return $kept["$slug $step"] ??= Faults::of(
            Loader::load($slug, (string) file_get_contents(self::LIBRARY."/models/$slug.yaml")),
            $step,
            $table,
            Folds::words(),
        );
    }
}
