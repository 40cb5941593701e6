<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Folding\Edge;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Segment;

/** The lines a step left on the paper: its creases as they are seen, pieces on one line joined. */
final readonly class Creases
{
    /**
     * @param  callable(Edge): bool  $counts  which edges of the step count
     * @return list<Segment> mm in the plane of the state
     */
    public static function of(FoldedState $state, string $step, callable $counts): array
    {
        $lines = [];
        foreach ($state->pattern->creases() as $edge) {
            if ($edge->origin !== $step || ! $counts($edge)) {
                continue;
            }
            $piece = $state->segment($edge);
            foreach ($lines as $i => $line) {
                if ($piece->liesOn($line->straight(), $state->tolerance->sight)) {
                    $ends = [$line->a, $line->b, $piece->a, $piece->b];
                    $lines[$i] = Segment::spanning($line->straight(), $ends) ?? $line;

                    continue 2;
                }
            }
            $lines[] = $piece;
        }

        return array_values($lines);
    }
}
