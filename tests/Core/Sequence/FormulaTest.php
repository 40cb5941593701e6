<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Format\Formula;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\Folder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Formulas, routes and parts: what the sequence format refuses. */
final class FormulaTest extends TestCase
{
    public function testAFormulaIsWorkedOutInTheSheetsSides(): void
    {
        self::assertEqualsWithDelta(2.0, Formula::of('sqrt(s*s/25)/10')->value(100, 150), 1e-12);
        self::assertEqualsWithDelta(43.5, Formula::of('(w - h)/2')->value(297, 210), 1e-12);
        self::assertEqualsWithDelta(8.0, Formula::of('2**3')->value(1, 1), 1e-12);
    }

    /** @return iterable<string, array{string}> */
    public static function forbidden(): iterable
    {
        foreach (
            [
                'constant("PHP_VERSION")',
                's.x',
                's["x"]',
                '"text"',
                'system("x")',
                'x + 1',
                's > 1 ? 2 : 3',
                '[s]',
                's =~ 1',
                '',
                's +',
                'sqrt',
                str_repeat('s+', 80).'s',
                's ~ w',
                'not s',
                'enum("x")',
                'null',
                'min(s, w)',
            ] as $text
        ) {
            yield $text => [$text];
        }
    }

    #[DataProvider('forbidden')]
    public function testAnythingElseIsRefused(string $text): void
    {
        $this->expectException(\InvalidArgumentException::class);
        Formula::of($text);
    }

    public function testASizeThatIsNoSizeNamesItsStep(): void
    {
        foreach (['w - h', 's - 2*s', 's/(w-h)', 'sqrt(0-s)'] as $formula) {
            try {
                Folds::steps("  - {fold: blintz}\n  - {fold: open-out, size: {height: \"$formula\"}}\n");
                self::fail("$formula is no size");
            } catch (BadSequence $e) {
                self::assertSame(2, $e->step);
                self::assertStringContainsString('gives no positive number', $e->getMessage());
            }
        }
    }

    /**
     * @return iterable<string, array{string, string, array<string, string>}> text after the head, words of the reason,
     *     ways chosen
     */
    public static function faults(): iterable
    {
        $way = static fn (
            string $steps,
        ): string => "steps:\n  - route: a\n    options:\n      x: {title: X, steps: [$steps]}\n"
            ."      y: {title: Y, steps: [{fold: blintz}]}\n";
        yield 'no such way' => [$way('{fold: blintz}'), 'has no way called "z"', ['a' => 'z']];
        yield 'no such route' => [$way('{fold: blintz}'), 'no route or choice called "b"', ['b' => 'x']];
        yield 'a mistake in the other way' => [
            "steps:\n  - route: a\n    options:\n      x: {title: X, steps: [{fold: blintz}]}\n"
                ."      y: {title: Y, steps: [{fold: blintz, colour: red}]}\n",
            '"colour" is not a key',
            [],
        ];
        yield 'one way only' => [
            "steps:\n  - route: a\n    options:\n      x: {title: X, steps: [{fold: blintz}]}\n",
            'at least two names',
            [],
        ];
        yield 'a route in a route' => [$way('{route: b, options: {}}'), 'cannot stand inside a route or a choice', []];
        yield 'unknown part' => ["steps:\n  - part: head\n    steps: [{fold: blintz}]\n", '"head" is not a part', []];
        yield 'part of a wild size' => [
            "parts:\n  head: {title: Head, scale: 99, side_up: back}\nsteps:\n  - {fold: blintz}\n",
            '"scale" must be a number',
            [],
        ];
        yield 'attached before it is folded' => [
            "parts:\n  head: {title: Head, side_up: back}\nsteps:\n  - {fold: blintz}\n"
                ."  - {fold: attach, part: head, at: centre}\n",
            'is not folded yet',
            [],
        ];
        yield 'an id twice' => ["steps:\n  - {fold: blintz, id: a}\n  - {fold: turn-over, id: a}\n", 'occurs once', []];
        yield 'resting at no step' => ["resting: [x]\nsteps:\n  - {fold: blintz}\n", 'id of an earlier step', []];
        yield 'finger of nothing' => ["steps:\n  - {fold: valley, strip: edge top, wide: 0 mm}\n", '"wide"', []];
    }

    /** @param  array<string, string>  $ways */
    #[DataProvider('faults')]
    public function testFaultsOfRoutesAndParts(string $text, string $reason, array $ways): void
    {
        try {
            Folder::fold(
                Loader::load('x', "title: T\nabout: A\nside_up: front\nage_from: 5\ndifficulty: 1\n$text", $ways),
            );
            self::fail('accepted');
        } catch (BadSequence $e) {
            self::assertStringContainsString($reason, $e->getMessage());
            self::assertGreaterThan(0, $e->atLine);
        }
    }

    public function testAStripByTheFingerIsTheSameOnEverySheet(): void
    {
        foreach ([100.0, 200.0] as $side) {
            $model = Folds::steps("  - {fold: valley, strip: edge top, wide: 15 mm}\n", 'front', 'square', $side);
            self::assertEqualsWithDelta($side - 15, $model->end()->box()->height(), 1e-9);
        }
    }
}
