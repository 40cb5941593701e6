<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\Format\Loader;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Space\Form\Forms;
use Cathedra\Core\Space\Form\FormSizes;
use Cathedra\Core\Space\Mesh\Piece;
use Cathedra\Core\Space\StepMotion;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Finished forms by formula: they begin flat, are paper at every moment, and have the sizes that follow from folds. */
final class FormTest extends TestCase
{
    /** @return iterable<string, array{string, float, array<string, float>}> shorter side, and sizes in mm */
    public static function sizes(): iterable
    {
        // Office sheet 297 x 210: the doors lie at a quarter and three quarters of the length, the ends rise at a
        // quarter of the width: 297/2 x 210/2 x 210/4.
        yield 'office-sheet box' => ['oblong-box', 210.0, ['width' => 148.5, 'depth' => 105.0, 'height' => 52.5]];
        // Square of 150: q = 150 root 2 / 8 = 26.5165; floor 2 q, walls q.
        yield 'square box' => ['square-box', 150.0, ['width' => 53.033, 'depth' => 53.033, 'height' => 26.5165]];
        // A square of six inches: 152.4 x 0.35355 = 53.88 and half that.
        yield 'square box of six inches' => ['square-box', 152.4, ['width' => 53.8815, 'height' => 26.9408]];
        // The corner of a cube with the edge 150 / root 2 = 106.066: base 150, height 106.066 / root 3 = 61.2372, from
        // the tip to the middle of a base edge 75.
        yield 'pyramid' => ['pyramid', 150.0, ['width' => 150.0, 'height' => 61.2372, 'slope' => 75.0]];
        // Sides with 45 degrees at the tip and a slope of 75: base 2 x 75 tan 22.5 = 62.132; height the root of
        // 75^2 - 31.066^2 = 68.2635.
        yield 'square pyramid' => ['square-pyramid', 150.0, ['width' => 62.132, 'height' => 68.2635, 'slope' => 75.0]];
        yield 'waterbomb' => ['waterbomb', 160.0, ['width' => 40.0, 'depth' => 40.0, 'height' => 40.0]];
        // Corners at 50 degrees: h = 37.5, twice h cos 50 apart, and root 2 h sin 50 high.
        // From 297 x 210 the square before the last step has a side s of 105. The keel opens by b = 0.36 s = 37.8 to
        // either side, so the peak stands h = root(105^2 - 37.8^2) = 97.96 over it. The fold at 0.7 lies
        // v = (h^2 - b^2 - 0.4 s^2) / 2 h = 19.178 up and u = root(0.58 s^2 - v^2 - b^2) = 67.808 out, 70.467 from the
        // keel. The tip is h from the keel and 0.3 root 2 s = 44.548 from the fold, so at atan(v / u) +
        // acos((h^2 + 70.467^2 - 44.548^2) / (2 h 70.467)) = 15.792 + 24.355 degrees: 2 h cos 40.147 from the other.
        yield 'boat' => ['hat-and-boat', 210.0, ['depth' => 75.6, 'height' => 97.96, 'width' => 149.7583]];
        yield 'fortune teller' => ['fortune-teller', 150.0, ['width' => 48.2091, 'height' => 40.6256]];
    }

    /** @param  array<string, float>  $expected */
    #[DataProvider('sizes')]
    public function testItsSizesAreThoseOfTheFolds(string $slug, float $side, array $expected): void
    {
        $model = self::model($slug, $side);
        $sizes = FormSizes::of($model);
        foreach ($expected as $name => $mm) {
            self::assertEqualsWithDelta($mm, $sizes[$name], 1e-3, $name);
        }
        // what the author's formulas say agrees with what the form measures
        foreach ($model->measures() as $name => $typed) {
            self::assertEqualsWithDelta(1.0, $sizes[$name] / $typed, 1e-9, "$name as typed");
        }
    }

    /** The box around all its paper: no tip stands out, nothing hangs below the floor. */
    public function testABoxHasNoPaperOutsideItsWalls(): void
    {
        foreach (['square-box', 'oblong-box'] as $slug) {
            $model = self::model($slug, 150.0);
            $sizes = FormSizes::of($model);
            $end = self::end($model);
            foreach (['width', 'depth', 'height'] as $axis => $name) {
                $along = array_column($end, $axis);
                self::assertEqualsWithDelta($sizes[$name], self::span($along), 1e-6, "$slug $name");
            }
        }
    }

