<?php

declare(strict_types=1);

namespace Cathedra\Core\Folding;

use Cathedra\Core\Geometry\Segment;

/** The pinch marks of a state as they lie in the folded plane, one piece for every face they run over. */
final readonly class Pinches
{
    /** @return list<array{at: Segment, face: int, origin: string}> mm */
    public static function of(FoldedState $state): array
    {
        $pieces = [];
        foreach ($state->sheet->pinches as $pinch) {
            foreach (array_keys($state->pattern->faces) as $face) {
                $part = $state->pattern->polygon($face)->spanInside(
                    $pinch->at->a,
                    $pinch->at->b,
                    -$state->tolerance->length,
                );
                if ($part !== null) {
                    $onSheet = new Segment($pinch->at->at($part[0]), $pinch->at->at($part[1]));
                    $pieces[] = [
                        'at' => $onSheet->placed($state->placements[$face]),
                        'face' => $face,
                        'origin' => $pinch->origin,
                    ];
                }
            }
        }

        return $pieces;
    }
}
