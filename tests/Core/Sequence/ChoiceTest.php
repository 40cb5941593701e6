<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Folding\Sameness;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Sequence\Ways\Combinations;
use Cathedra\Core\Sequence\Ways\Passage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Choices: options that may end differently, and steps that hold for some of them only. */
final class ChoiceTest extends TestCase
{
    private const HEAD = "title: Test\nabout: For a test.\nsheet: square\nside_up: front\nage_from: 5\n"
        ."difficulty: 1\nsteps:\n";

    private const TIP = <<<'YAML'
          - choice: tip
            title: What becomes of the corner?
            options:
              folded:
                title: Folded to the middle
                when: For all.
                steps:
                  - {fold: valley, id: tipped, bring: corner top-right, to: centre}
              left:
                title: Left as it is
                when: Where time is short.
          - {fold: turn-over, if: {tip: folded}}
          - {fold: valley, bring: edge left, to: edge right, if: {tip: [left]}}
          - {fold: rotate, by: 90, if: {tip: [folded, left]}}

        YAML;

    public function testTheFirstOptionIsTheUsualOneAndLaterStepsFollow(): void
    {
        $usual = self::folded(self::TIP);
        self::assertSame([FoldKind::Valley, FoldKind::TurnOver, FoldKind::Rotate], self::kinds($usual));
        $left = self::folded(self::TIP, ['tip' => 'left']);
        self::assertSame([FoldKind::Valley, FoldKind::Rotate], self::kinds($left));
        self::assertSame([1, 2], array_map(static fn ($s): int => $s->step->number, $left->steps), 'numbered anew');
        self::assertNotNull(Sameness::difference($usual->end(), $left->end()), 'they may end differently');
        $tip = $left->sequence->passages['tip'];
        self::assertSame(
            ['What becomes of the corner?', 'left', 'Where time is short.', false, false, 1, 0],
            [
                $tip->question,
                $tip->chosen,
                $tip->when['left'],
                $tip->isUsual(),
                $tip->alike,
                $tip->firstStep,
                $tip->lastStep,
            ],
        );
    }

    public function testAStepMayNameAStepOfItsOwnOption(): void
    {
        $steps = self::TIP."  - {fold: unfold, steps: [tipped], if: {tip: folded}}\n";
        self::assertCount(2, self::folded($steps, ['tip' => 'left'])->steps);
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage('Line 22');
        self::folded(str_replace('if: {tip: folded}}'."\n", '}'."\n", $steps, $n), ['tip' => 'left']);
    }

    /** Where it may rest is said once for all ways; a step that no way has is refused in each. */
    public function testAPlaceToRestMayBeAStepOfSomeWaysOnly(): void
    {
        $text = str_replace("steps:\n", "resting: [tipped]\ncheckpoints: [tipped, 2]\nsteps:\n", self::HEAD).self::TIP;
        $of = static fn (array $ways): array => [
            Loader::load('test', $text, $ways)->resting, Loader::load('test', $text, $ways)->checkpoints,
        ];
        self::assertSame([[1], [1, 2]], $of([]));
        self::assertSame([[], [2]], $of(['tip' => 'left']));
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage('"resting" must name steps');
        Loader::load('test', str_replace('resting: [tipped]', 'resting: [topped]', $text), ['tip' => 'left']);
    }

    /** The steps that hold for an option belong to it, wherever they stand. */
    public function testStepsThatHoldForAnOptionOnlyAreItsSteps(): void
    {
        self::assertSame([1, 2, 3], self::folded(self::TIP)->sequence->passages['tip']->steps());
        self::assertSame([1, 2], self::folded(self::TIP, ['tip' => 'left'])->sequence->passages['tip']->steps());
    }

    /** @return iterable<string, array{string, string, string, int, string}> */
    public static function faults(): iterable
    {
        yield 'an unknown choice' => [
            'if: {tip: folded}',
            'if: {top: folded}',
            'left',
            19,
            'No choice before this is called "top"; there is: tip.',
        ];
        yield 'an unknown option' => [
            'if: {tip: folded}',
            'if: {tip: bent}',
            'left',
            19,
            'has no such option; it has: folded, left.',
        ];
        yield 'no condition' => ['if: {tip: folded}', 'if: folded', 'left', 19, '"if" maps choices made before'];
        yield 'no question' => ['    title: What becomes of the corner?'."\n", '', 'left', 8, '"title"'];
        yield 'no reason' => ['        when: Where time is short.'."\n", '', 'left', 16, '"when"'];
        yield 'a choice in a choice' => [
            '{fold: valley, id: tipped, bring: corner top-right, to: centre}',
            '{choice: inner, title: T, options: {a: {title: A, when: W}, b: {title: B, when: W}}}',
            'folded',
            15,
            'cannot stand inside',
        ];
        yield 'an option that is not there' => ['', '', 'bent', 10, 'has no way called "bent"; it has: folded, left.'];
    }

