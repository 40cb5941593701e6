<?php

declare(strict_types=1);

namespace Tests\Core\Paper;

use Cathedra\Core\Paper\RulerReading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RulerReadingTest extends TestCase
{
    /** @return iterable<string, array{float, float, string}> predicted, read (mm), why */
    public static function readings(): iterable
    {
        yield 'exact' => [105.0, 105.0, 'same'];
        yield 'three per cent' => [105.0, 108.0, 'same'];
        yield 'a mm on a small thing' => [20.0, 21.0, 'same'];
        yield 'wider' => [105.0, 112.0, 'larger'];
        yield 'narrower' => [105.0, 95.0, 'smaller'];
        yield 'inches taken for mm' => [105.0, 4.1, 'other-unit'];
        yield 'cm taken for mm' => [105.0, 10.5, 'other-unit'];
        yield 'mm taken for cm' => [105.0, 1050.0, 'other-unit'];
        yield 'another edge' => [105.0, 52.0, 'wild'];
    }

    #[DataProvider('readings')]
    public function testADifferenceIsExplained(float $predicted, float $read, string $why): void
    {
        $reading = RulerReading::against($predicted, $read, 0.2);
        self::assertSame($why, $reading->why);
        self::assertEqualsWithDelta($read - $predicted, $reading->difference(), 1e-9);
    }
}
