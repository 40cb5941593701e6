<?php

declare(strict_types=1);

namespace Cathedra\Core\Insight;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Reading\Outline;
use Cathedra\Core\Geometry\Point;

/** How narrow the points of a model are. */
final readonly class Narrowest
{
    /**
     * Distance from the tip at which a point is measured, as a share of the sheet's shorter side: about a finger's
     * breadth on 150 mm.
     */
    private const BEHIND_TIP = 0.1;

    /**
     * The width of the narrowest point of the outline, measured across it a finger's breadth behind its tip.
     *
     * @return float|null mm; null when no corner of the outline is sharper than a right angle
     */
    public static function flap(FoldedState $state): ?float
    {
        $corners = Outline::of($state)->corners;
        $n = count($corners);
        $behind = self::BEHIND_TIP * min($state->sheet->width, $state->sheet->height);
        $best = null;
        foreach ($corners as $i => $tip) {
            $a = $corners[($i + $n - 1) % $n]->minus($tip);
            $b = $corners[($i + 1) % $n]->minus($tip);
            if ($b->cross($a) <= 0 || min($a->length(), $b->length()) < $behind) {
                continue; // a notch, or no point one could take hold of
            }
            $half = acos(max(-1.0, min(1.0, $a->unit()->dot($b->unit())))) / 2;
            if ($half < M_PI / 4 - 1e-9) {
                $width = 2 * $behind * tan($half);
                $best = $best === null ? $width : min($best, $width);
            }
        }

        return $best;
    }
}
