<?php

declare(strict_types=1);

namespace Tests\Core\Sequence;

use Cathedra\Core\Geometry\Point;
use PHPUnit\Framework\TestCase;
use Tests\Support\Folds;

/** Marks follow the paper; where a step is done again on the other side, a mark gives way to its partner. */
final class MarkTest extends TestCase
{
    private const GUIDE = <<<'YAML'
      - fold: crease
        bring: edge bottom
        to: edge top
        marks:
          a: 1/4 from (corner bottom-left) to (corner top-left)
          PARTNER: 1/2 from (corner bottom-right) to (corner top-right)
      - fold: valley
        along: line (middle of edge top) to (mark a)
        move: corner top-left
        also: other side

    YAML;

    /** Sheet of 100: creases from (50, 100) to (0, 25) on the left and, by the partner, to (100, 50) on the right. */
    public function testThePartnerIsTakenOnTheOtherSide(): void
    {
        $state = Folds::steps(str_replace('PARTNER', 'a-other', self::GUIDE))->end();
        $left = $state->positionOf($state->sheet->at(0, 1));
        $right = $state->positionOf($state->sheet->at(1, 1));
        self::assertNotNull($left);
        self::assertNotNull($right);
        self::assertMirrored($left, new Point(0, 100), new Point(50, 100), new Point(0, 25));
        self::assertMirrored($right, new Point(100, 100), new Point(50, 100), new Point(100, 50));
    }

    /** Without a partner the mark stays where it is: the second crease is the first, and nothing lies beyond it. */
    public function testWithoutAPartnerItIsFixedToThePaper(): void
    {
        $this->expectExceptionMessage('not the second (also)');
        Folds::steps(str_replace('PARTNER', 'b', self::GUIDE));
    }

    /** The image lies as far from both points of the line as the corner did. */
    private static function assertMirrored(Point $image, Point $corner, Point $p, Point $q): void
    {
        self::assertEqualsWithDelta($corner->distanceTo($p), $image->distanceTo($p), 1e-9);
        self::assertEqualsWithDelta($corner->distanceTo($q), $image->distanceTo($q), 1e-9);
        self::assertGreaterThan(1, $image->distanceTo($corner));
    }
}
