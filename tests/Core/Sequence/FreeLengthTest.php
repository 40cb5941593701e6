<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\FreeLength;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** A length chosen by eye: folded as usual, said as a range, refused out of it. */
final class FreeLengthTest extends TestCase
{
    private const STRIP = "  - {fold: valley, strip: edge top, wide: free, by_eye: %s}\n";

    public function testTheUsualShareIsFoldedAndTheRangeIsKept(): void
    {
        $model = Folds::steps(sprintf(self::STRIP, '{from: 1/8, to: 1/3, usual: 1/5}'));
        // A strip of a fifth of 100 mm, turned over: 80 mm are left.
        self::assertEqualsWithDelta(80.0, $model->end()->box()->height(), 1e-6);
        $free = $model->steps[0]->step->free;
        self::assertInstanceOf(FreeLength::class, $free);
        self::assertSame(['1/8', '1/3', '1/5'], [$free->from, $free->to, $free->usual]);
    }

    /**
     * Strips of an eighth and of a third of 100 mm, turned over along lines 12.5 and 33.33 mm below the upper edge: the
     * picture has both, dotted, and the usual one, dashed, at 20 mm.
     */
    public function testThePictureShowsBothEndsOfTheRange(): void
    {
        $step = Folds::steps(sprintf(self::STRIP, '{from: 1/8, to: 1/3, usual: 1/5}'))->steps[0];
        $at = [];
        foreach (SceneBuilder::before($step)->folds as $fold) {
            self::assertEqualsWithDelta($fold['from'][1], $fold['to'][1], 1e-9, 'level');
            $at[] = $fold['kind'].' '.round(100 - $fold['from'][1], 2);
        }
        self::assertSame(['range 12.5', 'range 33.33', 'valley 20'], $at);
    }

    public function testBothEndsOfTheRangeCanBeFolded(): void
    {
        try {
            Folds::steps('  - {fold: valley, along: line (free from corner top-left to corner bottom-left) to '
                ."(corner top-right), move: corner top-left, by_eye: {from: 0, to: 1/2, usual: 1/3}}\n");
            self::fail('taken');
        } catch (BadSequence $e) {
            self::assertStringContainsString('As far as 0, where the length chosen by eye ends', $e->getMessage());
        }
    }

    public function testAWordOfANoteIsNotAShare(): void
    {
        $model = Folds::steps(
            '  - {fold: valley, bring: corner top-left, to: free from (corner top-left) to centre, note: A free hand.,'
                ." by_eye: {from: 0.5, to: 1, usual: 0.75}}\n",
        );
        self::assertSame('A free hand.', $model->steps[0]->step->note);
        // The corner goes 3/4 of the way to the middle: 53.03 of 70.71 mm.
        $crease = $model->steps[0]->actions[0]->crease;
        self::assertNotNull($crease);
        self::assertEqualsWithDelta(53.03, $crease->landing->distanceTo($crease->grip), 0.01);
    }

    private const ASKED = <<<'YAML'
      - choice: edge
        title: How wide is the strip?
        options:
          mark: {title: A fifth, when: For all.}
          eye: {title: By eye, when: For the quick.}
      - {fold: valley, strip: edge top, wide: free, by_eye: {from: 1/8, to: 1/3, usual: 1/5, if: {edge: %s}}}

    YAML;

    /** The same paper either way: chosen by eye, or at the mark. The choice knows the step that it tells of. */
    public function testItMayBeChosenByEyeInOneWayOnly(): void
    {
        foreach (['eye' => false, '[mark, eye]' => true] as $option => $isFree) {
            $model = Folds::steps(sprintf(self::ASKED, $option));
            self::assertEqualsWithDelta(80.0, $model->end()->box()->height(), 1e-6);
            self::assertSame($isFree, $model->steps[0]->step->free !== null, (string) $option);
            self::assertSame([1], $model->sequence->passages['edge']->steps());
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function bad(): iterable
    {
        $strip = static fn (string $eye): string => sprintf(self::STRIP, $eye);
        yield 'usual too large' => [$strip('{from: 1/8, to: 1/3, usual: 1/2}'), 'usual share 1/2 must lie from 1/8'];
        yield 'usual too small' => [$strip('{from: 1/8, to: 1/3, usual: 1/9}'), 'must lie from 1/8 to 1/3'];
        yield 'the wrong way round' => [$strip('{from: 1/3, to: 1/8, usual: 1/5}'), 'the smaller one first'];
        yield 'more than the whole' => [$strip('{from: 1/3, to: 4/3, usual: 1/2}'), 'more than the whole'];
        yield 'no share' => [$strip('{from: a bit, to: 1/3, usual: 1/5}'), 'is not a share'];
        yield 'asked of a choice that is not there' => [
            $strip('{from: 1/8, to: 1/3, usual: 1/5, if: {legs: long}}'),
            'No choice before this is called "legs"',
        ];
        yield 'asked of nothing' => [$strip('{from: 1/8, to: 1/3, usual: 1/5, if: much}'), 'maps choices made before'];
        yield 'without the usual' => [$strip('{from: 1/8, to: 1/3}'), 'three shares: from, to and usual'];
        yield 'a word' => [$strip('much'), 'three shares'];
        yield 'nothing free' => [
            "  - {fold: valley, strip: edge top, wide: 1/5, by_eye: {from: 1/8, to: 1/3, usual: 1/5}}\n",
            'Nothing of this step is "free"',
        ];
        yield 'free without a range' => ["  - {fold: valley, strip: edge top, wide: free}\n", '"free" is neither'];
    }

    #[DataProvider('bad')]
    public function testWhatCannotBeMeantIsSaidWithItsLine(string $steps, string $reason): void
    {
        try {
            Folds::steps($steps);
            self::fail('taken');
        } catch (BadSequence $e) {
            self::assertStringContainsString($reason, $e->getMessage());
            self::assertMatchesRegularExpression('/Line \d+, step 1/', $e->getMessage());
        }
    }
}
