<?php

declare(strict_types=1);

namespace Tests\Core\Space;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\EveryMotion;

/** Models of many ways, by themselves since they are most of the work: a class is what one process tests. */
final class MotionByManyWaysTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return EveryMotion::models(many: true);
    }

    #[DataProvider('models')]
    public function testEveryStepIsAMotionOfPaper(string $slug): void
    {
        EveryMotion::isJudged($slug);
    }
}
