<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Ways\Combinations;
use Cathedra\Core\Space\MotionDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;
use Tests\Support\MotionJudge;

/**
 * Every step of every model by every way moves as paper can; only what has no flat end is a still.
 *
 * @phpstan-import-type Frame from MotionJudge
 */
final class MotionTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (Folds::slugs() as $slug) {
            yield $slug => [$slug];
        }
    }

    #[DataProvider('models')]
    public function testEveryStepIsAMotionOfPaper(string $slug): void
    {
        $seen = [];
        foreach (Combinations::of(Folds::library($slug)->sequence->routes) as $ways) {
            $this->judge(Folds::library($slug, $ways), $seen);
        }
        self::assertNotSame([], $seen);
    }

    /** @param  array<string, true>  $seen  steps judged already by another way */
    private function judge(FoldedModel $model, array &$seen): void
    {
        foreach ($model->steps as $step) {
            $key = md5(serialize([$step->step->kind, $step->before->placements, $step->after->placements,
                $step->before->pattern->faces, count($step->stages)]));
            if (isset($seen[$key])) {
                continue;
            }
            $seen[$key] = true;
            $name = "{$model->sequence->slug} {$step->step->number} {$step->step->kind->value}";
            $document = MotionDocument::of($model, $step->step->number);
            self::assertNotNull($document);
            $frames = $document['file_frames'];
            if (isset($frames[0]['cathedra:still'])) {
                $moves = $step->stages !== [] || ($step->step->form?->isKnown() ?? false);
                self::assertFalse($moves, "$name has a motion");

                continue;
            }
            $side = $document['cathedra:side_mm'];
            $worst = MotionJudge::worst($frames, $side);
            self::assertLessThanOrEqual(0.02, $worst['strain'], "$name: strain");
            self::assertLessThanOrEqual(0.15, $worst['jump'], "$name: jump");
            self::assertLessThanOrEqual(0.005, $worst['depth'], "$name: paper in paper");
            self::assertLessThan(0.01 * $side, MotionJudge::away($frames[0], $step->before), "$name: begins");
            $step->step->kind->isForm() || self::assertLessThan(
                0.01 * $side,
                MotionJudge::away($frames[count($frames) - 1], $step->after),
                "$name: ends",
            );
            $this->judgeOrder($step, array_values($frames), $name);
            self::assertSame([0.0, 1.0], [
                (float) $frames[0]['cathedra:t'],
                (float) $frames[count($frames) - 1]['cathedra:t'],
            ]);
        }
    }

    /**
     * No paper is on one side of other paper and at the next moment on the other. What is done behind is judged as it
     * lies in its own states, turned over; what goes back is the same way and judged once.
     *
     * @param  list<Frame>  $frames
     */
    private function judgeOrder(FoldedStep $step, array $frames, string $name): void
    {
        if ($step->stages === []) {
            return; // a form: its flat beginning alone has an order to compare with
        }
        $movements = [];
        foreach ($frames as $frame) {
            $movements[$frame['cathedra:movement']][] = $frame;
        }
        $isWhole = count($movements) === 1;
        self::assertContains(count($movements), [1, count($step->stages)], $name);
        foreach ($movements as $i => $own) {
            $stage = $step->stages[$i - 1];
            if (count($own) < 3 || (! $isWhole && $stage->isBack)) {
                continue;
            }
            foreach ($isWhole ? [] : $stage->turnedAbout as $axis) {
                $own = self::turnedOver($own, $axis);
            }
            [$before, $after] = $isWhole ? [$step->before, $step->after] : [$stage->from, $stage->to];
            self::assertSame([], MotionJudge::swapped($own, 150.0, $before, $after), "$name: order");
        }
    }

    /**
     * @param  list<Frame>  $frames
     * @return list<Frame>
     */
    private static function turnedOver(array $frames, float $axis): array
    {
        foreach ($frames as $k => $frame) {
            foreach ($frame['vertices_coords'] as $v => [$x, $y, $z]) {
                $frames[$k]['vertices_coords'][$v] = [2 * $axis - $x, $y, -$z];
            }
        }

        return $frames;
    }

    /** A flap that goes round behind the table lands on top all the same: it has gone through the paper. */
    public function testTheJudgeFindsPaperThatChangesSides(): void
    {
        $step = Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n")->steps[0];
        $frames = MotionDocument::of(Folds::steps("  - {fold: valley, bring: edge right, to: edge left}\n"), 1);
        $frames = $frames['file_frames'] ?? [];
        self::assertSame([], MotionJudge::swapped($frames, 100.0, $step->before, $step->after));
        foreach ($frames as $k => $frame) {
            foreach ($frame['vertices_coords'] as $v => [$x, $y, $z]) {
                $frames[$k]['vertices_coords'][$v] = [$x, $y, -$z];
            }
        }
        self::assertNotSame([], MotionJudge::swapped($frames, 100.0, $step->before, $step->after));
    }

    /** The judge itself: what is pushed through, stretched or too quick is found. */
    public function testTheJudgeFindsWhatIsWrong(): void
    {
        $frames = MotionDocument::of(Folds::library('house'), 1)['file_frames'] ?? [];
        self::assertGreaterThan(5, count($frames));
        $quick = MotionJudge::worst([$frames[0], $frames[count($frames) - 1]], 150.0);
        self::assertGreaterThan(0.9, $quick['jump']);
        $stretched = $frames[3];
        $stretched['vertices_coords'][0][0] += 10.0;
        self::assertGreaterThan(0.05, MotionJudge::worst([$stretched], 150.0)['strain']);
        $through = $frames[0];
        $through['vertices_coords'] = [[0, 0, 0], [30, 0, 0], [0, 30, 0], [5, 5, -4], [8, 5, 6], [5, 9, 6]];
        $through['cathedra:vertices_sheet'] = [[0, 0], [30, 0], [0, 30], [50, 0], [60, 0], [50, 10]];
        $through['faces_vertices'] = [[0, 1, 2], [3, 4, 5]];
        self::assertGreaterThan(0.01, MotionJudge::worst([$through], 150.0)['depth']);
    }
}
