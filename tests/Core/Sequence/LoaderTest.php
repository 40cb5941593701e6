<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\Folder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Effort;

final class LoaderTest extends TestCase
{
    private const HEAD = "title: T\nabout: A\nside_up: front\nage_from: 5\ndifficulty: 1\nsteps:\n";

    /** @return iterable<string, array{string, int, int|null, string}> text, line, step, words of the reason */
    public static function faults(): iterable
    {
        yield 'no YAML' => ["title: [\n", 2, null, 'not YAML'];
        yield 'a list' => ["- a\n- b\n", 1, null, 'must be a mapping'];
        yield 'no steps' => [
            "title: T\nabout: A\nside_up: front\nage_from: 5\ndifficulty: 1\n",
            1,
            null,
            '"steps" must be a list',
        ];
        yield 'unknown key' => [
            self::HEAD."  - fold: rotate\n    by: 45\nauthor: me\n",
            9,
            null,
            '"author" is not a key that belongs here',
        ];
        yield 'unknown key in a step' => [
            self::HEAD."  - fold: rotate\n    by: 45\n    colour: red\n",
            9,
            1,
            '"colour" is not a key that belongs here',
        ];
        yield 'unknown fold' => [self::HEAD."  - fold: origamize\n", 7, 1, 'must be one of: valley, mountain'];
        yield 'no alignment' => [self::HEAD."  - fold: valley\n", 7, 1, 'exactly one of: bring'];
        yield 'two alignments' => [
            self::HEAD."  - fold: valley\n    bring: A\n    to: B\n    strip: edge top\n    wide: 1/8\n",
            7,
            1,
            'exactly one of: bring',
        ];
        yield 'bad direction' => [
            self::HEAD."  - fold: valley\n    bring: corner north\n    to: A\n",
            8,
            1,
            '"north" is not a direction',
        ];
        yield 'landmark cut short' => [
            self::HEAD."  - fold: valley\n    bring: A\n    to: 1/3 from A\n",
            9,
            1,
            '"to" is missing at the end',
        ];
        yield 'words left over' => [
            self::HEAD."  - fold: valley\n    bring: A B\n    to: C\n",
            8,
            1,
            'ends before "B"',
        ];
        yield 'share over one' => [
            self::HEAD."  - fold: valley\n    bring: A\n    to: 3/2 from A to C\n",
            9,
            1,
            'more than the whole',
        ];
        yield 'division by zero' => [
            self::HEAD."  - fold: valley\n    bring: A\n    to: 1/0 from A to C\n",
            9,
            1,
            'not a share',
        ];
        yield 'unknown mark' => [
            self::HEAD."  - fold: valley\n    bring: A\n    to: mark spot\n",
            7,
            1,
            'No earlier step sets a mark called "spot"',
        ];
        yield 'unknown crease' => [
            self::HEAD."  - fold: valley\n    bring: edge left\n    to: crease 9\n",
            7,
            1,
            'No earlier step makes a crease called "9"',
        ];
        yield 'already there' => [
            self::HEAD."  - fold: valley\n    bring: A\n    to: A\n",
            7,
            1,
            'already lies there',
        ];
        yield 'tears' => [
            self::HEAD.
            "  - fold: valley\n    bring: edge right\n    to: edge left\n  - fold: valley\n"
                ."    bring: corner top-right\n    to: corner top-left\n    layers: top 2\n",
            10,
            2,
            'hang together as one',
        ];
        yield 'off the paper' => [
            self::HEAD."  - fold: valley\n    along: edge left\n    move: B\n",
            7,
            1,
            'does not cross the paper',
        ];
        yield 'no side meant' => [
            self::HEAD."  - fold: valley\n    along: line A to C\n    move: centre\n",
            7,
            1,
            'lies on the crease itself',
        ];
        yield 'ambiguous corner' => [
            self::HEAD."  - fold: valley\n    bring: corner top\n    to: A\n",
            7,
            1,
            'Two corners lie equally far to the top',
        ];
        yield 'unfold nothing' => [self::HEAD."  - fold: unfold\n    step: 1\n", 8, 1, 'nothing to unfold'];
        yield 'too many steps' => [self::HEAD.str_repeat("  - {fold: rotate, by: 1}\n", 121), 6, null, 'at most 120'];
        yield 'too long a title' => [
            strtr(self::HEAD, ['title: T' => 'title: '.str_repeat('x', 81)])."  - {fold: rotate, by: 1}\n",
            1,
            null,
            '81 characters',
        ];
        yield 'not UTF-8' => ["title: \xff\n", 1, null, 'UTF-8'];
        yield 'sheet of nothing' => [
            self::HEAD."  - {fold: rotate, by: 1}\nsheet: 0 x 5\n",
            8,
            null,
            'width x height',
        ];
    }

    #[DataProvider('faults')]
    public function testFaultsAreNamedWithLineStepAndReason(string $text, int $line, ?int $step, string $reason): void
    {
        try {
            Folder::fold(Loader::load('test', $text));
            self::fail('accepted');
        } catch (BadSequence $e) {
            self::assertStringContainsString($reason, $e->getMessage());
            self::assertSame([$line, $step], [$e->atLine, $e->step], $e->getMessage());
        }
    }

    public function testAHugeFileIsRefusedAtOnce(): void
    {
        $began = Effort::spent();
        try {
            Loader::load('test', self::HEAD.str_repeat("  - {fold: rotate, by: 1}\n", 1_000_000));
            self::fail('accepted');
        } catch (BadSequence $e) {
            self::assertStringContainsString('kB', $e->getMessage());
        }
        self::assertLessThan(2.0, Effort::spent() - $began);
    }

    public function testPaperFoldedTooOftenIsRefusedInTime(): void
    {
        $steps = '';
        for ($i = 0; $i < 60; $i++) {
            $steps .= "  - {fold: valley, bring: edge right, to: edge left, layers: all}\n  - {fold: rotate, by: 90}\n";
        }
        $began = Effort::spent();
        try {
            Folder::fold(Loader::load('test', self::HEAD.$steps));
            self::fail('accepted');
        } catch (BadSequence $e) {
            self::assertStringContainsString('more than 220 faces', $e->getMessage());
        }
        self::assertLessThan(
            10.0,
            Effort::spent() - $began,
            'bounded, with room for slow machines; bin/bench has the figure',
        );
    }

    public function testDeepBracketsAreOnlyALongText(): void
    {
        $this->expectException(BadSequence::class);
        Loader::load('test', self::HEAD."  - fold: valley\n    bring: ".str_repeat('( ', 5000)."A\n    to: B\n");
    }

    public function testAnOblongSheetKeepsItsRatio(): void
    {
        $model = Folder::fold(
            Loader::load(
                'test',
                self::HEAD."  - {fold: valley, bring: edge top, to: edge bottom}\nsheet: 210 x 297\n",
            ),
            210.0,
        );
        self::assertEqualsWithDelta(148.5, $model->end()->box()->height(), 1e-9);
    }
}
