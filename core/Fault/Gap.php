<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\Geometry\Isometry;
use Cathedra\Core\Sequence\Run\Action;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * A gap at a line where two edges should meet: too narrow for a patch of 3 mm, and seen all the same, since it runs
 * along them. Measured exactly: where the edges come to lie, against the line they are laid on.
 */
final class Gap
{
    /** mm of a sheet of 150 mm: so wide a gap, along so much of an edge, is seen (estimate, to be calibrated). */
    private const WIDE = 1.0;

    private const LONG = 20.0;

    /** Places along an edge at which it is measured. */
    private const PLACES = 20;

    public static function isSeen(FoldedStep $right, FoldedStep $wrong): bool
    {
        if ($right->step->also !== 'mirrored' || count($right->actions) < 2 || count($wrong->actions) < 2) {
            return false;
        }
        $scale = min($right->before->sheet->width, $right->before->sheet->height) / 150;
        $gap = array_fill(0, self::PLACES, 0.0);
        $length = INF;
        foreach ([0, 1] as $side) {
            $own = self::along($right->actions[$side], $wrong->actions[$side]);
            if ($own === null) {
                return false;
            }
            $length = min($length, $own['length']);
            $gap = array_map(static fn (float $a, float $b): float => $a + $b, $gap, $own['off']);
        }
        $seen = array_filter($gap, static fn (float $off): bool => $off >= self::WIDE * $scale);

        return count($seen) / self::PLACES * $length >= self::LONG * $scale;
    }

    /**
     * How far the edge of one side lies from where it should, along its length.
     *
     * @return array{length: float, off: list<float>}|null mm; null where no edge is laid on a line
     */
    private static function along(Action $right, Action $wrong): ?array
    {
        $edge = $right->crease?->taken;
        if ($edge === null || $right->crease?->target === null || $wrong->crease === null) {
            return null;
        }
        $target = $edge->placed(Isometry::reflection($right->crease->line))->straight();
        $lies = $edge->placed(Isometry::reflection($wrong->crease->line));

        return ['length' => $edge->length(), 'off' => array_map(
            static fn (int $i): float => abs($target->distanceTo($lies->at(($i + 0.5) / self::PLACES))),
            range(0, self::PLACES - 1),
        )];
    }
}
