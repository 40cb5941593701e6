<?php

declare(strict_types=1);

namespace Tests\Support;

use Cathedra\Core\Folding\FoldedState;

/** What two flat states have in common that are the same paper in the same place, whatever their faces are numbered. */
final class Likeness
{
    /** One word for all states whose faces lie alike (to a thousandth of a millimetre) and in the same order. */
    public static function of(FoldedState $state): string
    {
        $faces = [];
        foreach ($state->pattern->faces as $face => $vertices) {
            $corners = [];
            foreach ($vertices as $vertex) {
                $sheet = $state->pattern->vertices[$vertex];
                $place = $state->corner($face, $vertex);
                $corners[] = implode(' ', array_map(
                    static fn (float $mm): string => sprintf('%.3f', $mm + 1e-9),
                    [$sheet->x, $sheet->y, $place->x, $place->y],
                ));
            }
            sort($corners);
            $faces[$face] = implode(',', $corners);
        }
        asort($faces);
        $number = array_flip(array_keys($faces));
        $order = [];
        foreach ($state->order->pairs() as [$i, $j]) {
            $above = (bool) $state->order->above($i, $j);
            $order[] = $number[$i] < $number[$j]
                ? sprintf('%d %d %d', $number[$i], $number[$j], $above)
                : sprintf('%d %d %d', $number[$j], $number[$i], ! $above);
        }
        sort($order);

        return md5(implode('|', $faces).implode('|', $order));
    }
}
