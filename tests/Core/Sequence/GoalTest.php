<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\Folder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** What makes a model itself is stated in its file and checked against the geometry. */
final class GoalTest extends TestCase
{
    /** A diagonal fold, bottom corner on top corner: a triangle with its fold below. */
    private const TRIANGLE = "title: T\nabout: A.\nside_up: front\nage_from: 5\ndifficulty: 1\nsheet: square\ngoal:\n%s"
        ."steps:\n  - {fold: rotate, by: 45}\n  - {fold: valley, bring: corner bottom, to: corner top}\n";

    /** @return iterable<string, array{string, string|null}> fact, and the reason when it does not hold */
    public static function facts(): iterable
    {
        yield 'its shape' => ['{shape: triangle}', null];
        yield 'another shape' => ['{shape: kite}', 'the outline is triangle.'];
        yield 'two loose points' => ['{loose: top, count: 2}', null];
        yield 'three' => ['{loose: top, count: 3}', 'there are 2 loose points at the top.'];
        yield 'no such corner' => ['{loose: bottom, count: 1}', 'there is no corner at the bottom.'];
        yield 'closed below' => ['{closed: bottom}', null];
        yield 'open at the left' => ['{open: left}', null];
        yield 'not open below' => ['{open: bottom}', 'the bottom edge is closed.'];
        yield 'no edge there' => ['{open: top}', 'there is no edge at the top.'];
        yield 'the back shows' => ['{shows: back}', null];
        yield 'not both' => ['{shows: both}', 'it shows back.'];
        yield 'like halves' => ['{symmetric: true}', null];
        yield 'no pocket' => ['{pocket: top}', 'no pocket opens at the top.'];
        yield 'the tip is higher' => ['{higher: corner top, than: corner left}', null];
        yield 'and not lower' => ['{higher: corner left, than: corner top}', 'mm below the second.'];
        // From the left corner to the middle of the fold and on to the top: a right angle.
        yield 'bent enough' => ['{bent: corner top, at: centre, from: corner left, least: 90}', null];
        yield 'not so much' => [
            '{bent: corner top, at: centre, from: corner left, least: 91}',
            'it is bent by 90 degrees only.',
        ];
        yield 'a form' => ['{form: stand}', 'no step says stand.'];
    }

    #[DataProvider('facts')]
    public function testAFactHoldsOrSaysWhatIsThereInstead(string $fact, ?string $reason): void
    {
        $yaml = sprintf(self::TRIANGLE, "  - $fact\n");
        if ($reason !== null) {
            $this->expectException(BadSequence::class);
            $this->expectExceptionMessageMatches('/^Line 8, step 2: The goal .*'.preg_quote($reason, '/').'/');
        }
        self::assertCount(1, Folder::fold(Loader::load('t', $yaml))->sequence->goals);
    }

    /** @return iterable<string, array{string, string}> */
    public static function slips(): iterable
    {
        yield 'no fact' => ['  - {least: 40}', 'A goal has exactly one of'];
        yield 'two facts' => ['  - {shape: kite, shows: both}', 'A goal has exactly one of'];
        yield 'no shape' => ['  - {shape: swan}', 'shape'];
        yield 'no count' => ['  - {loose: top}', 'count'];
        yield 'no place' => ['  - {loose: above, count: 2}', 'loose'];
        yield 'false' => ['  - {symmetric: false}', 'symmetric'];
        yield 'no point' => ['  - {higher: the beak, than: centre}', 'landmark'];
        yield 'what it has no use for' => ['  - {shape: triangle, least: 3}', 'least'];
        yield 'a fold is no form' => ['  - {form: petal}', 'form'];
        yield 'not a list' => ['  shape: triangle', 'must be a list of facts'];
    }

    #[DataProvider('slips')]
    public function testASlipIsNamedWithItsLine(string $goal, string $names): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessageMatches('/^Line [78].*'.preg_quote($names, '/').'/');
        Folder::fold(Loader::load('t', sprintf(self::TRIANGLE, "$goal\n")));
    }

    public function testEveryModelSaysWhatMakesItItself(): void
    {
        foreach (Folds::slugs() as $slug) {
            self::assertNotSame([], Folds::library($slug)->sequence->goals, $slug);
        }
    }

    /** @return iterable<string, array{string, string, string, string}> model, what is written, the slip, the reason */
    public static function faultsOfOld(): iterable
    {
        yield 'a boat whose sails are one sail' => ['sailing-boat', '      short: B', '      short: D', 'higher'];
        $straight = "    along: line (mark crook) to (mark brow)\n    move: corner left\n";
        yield 'a head pushed straight down has no beak' => [
            'crane',
            $straight,
            "    bring: corner left\n    to: 1/3 from (corner left) to (mark heart)\n",
            'bent',
        ];
    }

    #[DataProvider('faultsOfOld')]
    public function testAModelThatLosesItsGoalIsRefused(string $slug, string $written, string $slip, string $fact): void
    {
        $yaml = (string) file_get_contents(dirname(__DIR__, 3)."/library/models/$slug.yaml");
        self::assertStringContainsString($written, $yaml);
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessageMatches("/The goal \"$fact\" does not hold/");
        Folder::fold(Loader::load($slug, str_replace($written, $slip, $yaml)));
    }
}
