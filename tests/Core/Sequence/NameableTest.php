<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Diagram\SceneBuilder;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Landmark\Nameable;
use Cathedra\Core\Sequence\Run\Folder;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** What an author may name before a step. */
final class NameableTest extends TestCase
{
    private const YAML = "title: T\nabout: A.\nside_up: front\nage_from: 5\ndifficulty: 1\nsheet: square\nsteps:\n"
        ."  - {fold: crease, bring: edge left, to: edge right, name: middle, marks: {foot: middle of edge bottom}}\n"
        ."  - {fold: valley, bring: corner top-left, to: crease nowhere}\n";

    public function testASheetWithOneCrease(): void
    {
        $all = Nameable::all(Folder::settingBefore(Loader::load('t', self::YAML), 2, 100.0));
        $at = [];
        foreach ($all as $i => $landmark) {
            self::assertSame($i + 1, $landmark->number);
            $at[$landmark->text] = $landmark->at;
        }

        self::assertEquals(new Point(0, 100), $at['corner top-left']);
        self::assertEquals(new Point(50, 0), $at['middle of edge bottom']);
        self::assertEquals(new Point(50, 0), $at['mark foot']);
        self::assertEquals(new Point(100, 0), $at['B']);
        self::assertArrayNotHasKey('corner top', $at, 'two corners lie equally far that way');
        self::assertInstanceOf(Segment::class, $at['crease middle']);
        self::assertEquals($at['crease middle'], $at['crease 1'], 'by its name and by its step');
        self::assertEqualsWithDelta(100.0, $at['crease middle']->length(), 1e-9);
    }

    public function testAStepThatIsStillWrongIsNotInTheWayOfWhatComesBeforeIt(): void
    {
        $sequence = Loader::load('t', self::YAML);
        self::assertNotSame([], Nameable::all(Folder::settingBefore($sequence, 2)));
        $this->expectException(BadSequence::class);
        Folder::settingBefore($sequence, 3);
    }

    /** Each may be written in a step there: it is read back and means the same place. */
    public function testBeforeEveryStepOfACraneEveryLandmarkLiesOnTheModel(): void
    {
        $crane = Folds::library('crane');
        foreach ([1, 7, 10, 14, 18] as $step) {
            $setting = Folder::settingBefore($crane->sequence, $step);
            $box = $setting->state->box();
            $all = Nameable::all($setting);
            self::assertGreaterThan(8, count($all));
            foreach ($all as $landmark) {
                $p = $landmark->place();
                self::assertTrue(
                    $p->x > $box->left - 0.01 && $p->x < $box->right + 0.01 && $p->y > $box->bottom - 0.01 &&
                        $p->y < $box->top + 0.01,
                    "$landmark->text before step $step",
                );
            }
        }
    }

    public function testNumbersOfOnePlaceStandTogetherInThePicture(): void
    {
        $setting = Folder::settingBefore(Folds::library('crane')->sequence, 8);
        $labels = SceneBuilder::labelled($setting->state, Nameable::all($setting))->labels;
        $texts = implode('/', array_column($labels, 'text'));
        $numbers = array_map(intval(...), explode('/', $texts));
        sort($numbers);

        self::assertSame(range(1, count(Nameable::all($setting))), $numbers, 'each number once');
        self::assertNotSame([], array_filter($labels, static fn (array $l): bool => str_contains($l['text'], '/')));
    }
}
