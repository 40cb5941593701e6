<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Folding\Pinches;
use Cathedra\Core\Insight\StepInsight;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Rules\FoldTable;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Wording\StepText;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Folds;

/** A pinch mark shows and can be named, and bends and divides nothing. */
final class PinchMarkTest extends TestCase
{
    private const HALF = '  - {fold: pinch-mark, bring: edge left, to: edge right, at: middle of edge bottom, name: '
        ."half}\n";

    private const TO_IT = "  - {fold: valley, bring: corner top-left, to: where crease half meets edge bottom}\n";

    /** A square of 100 mm: the mark is 10 mm, half of it beyond the paper, so 5 mm up from the middle below. */
    public function testItIsAShortLineOnTheSheetAndNoFaceIsDivided(): void
    {
        $state = Folds::steps(self::HALF)->end();
        self::assertSame(1, $state->faceCount());
        self::assertCount(1, $state->sheet->pinches);
        $at = $state->sheet->pinches[0]->at;
        self::assertEqualsWithDelta(5.0, $at->length(), 0.01);
        self::assertEqualsWithDelta(50.0, $at->a->x, 1e-9);
        self::assertEqualsWithDelta(50.0, $at->b->x, 1e-9);
        self::assertEqualsWithDelta(0.0, min($at->a->y, $at->b->y), 0.01);
    }

    public function testALaterStepNamesItAndSaysSo(): void
    {
        $steps = Folds::steps(self::HALF.self::TO_IT)->steps;
        $landing = $steps[1]->after->positionOf($steps[1]->after->sheet->at(0, 1));
        self::assertNotNull($landing);
        self::assertEqualsWithDelta(50.0, $landing->x, 1e-6);
        self::assertEqualsWithDelta(0.0, $landing->y, 1e-6);
        $mark = Folds::steps(
            '  - {fold: pinch-mark, bring: edge left, to: edge right, at: 1/4 from (middle of edge bottom) to '
                ."(middle of edge top), name: half}\n"
                .'  - {fold: pinch-mark, bring: edge bottom, to: edge top, at: 1/4 from (middle of edge left) to '
                ."(middle of edge right)}\n"
                .'  - {fold: valley, bring: corner top-right, to: 1/4 from (middle of edge bottom) to (middle of edge '
                ."top)}\n",
        )->steps[2];
        self::assertStringContainsString('the pinch mark of step 1', StepText::of($mark, Folds::words())->sentence);
    }

    public function testWhatItMarksIsNotByEye(): void
    {
        $byEye = static fn (FoldedStep $step): int => StepInsight::of($step, [], self::difficulty())->byEye;
        $to = "  - {fold: valley, bring: corner top-right, to: 3/10 from A to C}\n";
        $bare = Folds::steps($to)->steps;
        $marked = Folds::steps('  - {fold: pinch-mark, bring: A, to: 3/5 from A to C, at: 3/10 from A to C}'."\n".$to)
            ->steps;
        self::assertSame(1, $byEye($bare[0]));
        self::assertSame(0, $byEye($marked[1]));
    }

    /** It goes with the paper: folded over and turned, it lies where its middle of the sheet lies. */
    public function testItFollowsThePaper(): void
    {
        $state = Folds::steps(
            self::HALF.self::TO_IT."  - {fold: turn-over}\n  - {fold: rotate, by: 70}\n"
                ."  - {fold: valley, bring: corner right, to: corner left, layers: all}\n",
        )->end();
        Folds::assertPaper($state);
        $middle = $state->sheet->pinches[0]->at->middle();
        $near = array_filter(Pinches::of($state), static fn (array $piece): bool => $piece['at']->passes(
            $state->positionOf($middle) ?? $middle,
            1e-6,
        ));
        self::assertNotSame([], $near);
    }

    public function testItIsDrawnWhenItIsMadeAndAfterwards(): void
    {
        $step = Folds::steps(self::HALF)->steps[0];
        $before = SceneBuilder::before($step);
        self::assertCount(1, $before->folds);
        self::assertEqualsWithDelta(
            10.0,
            hypot(
                $before->folds[0]['to'][0] - $before->folds[0]['from'][0],
                $before->folds[0]['to'][1] - $before->folds[0]['from'][1],
            ),
            0.01,
        );
        $lines = array_filter(
            SceneBuilder::after($step)->items,
            static fn (array $item): bool => $item['type'] === 'line' && $item['line']['kind'] === 'crease',
        );
        self::assertCount(1, $lines);
    }

    public function testAPlaceBesideTheCreaseIsRefused(): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage('does not lie on the crease');
        Folds::steps("  - {fold: pinch-mark, bring: edge left, to: edge right, at: corner bottom-left}\n");
    }

    public function testAPlaceIsNeeded(): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage('"at"');
        Folds::steps("  - {fold: pinch-mark, bring: edge left, to: edge right}\n");
    }

    private static function difficulty(): Difficulty
    {
        $read = static fn (string $file): array => (array) Yaml::parseFile(__DIR__."/../../../library/$file.yaml");

        return Difficulty::fromArray($read('difficulty'), FoldTable::fromArray($read('folds')));
    }
}
