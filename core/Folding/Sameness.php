<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Isometry;

/**
 * Whether two states of one sheet are the same piece of folded paper, however it is held: one rigid motion (perhaps
 * turning it over) lays every point of the one on the same point of the other, with the same layers above. Creases that
 * lie flat do not count. The sheet may also be turned by quarter turns or mirrored on itself: nobody can tell its
 * corners apart.
 */
final readonly class Sameness
{
    /** @return string|null what differs; null when they are the same */
    public static function difference(FoldedState $a, FoldedState $b): ?string
    {
        if (
            abs($a->sheet->width - $b->sheet->width) + abs($a->sheet->height - $b->sheet->height) >
                $a->tolerance->length ||
            abs($a->removedArea - $b->removedArea) > 100 * $a->tolerance->area
        ) {
            return 'The sheets differ.';
        }
        $first = null;
        foreach (self::symmetries($a->sheet) as $turn) {
            $difference = self::compared($a, $b, $turn);
            if ($difference === null) {
                return null;
            }
            $first ??= $difference;
        }

        return $first;
    }

    /**
     * Rotations of the sheet onto itself, which keep its front in front.
     *
     * @return list<Isometry>
     */
    private static function symmetries(Sheet $sheet): array
    {
        $centre = $sheet->at(0.5, 0.5);
        $quarters = $sheet->isSquare() ? [0, 1, 2, 3] : [0, 2];

        return array_map(static fn (int $q): Isometry => Isometry::rotation(($q * M_PI) / 2, $centre), $quarters);
    }

    private static function compared(FoldedState $a, FoldedState $b, Isometry $turn): ?string
    {
        $motion = null;
        $twin = [];
        $pieces = [];
        foreach ($a->pattern->faces as $f => $_) {
            $onSheet = $a->pattern->polygon($f)->placed($turn);
            foreach ($b->pattern->faces as $g => $__) {
                $common = $onSheet->intersection($b->pattern->polygon($g));
                if ($common->area() <= 10 * $a->tolerance->area) {
                    continue;
                }
                $here = $turn->inverse()->then($a->placements[$f])->inverse()->then($b->placements[$g]);
                $motion ??= $here;
                if (! $motion->equals($here, $a->tolerance, 4 * $a->sheet->diagonal())) {
                    return 'A part of the sheet lies elsewhere.';
                }
                $twin[] = [$f, $g];
                $pieces[] = $common->placed($b->placements[$g]);
            }
        }
        $over = $motion !== null && ! $motion->keepsOrientation();
        foreach ($twin as $s => [$f, $g]) {
            for ($t = $s + 1; $t < count($twin); $t++) {
                [$h, $k] = $twin[$t];
                if (
                    $f === $h ||
                    $g === $k ||
                    $pieces[$s]->intersection($pieces[$t])->area() <= 10 * $a->tolerance->area
                ) {
                    continue;
                }
                if (($a->order->above($f, $h) !== $b->order->above($g, $k)) !== $over) {
                    return 'Two layers lie the other way round.';
                }
            }
        }

        return null;
    }
}
