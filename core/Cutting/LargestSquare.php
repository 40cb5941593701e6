<?php

declare(strict_types=1);

namespace Cathedra\Core\Cutting;

use Cathedra\Core\Paper\Stock;

/** "We have these sheets and so many learners: what is the biggest square for everyone?" */
final readonly class LargestSquare
{
    /**
     * The largest side of which the pile gives so many equal squares. The number of squares only changes where a row or
     * a column more fits, so these sides are all that need be looked at.
     *
     * @param  list<Stock>  $pile
     * @param  int  $squares  at least 1
     * @return array{side_mm: float, per_sheet: list<int>, made: int}|null null when even the smallest squares would not
     *     do
     */
    public static function from(array $pile, int $squares, float $kerf = 0.0, float $trim = 0.0): ?array
    {
        $sides = [];
        foreach ($pile as $stock) {
            foreach ([$stock->width, $stock->height] as $length) {
                for ($n = 1; $n <= $squares; $n++) {
                    $side = ($length - 2 * ($trim + $stock->trim) + $kerf) / $n - $kerf;
                    if ($side < Stock::MIN_MM) {
                        break;
                    }
                    $sides[] = $side;
                }
            }
        }
        rsort($sides);
        foreach (array_unique($sides) as $side) {
            $per = array_map(
                static fn (Stock $s): int => SquareGrid::on(
                    width: $s->width,
                    height: $s->height,
                    side: $side,
                    kerf: $kerf,
                    trim: $trim + $s->trim,
                )->count(),
                $pile,
            );
            $made = 0;
            foreach ($pile as $i => $stock) {
                $made += $per[$i] * min($stock->count ?? $squares, $squares);
            }
            if ($made >= $squares) {
                return ['side_mm' => $side, 'per_sheet' => $per, 'made' => $made];
            }
        }

        return null;
    }
}