    /** All corners of the pyramid on three sides: three on one plane, the tip 61.24 over it. */
    public function testAPyramidStandsOnItsThreeFeet(): void
    {
        $end = array_values(array_unique(self::end(self::model('pyramid', 150.0)), SORT_REGULAR));
        $far = [];
        foreach ($end as $i => $p) {
            foreach (array_slice($end, $i + 1) as $q) {
                $far[] = round(sqrt(($p[0] - $q[0]) ** 2 + ($p[1] - $q[1]) ** 2 + ($p[2] - $q[2]) ** 2), 3);
            }
        }
        $far = array_values(array_unique(array_filter($far)));
        sort($far);
        self::assertSame([106.066, 150.0], $far, 'edges to the tip, and sides of the foot');
    }

    /** A cube: every corner of the paper on its surface, eight of them its corners. */
    public function testABallWithFlatWallsIsACube(): void
    {
        $end = self::end(self::model('waterbomb', 160.0));
        foreach ([0, 1, 2] as $axis) {
            self::assertEqualsWithDelta(40.0, self::span(array_column($end, $axis)), 1e-9);
        }
        $middle = array_map(
            static fn (int $i): float => (max(array_column($end, $i) ?: [0]) + min(array_column($end, $i) ?: [0])) / 2,
            [0, 1, 2],
        );
        foreach ($end as $p) {
            $out = max(abs($p[0] - $middle[0]), abs($p[1] - $middle[1]), abs($p[2] - $middle[2]));
            self::assertEqualsWithDelta(20.0, $out, 1e-9);
        }
    }

    /**
     * Half way from 0 to 1 roof and floor slope so that the cosine is 1/2: with an eighth of 160 mm e = 20 the ball is
     * 2 e (1 + 1/2) = 60 high, 2 e root 3/4 = 34.641 deep, and 2 e = 40 wide.
     */
    public function testABallIsBlownUpWithoutStretchingPaper(): void
    {
        $model = self::model('waterbomb', 160.0);
        $form = StepMotion::form($model->steps[count($model->steps) - 1]);
        self::assertIsArray($form);
        self::assertCount(9, $form[0]->at);
        $half = array_values($form[0]->at[4]);
        foreach ([40.0, 60.0, 34.641] as $axis => $mm) {
            self::assertEqualsWithDelta($mm, self::span(array_column($half, $axis)), 1e-3);
        }
        self::assertLessThan(1e-9, $form[0]->strain());
    }

    /** Neighbours of a fan held at one end: the outermost creases stand 70 degrees apart. */
    public function testAFanSpreadsFromItsHeldEnd(): void
    {
        $model = self::model('fan', 210.0);
        $form = StepMotion::form($model->steps[count($model->steps) - 1]);
        self::assertIsArray($form);
        $mesh = $form[0]->mesh;
        $last = $form[0]->at[count($form[0]->at) - 1];
        [$held, $free] = [[], []];
        foreach ($mesh->sheet as $vertex => [$x, $y]) {
            $crease = (int) round(8 * $x / $model->start->sheet->width);
            if ($y < 1e-6) {
                $held[$crease] = $last[$vertex];
            } elseif ($y > $model->start->sheet->height - 1e-6) {
                $free[$crease] = $last[$vertex];
            }
        }
        self::assertCount(9, $free);
        self::assertCount(9, $held);
        [$first, $other] = [self::minus($free[0], $held[0]), self::minus($free[8], $held[8])];
        // creases 0 and 8 lie on the same side of the fan, so the angle is seen along the pleats' edge
        $across = 0;
        $angle = acos(
            ($first[1] * $other[1] + $first[2] * $other[2]) / hypot($first[1], $first[2]) / hypot($other[1], $other[2]),
        );
        self::assertEqualsWithDelta(70.0, rad2deg($angle), 1e-6);
        self::assertEqualsWithDelta($first[$across], $other[$across], 1e-9);
    }

