<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Hands;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Geometry\Segment;

/** Which creases a step leaves on the sheet: those a later step may name. */
final readonly class NewCreases
{
    /**
     * @return list<Segment> on the sheet: creases of $now that were not there before, or have been bent or opened since
     */
    public static function between(FoldedState $was, FoldedState $now): array
    {
        $pieces = [];
        foreach ($now->pattern->creases() as $edge) {
            $segment = $now->pattern->segment($edge);
            $former = $was->pattern->edgeAt($segment->middle(), $was->tolerance->meeting)?->assignment;
            $turnedOnly = $former?->isFolded() === true && $edge->assignment->isFolded();
            if (! $edge->isHidden() && $former !== $edge->assignment && ! $turnedOnly) {
                $pieces[] = $segment;
            }
        }
        foreach (array_slice($now->sheet->pinches, count($was->sheet->pinches)) as $pinch) {
            $pieces[] = $pinch->at;
        }

        return $pieces;
    }
}
