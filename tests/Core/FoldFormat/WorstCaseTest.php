<?php

declare(strict_types=1);

namespace Tests\Core\FoldFormat;

use Cathedra\Core\FoldFormat\BadFold;
use Cathedra\Core\FoldFormat\FoldImport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\Effort;

/** Patterns that once kept the search for an order busy for minutes are answered or refused in bounded work. */
final class WorstCaseTest extends TestCase
{
    /** Seconds of processor time: 2 are promised on the machines we measure on; a slow one may take twice that. */
    private const SECONDS = 4.0;

    /** @return iterable<string, array{int, int}> */
    public static function strips(): iterable
    {
        foreach ([40, 60, 90, 95, 110, 220] as $pleats) {
            yield "$pleats pleats at random" => [$pleats, $pleats];
        }
    }

    #[DataProvider('strips')]
    public function testAStripOfRandomPleats(int $pleats, int $seed): void
    {
        mt_srand($seed);
        $document = self::document($pleats, 1, static fn (): string => mt_rand(0, 1) === 1 ? 'M' : 'V');
        $this->answered($document);
    }

    /** A square halved again and again: mountain and valley as halving upon halving gives them. */
    public function testASquareHalvedSixAndSevenTimes(): void
    {
        foreach ([[8, 8], [16, 8]] as [$across, $along]) {
            $this->answered(self::document($across, $along, static fn (int $x, int $y): string => 'M'));
        }
    }

    private function answered(string $document): void
    {
        $began = Effort::spent();
        try {
            $folded = FoldImport::fold($document)->folded;
            self::assertGreaterThan(30, $folded->faceCount());
        } catch (BadFold $e) {
            self::assertMatchesRegularExpression('/order|layer|paper|vertex|Fold it/i', $e->getMessage());
        }
        self::assertLessThan(self::SECONDS, Effort::spent() - $began);
    }

    /**
     * A grid of creases on a square of 256 mm.
     *
     * @param  callable(int, int): string  $assign  by where the crease lies
     */
    private static function document(int $across, int $along, callable $assign): string
    {
        [$points, $edges, $as] = [[], [], []];
        $at = static fn (int $x, int $y): int => $x * ($along + 1) + $y;
        for ($x = 0; $x <= $across; $x++) {
            for ($y = 0; $y <= $along; $y++) {
                $points[] = [(256 * $x) / $across, (256 * $y) / $along];
                if ($y < $along) {
                    $edges[] = [$at($x, $y), $at($x, $y + 1)];
                    $as[] = $x === 0 || $x === $across ? 'B' : $assign($x, $y);
                }
                if ($x < $across) {
                    $edges[] = [$at($x, $y), $at($x + 1, $y)];
                    $as[] = $y === 0 || $y === $along ? 'B' : ($x % 2 === 0 ? 'V' : 'M');
                }
            }
        }

        return (string) json_encode([
            'file_spec' => 1.2,
            'frame_classes' => ['creasePattern'],
            'vertices_coords' => $points,
            'edges_vertices' => $edges,
            'edges_assignment' => $as,
        ]);
    }
}
