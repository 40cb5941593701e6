<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\EveryMotion;

/** Models of one way or a few move as paper can. */
final class MotionTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return EveryMotion::models(many: false);
    }

    #[DataProvider('models')]
    public function testEveryStepIsAMotionOfPaper(string $slug): void
    {
        EveryMotion::isJudged($slug);
    }
}