    /**
     * 31.5 mm before the tip paper begins to lie round a pencil of 14 mm: the tip has turned by 31.5 / 14 = 2.25
     * radians, so it stands 14 (1 - cos 2.25) = 22.8 mm off, one wing to the front, the other behind, and 14 sin 2.25
     * = 10.9 mm below the line. In strips of 5 mm, to 0.2 mm. Which corners the wings end in differs from base to
     * base.
     */
    public function testWingsCurlToBothSides(): void
    {
        foreach (['collapse', 'squash'] as $base) {
            $model = Folds::library('crane', ['base' => $base, 'body' => 'curled']);
            $flat = $model->steps[count($model->steps) - 1]->before;
            $end = self::end($model);
            $z = array_column($end, 2);
            self::assertEqualsWithDelta(22.8, max([0, ...$z]), 0.2, $base);
            self::assertEqualsWithDelta(-22.8, min([0, ...$z]), 0.2, $base);
            foreach ($end as $p) {
                if (abs($p[2]) > 22.6) {
                    self::assertEqualsWithDelta($flat->box()->bottom + 31.5 - 10.9, $p[1], 0.3);
                }
            }
            $form = StepMotion::form($model->steps[count($model->steps) - 1]);
            self::assertIsArray($form);
            self::assertLessThan(1e-9, $form[0]->strain());
        }
    }

    /**
     * Four petals, all tips in one place before: those in front and behind curl as above; those at the sides are bent
     * 31.5 mm before the tip at 30 degrees to their ridge, so their tips turn by 60: 31.5 sin 60 = 27.28 aside, and
     * 31.5 cos 60 - 31.5 = 15.75 lower. A fold that rolled down leaves no crease but the last.
     */
    public function testAllPetalsOfALilyGoOutward(): void
    {
        $model = self::model('lily', 150.0);
        $step = $model->steps[count($model->steps) - 1];
        $form = StepMotion::form($step);
        self::assertIsArray($form);
        $mesh = $form[0]->mesh;
        $corners = [];
        foreach ($mesh->sheet as $vertex => [$x, $y]) {
            if (in_array($x, [0.0, 150.0], true) && in_array($y, [0.0, 150.0], true)) {
                $corners[] = [$form[0]->at[0][$vertex], $form[0]->at[count($form[0]->at) - 1][$vertex]];
            }
        }
        self::assertCount(4, $corners);
        $moved = array_map(static fn (array $c): array => array_map(
            static fn (float $mm): float => round($mm, 2),
            self::minus($c[1], $c[0]),
        ), $corners);
        usort($moved, static fn (array $a, array $b): int => [$a[0], $a[2]] <=> [$b[0], $b[2]]);
        self::assertSame([-27.28, -15.75, 0.0], array_map(static fn (float $v): float => $v + 0.0, $moved[0]));
        self::assertSame([27.28, -15.75, 0.0], array_map(static fn (float $v): float => $v + 0.0, $moved[3]));
        self::assertEqualsWithDelta(-22.8, $moved[1][2], 0.2);
        self::assertEqualsWithDelta(22.8, $moved[2][2], 0.2);
        foreach ($mesh->hinges as $hinge) {
            self::assertLessThan(M_PI + 0.02, abs($hinge['end']));
        }
    }

    /** @return iterable<string, array{string, float}> */
    public static function everyForm(): iterable
    {
        foreach (['corner' => 'square-box', 'strip' => 'oblong-box', 'beaks' => 'fortune-teller', 'fan' => 'fan',
            'cube corner' => 'pyramid', 'leaves' => 'square-pyramid', 'ball' => 'waterbomb',
            'boat' => 'hat-and-boat', 'petals' => 'lily'] as $name => $slug) {
            foreach ([43.7, 150.0, 611.0] as $side) {
                yield "$name $side" => [$slug, $side];
            }
        }
    }

    /** From small to large sheets it is one and the same motion: exact but for the twist of a fan's pleats. */
    #[DataProvider('everyForm')]
    public function testEveryMomentIsPaperOnEverySheet(string $slug, float $side): void
    {
        $model = self::model($slug, $side);
        $step = $model->steps[count($model->steps) - 1];
        $form = StepMotion::form($step);
        self::assertIsArray($form);
        self::assertNotSame([], $form);
        foreach ($form as $i => $piece) {
            self::assertLessThan($slug === 'fan' ? 0.007 : 1e-6, $piece->strain(), "stage $i");
            self::assertLessThanOrEqual(0.15, $piece->jump());
            self::assertLessThan(0.004 * $side, $piece->depth());
            if ($i > 0) {
                $before = $form[$i - 1]->at;
                self::assertEqualsWithDelta($before[count($before) - 1], $piece->at[0], 1e-9 * $side, 'goes on');
            }
        }
        self::assertEqualsWithDelta(0.0, max(array_map(abs(...), array_column($form[0]->at[0], 2)) ?: [1]), 1e-9);
    }

