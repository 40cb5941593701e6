<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Space\Form\OpenedForm;
use Cathedra\Core\Space\StepMotion;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Finished models opened along the creases of some of their steps. */
final class OpenedFormTest extends TestCase
{
    /** A square of 100 mm halved and opened to a right angle: the upper half stands 50 mm high on the crease. */
    public function testAHalfOpenedToARightAngleStandsUpright(): void
    {
        $flat = Folds::steps("  - {fold: valley, bring: edge left, to: edge right}\n")->end();
        $piece = OpenedForm::of($flat, ['1'], 90);
        self::assertNotNull($piece);
        $last = $piece->at[count($piece->at) - 1];
        self::assertEqualsWithDelta(50.0, max([0.0, ...array_column($last, 2)]), 1e-6);
        self::assertEqualsWithDelta(0.0, min([0.0, ...array_column($last, 2)]), 1e-6);
        self::assertEqualsWithDelta(50.0, min([999.0, ...array_column($last, 0)]), 1e-6, 'over its crease');
        self::assertEqualsWithDelta(0.0, $piece->strain(), 1e-9);
    }

    /**
     * Wings a third of the body deep, opened to a right angle, stand out as far as they are long, in front and behind
     * alike; the body stays on the table.
     */
    public function testTheWingsOfACraneStandOutToBothSides(): void
    {
        $model = Folds::library('crane', ['body' => 'opened']);
        $motion = StepMotion::of($model->steps[17]);
        self::assertCount(1, $motion->pieces);
        $last = $motion->pieces[0]->at[count($motion->pieces[0]->at) - 1];
        $z = array_column($last, 2);
        self::assertEqualsWithDelta(-min([0.0, ...$z]), max([0.0, ...$z]), 1e-6);
        self::assertEqualsWithDelta(50.0, max([0.0, ...$z]), 0.1);
        self::assertEqualsWithDelta(0.0, $motion->pieces[0]->strain(), 1e-9);
    }

    /** Pleats folded to 110 degrees leave 70 between two panels: from pleat to next but one twice a panel x sin 35. */
    public function testAFanSpreadsEvenly(): void
    {
        $model = Folds::library('fan');
        $piece = OpenedForm::of($model->end(), ['1', '2', '3', '4', '5', '6'], 110);
        self::assertNotNull($piece);
        $mesh = $piece->mesh;
        $last = $piece->at[count($piece->at) - 1];
        $ends = [];
        foreach ($mesh->sheet as $vertex => [$x, $y]) {
            if (abs($y) < 1e-6) {
                $ends[(int) round($x / ($model->start->sheet->width / 8))] = $last[$vertex];
            }
        }
        self::assertCount(9, $ends);
        $panel = $model->start->sheet->width / 8;
        for ($i = 0; $i + 2 <= 8; $i++) {
            $far = sqrt(array_sum(array_map(
                static fn (float $u, float $v): float => ($u - $v) ** 2,
                $ends[$i],
                $ends[$i + 2],
            )));
            self::assertEqualsWithDelta(2 * $panel * sin(deg2rad(35)), $far, 1e-6);
        }
    }

    /** The creases of a preliminary base meet in a ring; opened alike they do not close, so it is no form. */
    public function testARingThatDoesNotCloseIsRefused(): void
    {
        $flat = Folds::library('crane')->steps[5]->after;
        self::assertNull(OpenedForm::of($flat, ['1', '2', '4', '5', '6'], 90));
        self::assertNull(OpenedForm::of($flat, ['99'], 90), 'no such creases');
    }

    public function testAnAngleIsBetweenFlatAndOpen(): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage('"to"');
        Folds::steps(
            "  - {fold: valley, bring: edge left, to: edge right}\n  - {fold: stand, opens: [1], to: 180}\n",
        );
    }
}
