<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Sequence\FoldedModel;
use Cathedra\Core\Sequence\FoldedStep;

/**
 * Whether a model creases its flat square from corner to corner: folding a corner over to make a square of an oblong
 * sheet has left that crease already.
 */
final class Diagonal
{
    /** @return int|null number of the first such step */
    public static function of(FoldedModel $model): ?int
    {
        foreach ($model->steps as $step) {
            if (! $step->before->sheet->isSquare() || $step->step->part !== null) {
                return null;
            }
            if (self::isAlong($step)) {
                return $step->step->number;
            }
            foreach ($step->after->pattern->edges as $edge) {
                if ($edge->assignment->isFolded()) {
                    return null; // what follows goes through several layers
                }
            }
        }

        return null;
    }

    private static function isAlong(FoldedStep $step): bool
    {
        $line = ($step->actions[0] ?? null)?->crease?->line;
        if ($line === null) {
            return false;
        }
        $sheet = $step->before->sheet;
        foreach ([[[0.0, 0.0], [1.0, 1.0]], [[1.0, 0.0], [0.0, 1.0]]] as $ends) {
            $off = 0.0;
            foreach ($ends as [$across, $up]) {
                $at = $step->before->positionOf($sheet->at($across, $up));
                $off = max($off, $at === null ? INF : abs($line->distanceTo($at)));
            }
            if ($off < $step->before->tolerance->meeting) {
                return true;
            }
        }

        return false;
    }
}