    /** What overlaps in one plane has different ranks: the corners folded in lie on the inside of the box's ends. */
    public function testLayersOfAFormHaveAnOrder(): void
    {
        $model = self::model('square-box', 150.0);
        $form = StepMotion::form($model->steps[count($model->steps) - 1]);
        self::assertIsArray($form);
        $end = $form[count($form) - 1];
        self::assertSame(4, count($form), 'walls, ends, and one end after the other');
        self::assertGreaterThan(1, count(array_unique($end->rankEnd)));
        self::assertSame(count($end->mesh->cells), count($end->rankEnd));
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrong(): iterable
    {
        $fold = "  - {fold: valley, bring: edge left, to: edge right}\n";
        yield 'another base' => ["$fold  - {fold: open-out, shape: corner-box}\n", 'not the one that a corner-box'];
        yield 'no base at all' => ["$fold  - {fold: inflate, shape: blown-cube}\n", 'The flat state is not the one'];
        yield 'no pleats' => ["  - {fold: blintz}\n  - {fold: stand, shape: leaf-pyramid}\n", 'leaf-pyramid'];
        yield 'no doors' => ["  - {fold: blintz}\n  - {fold: stand, shape: strip-box}\n", 'strip-box'];
        yield 'one layer' => ["  - {fold: rotate, by: 45}\n  - {fold: open-out, shape: drawn-boat}\n", 'drawn-boat'];
        yield 'not halved' => ["  - {fold: blintz}\n  - {fold: open-out, shape: beaks}\n", 'beaks'];
    }

    #[DataProvider('wrong')]
    public function testAFormOfAnotherBaseIsRefusedByLineAndStep(string $steps, string $says): void
    {
        $objection = Forms::objection(Folds::steps($steps));
        self::assertNotNull($objection);
        self::assertStringContainsString($says, $objection);
        self::assertMatchesRegularExpression('/^Line \d+, step 2: /', $objection);
    }

    public function testNoModelOfTheShelfAsksForAFormItCannotBecome(): void
    {
        foreach (Folds::slugs() as $slug) {
            self::assertNull(Forms::objection(Folds::library($slug)), $slug);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'unknown' => ['shape: sphere', '"shape" must be one of'];
        yield 'two ways of telling' => ['shape: fan, opens: [1]', 'not by both'];
        yield 'curled nowhere' => ['shape: curl', '"curls"'];
        yield 'not curled' => ['shape: fan, curls: top', 'curls'];
        yield 'too far' => ['shape: fan, to: 140', '"to"'];
    }

    #[DataProvider('unreadable')]
    public function testAShapeIsReadStrictly(string $keys, string $says): void
    {
        $this->expectException(BadSequence::class);
        $this->expectExceptionMessage($says);
        Folds::steps("  - {fold: valley, bring: edge left, to: edge right}\n  - {fold: stand, $keys}\n");
    }

    private static function model(string $slug, float $side): FoldedModel
    {
        $text = (string) file_get_contents(dirname(__DIR__, 3)."/library/models/$slug.yaml");

        return Folder::fold(Loader::load($slug, $text), $side);
    }

    /** @return array<int, array{float, float, float}> the last moment */
    private static function end(FoldedModel $model): array
    {
        $form = StepMotion::form($model->steps[count($model->steps) - 1]);
        self::assertIsArray($form);
        $last = $form[count($form) - 1] ?? null;
        self::assertInstanceOf(Piece::class, $last);

        return $last->at[count($last->at) - 1];
    }

    /** @param  array<int, float>  $along */
    private static function span(array $along): float
    {
        return max([-INF, ...$along]) - min([INF, ...$along]);
    }

    /**
     * @param  array{float, float, float}  $p
     * @param  array{float, float, float}  $q
     * @return array{float, float, float}
     */
    private static function minus(array $p, array $q): array
    {
        return [$p[0] - $q[0], $p[1] - $q[1], $p[2] - $q[2]];
    }
}
