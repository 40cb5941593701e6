<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding\Reading;

use Cathedra\Core\Folding\FoldedState;

/** How many layers lie over each face: the longest chain of faces each above the next. */
final readonly class LayerDepth
{
    /**
     * @return array<int, int> by face; where faces overlap in a ring the count stops after as many rounds as there are
     *     faces
     */
    public static function of(FoldedState $state): array
    {
        $n = $state->faceCount();
        $depth = array_fill(0, $n, 0);
        $pairs = array_map(
            static fn (array $p): array => $p[2] ? [$p[0], $p[1]] : [$p[1], $p[0]],
            $state->order->pairs(),
        );
        for ($round = 0; $round < $n; $round++) {
            $changed = false;
            foreach ($pairs as [$upper, $lower]) {
                if ($depth[$lower] <= $depth[$upper]) {
                    $depth[$lower] = $depth[$upper] + 1;
                    $changed = true;
                }
            }
            if (! $changed) {
                break;
            }
        }

        return $depth;
    }
}
