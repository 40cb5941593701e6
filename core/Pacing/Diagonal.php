<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * Where a model creases its flat square from corner to corner: making a square of an oblong sheet by folding a corner
 * over has left these creases already.
 */
final class Diagonal
{
    /** Shares of the sheet between which either diagonal runs. */
    private const ENDS = [[[0.0, 0.0], [1.0, 1.0]], [[1.0, 0.0], [0.0, 1.0]]];

    /** @return list<int> the steps that crease the first and the second diagonal; the same twice: both at once */
    public static function of(FoldedModel $model): array
    {
        $found = [];
        foreach ($model->steps as $step) {
            if (! $step->before->sheet->isSquare() || $step->step->part !== null) {
                break;
            }
            foreach (self::along($step) as $diagonal) {
                $found[$diagonal] ??= $step->step->number;
            }
            if ($step->after->isFolded()) {
                break; // what follows goes through several layers
            }
        }

        return array_values($found);
    }

    /** @return list<int> the diagonals that a step creases */
    private static function along(FoldedStep $step): array
    {
        $found = [];
        foreach ($step->actions as $action) {
            $line = $action->crease?->line;
            if ($line === null) {
                continue;
            }
            foreach (self::ENDS as $diagonal => $ends) {
                $off = 0.0;
                foreach ($ends as [$across, $up]) {
                    $at = $step->before->positionOf($step->before->sheet->at($across, $up));
                    $off = max($off, $at === null ? INF : abs($line->distanceTo($at)));
                }
                if ($off < $step->before->tolerance->meeting) {
                    $found[] = $diagonal;
                }
            }
        }

        return $found;
    }
}
