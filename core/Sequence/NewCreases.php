<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Point;

/** Which creases a step leaves on the sheet: those a later step may name. */
final readonly class NewCreases
{
    /**
     * @return list<array{Point, Point}> creases of $now that were not there before, or have been bent or opened since
     */
    public static function between(FoldedState $was, FoldedState $now): array
    {
        $pieces = [];
        foreach ($now->pattern->creases() as $edge) {
            $p = $now->pattern->vertices[$edge->a];
            $q = $now->pattern->vertices[$edge->b];
            $former = $was->pattern->edgeAt($p->toward($q, 0.5), 10 * $was->tolerance->length)?->assignment;
            $turnedOnly = $former?->isFolded() === true && $edge->assignment->isFolded();
            if (! $edge->isHidden() && $former !== $edge->assignment && ! $turnedOnly) {
                $pieces[] = [$p, $q];
            }
        }

        return $pieces;
    }
}
