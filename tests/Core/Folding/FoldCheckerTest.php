<?php

declare(strict_types=1);

namespace Tests\Core\Folding;

use PHPUnit\Framework\TestCase;
use Tests\Support\FoldChecker;
use Tests\Support\FoldFixture;

/** The judge is judged: it accepts the example document and finds every kind of fault put into it. */
final class FoldCheckerTest extends TestCase
{
    public function testTheExampleIsPaper(): void
    {
        foreach (FoldFixture::frames() as $frame) {
            self::assertSame([], FoldChecker::complaints($frame));
        }
    }

    public function testFaultsAreFound(): void
    {
        $frame = FoldFixture::frames()[1];
        $faults = [
            'stretched' => static function (array $f): array {
                $f['vertices_coords'][1][0] += 0.5;

                return $f;
            },
            'M for V' => static function (array $f): array {
                $f['edges_assignment'][0] = 'M';

                return $f;
            },
            'order missing' => static function (array $f): array {
                array_pop($f['faceOrders']);

                return $f;
            },
            'face lost' => static function (array $f): array {
                array_pop($f['faces_vertices']);

                return $f;
            },
        ];
        foreach (array_keys($frame['faceOrders']) as $i) {
            $faults["order $i turned"] = static function (array $f) use ($i): array {
                $f['faceOrders'][$i][2] *= -1;

                return $f;
            };
        }
        $missed = [];
        foreach ($faults as $name => $spoil) {
            if (FoldChecker::complaints($spoil($frame)) === []) {
                $missed[] = $name;
            }
        }
        // Flaps that lie loose on one another may change places and stay paper: few, or the judge is blind.
        self::assertLessThanOrEqual(6, count($missed), implode(', ', $missed));
    }
}
