<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use Cathedra\Core\Space\MotionDocument;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;
use Tests\Support\MotionJudge;

/** The judge of motions itself: what is pushed through, stretched, too quick or on the wrong side is found. */
final class MotionJudgeTest extends TestCase
{
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
