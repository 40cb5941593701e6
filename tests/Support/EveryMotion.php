<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Ways\Combinations;
use Cathedra\Core\Space\MotionDocument;
use PHPUnit\Framework\Assert;

/**
 * Every step of a model by every way moves as paper can; only what has no flat end is a still.
 *
 * @phpstan-import-type Frame from MotionJudge
 */
final class EveryMotion
{
    /** Models of more ways than this are most of the work. */
    private const MANY = 8;

    /** @return iterable<string, array{string}> models of many ways, or the others */
    public static function models(bool $many): iterable
    {
        foreach (Folds::slugs() as $slug) {
            if (count(self::ways($slug)) > self::MANY === $many) {
                yield $slug => [$slug];
            }
        }
    }

    /** @return list<array<string, string>> */
    private static function ways(string $slug): array
    {
        return Combinations::of(Folds::read($slug)->passages);
    }

    public static function isJudged(string $slug): void
    {
        $seen = [];
        foreach (self::ways($slug) as $ways) {
            self::judge(Folds::library($slug, $ways), $seen);
        }
        Assert::assertNotSame([], $seen);
    }

    /** @param  array<string, true>  $seen  steps judged already by another way */
    private static function judge(FoldedModel $model, array &$seen): void
    {
        foreach ($model->steps as $step) {
            $key = implode(' ', [
                $step->step->kind->value,
                count($step->stages),
                Likeness::of($step->before),
                Likeness::of($step->after),
            ]);
            if (isset($seen[$key])) {
                continue;
            }
            $seen[$key] = true;
            $name = "{$model->sequence->slug} {$step->step->number} {$step->step->kind->value}";
            $document = MotionDocument::of($model, $step->step->number);
            Assert::assertNotNull($document);
            $frames = $document['file_frames'];
            if (isset($frames[0]['cathedra:still'])) {
                $moves = $step->stages !== [] || ($step->step->form?->isKnown() ?? false);
                Assert::assertFalse($moves, "$name has a motion");

                continue;
            }
            $side = $document['cathedra:side_mm'];
            $worst = MotionJudge::worst($frames, $side);
            Assert::assertLessThanOrEqual(0.02, $worst['strain'], "$name: strain");
            Assert::assertLessThanOrEqual(0.15, $worst['jump'], "$name: jump");
            Assert::assertLessThanOrEqual(0.005, $worst['depth'], "$name: paper in paper");
            Assert::assertLessThan(0.01 * $side, MotionJudge::away($frames[0], $step->before), "$name: begins");
            $step->step->kind->isForm() || Assert::assertLessThan(
                0.01 * $side,
                MotionJudge::away($frames[count($frames) - 1], $step->after),
                "$name: ends",
            );
            self::judgeOrder($step, array_values($frames), $name);
            Assert::assertSame([0.0, 1.0], [
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
    private static function judgeOrder(FoldedStep $step, array $frames, string $name): void
    {
        if ($step->stages === []) {
            return; // a form: its flat beginning alone has an order to compare with
        }
        $movements = [];
        foreach ($frames as $frame) {
            $movements[$frame['cathedra:movement']][] = $frame;
        }
        $isWhole = count($movements) === 1;
        Assert::assertContains(count($movements), [1, count($step->stages)], $name);
        foreach ($movements as $i => $own) {
            $stage = $step->stages[$i - 1];
            if (count($own) < 3 || (! $isWhole && $stage->isBack)) {
                continue;
            }
            foreach ($isWhole ? [] : $stage->turnedAbout as $axis) {
                $own = self::turnedOver($own, $axis);
            }
            [$before, $after] = $isWhole ? [$step->before, $step->after] : [$stage->from, $stage->to];
            Assert::assertSame([], MotionJudge::swapped($own, 150.0, $before, $after), "$name: order");
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
}