    #[DataProvider('faults')]
    public function testWhatCannotBeChosen(string $from, string $to, string $taken, int $line, string $said): void
    {
        try {
            self::folded($from === '' ? self::TIP : str_replace($from, $to, self::TIP), ['tip' => $taken]);
        } catch (BadSequence $e) {
            self::assertStringContainsString($said, $e->getMessage());
            self::assertStringContainsString("Line $line", $e->getMessage());

            return;
        }
        self::fail('It was read.');
    }

    public function testCombinationsAreAllWhileTheyAreFewElseEveryPair(): void
    {
        $of = static function (int ...$sizes): array {
            $passages = [];
            foreach (array_values($sizes) as $i => $size) {
                $options = array_fill_keys(array_map(static fn (int $o): string => "o$o", range(1, $size)), 'Title');
                $passages["c$i"] = new Passage(name: "c$i", options: $options, chosen: 'o1', firstStep: 1, lastStep: 1);
            }

            return $passages;
        };
        self::assertSame([[]], Combinations::of([]));
        self::assertCount(12, Combinations::of($of(2, 3, 2)));
        self::assertCount(64, Combinations::of($of(4, 4, 4)));
        $many = Combinations::of($of(3, 3, 3, 3, 3)); // 243 in all
        self::assertLessThan(64, count($many));
        self::assertSame(array_fill_keys(['c0', 'c1', 'c2', 'c3', 'c4'], 'o1'), $many[0], 'the usual ways first');
        for ($one = 0; $one < 5; $one++) {
            for ($two = $one + 1; $two < 5; $two++) {
                $pairs = array_unique(array_map(static fn (array $c): string => $c["c$one"].$c["c$two"], $many));
                self::assertCount(9, $pairs, "every pair of c$one and c$two");
            }
        }
    }

    /** Eleven questions of a crane's kind: every other option by itself, every pair, and few in all. */
    public function testManyQuestionsNeedFewCombinations(): void
    {
        $sizes = [2, 3, 5, 3, 2, 2, 2, 2, 2, 2, 4];
        $passages = [];
        foreach ($sizes as $i => $size) {
            $options = array_fill_keys(array_map(static fn (int $o): string => "o$o", range(1, $size)), 'Title');
            $passages["c$i"] = new Passage(name: "c$i", options: $options, chosen: 'o1', firstStep: 1, lastStep: 1);
        }
        $all = Combinations::of($passages);
        self::assertLessThan(50, count($all));
        $alone = array_filter($all, static fn (array $c): bool => count(array_diff($c, ['o1'])) === 1);
        self::assertCount(array_sum($sizes) - count($sizes), $alone);
        foreach ($sizes as $one => $oneSize) {
            foreach (array_slice($sizes, $one + 1, null, true) as $two => $twoSize) {
                $pairs = array_unique(array_map(static fn (array $c): string => $c["c$one"].$c["c$two"], $all));
                self::assertCount($oneSize * $twoSize, $pairs, "every pair of c$one and c$two");
            }
        }
        self::assertSame($all, Combinations::of($passages), 'the same each time');

        // what is looked at when one thing is changed: each two changed, and nothing that is there already
        $looked = Combinations::looked($passages);
        $changed = array_map(static fn (array $c): int => count(array_diff($c, ['o1'])), $looked);
        self::assertSame([2], array_values(array_unique($changed)));
        self::assertSame([], array_uintersect($looked, $all, static fn (array $a, array $b): int => $a <=> $b));
        $pairs = (array_sum($sizes) - count($sizes)) ** 2;
        foreach ($sizes as $size) {
            $pairs -= ($size - 1) ** 2;
        }
        self::assertLessThanOrEqual($pairs / 2, count($looked));
        self::assertGreaterThan($pairs / 2 - count($all), count($looked));
    }

    public function testTheWingsOfTheCraneFoldDeepOrDeeper(): void
    {
        $above = Folds::library('crane');
        $low = Folds::library('crane', ['wings' => 'low']);
        self::assertSame(count($above->steps), count($low->steps));
        self::assertNull(
            Sameness::difference($above->steps[15]->after, $low->steps[15]->after),
            'until the wings nothing differs, so the way can still be changed there',
        );
        self::assertNotNull(Sameness::difference($above->end(), $low->end()));
    }

    /** @param  array<string, string>  $choice */
    private static function folded(string $steps, array $choice = []): FoldedModel
    {
        return Folder::fold(Loader::load('test', self::HEAD.$steps, $choice), 100.0);
    }

    /** @return list<FoldKind> */
    private static function kinds(FoldedModel $model): array
    {
        return array_map(static fn ($step): FoldKind => $step->step->kind, $model->steps);
    }
}
