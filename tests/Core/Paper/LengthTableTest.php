<?php

declare(strict_types=1);

namespace Tests\Core\Paper;

use Cathedra\Core\Paper\Length;
use PHPUnit\Framework\TestCase;

/**
 * lengths.json: what a ruler reads, worked out in exact fractions. The browser, which reads lengths while they are
 * typed, is tested against the same table (measure.test.ts): it has no ruler of its own that could read otherwise.
 */
final class LengthTableTest extends TestCase
{
    public function testLengthsAreReadAsTheTableSays(): void
    {
        $rows = json_decode((string) file_get_contents(__DIR__.'/lengths.json'), true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($rows);
        self::assertCount(60, $rows);
        foreach ($rows as $row) {
            self::assertIsArray($row);
            $mm = (float) $row['mm'];
            self::assertSame(
                [$row['as_mm'], $row['as_cm'], $row['as_in']],
                [Length::say($mm, 'mm'), Length::say($mm, 'cm'), Length::say($mm, 'in')],
            );
        }
    }
}
