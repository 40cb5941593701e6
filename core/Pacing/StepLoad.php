<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Folding\Stacks;
use Cathedra\Core\Sequence\FoldedStep;
use Cathedra\Core\Sequence\FoldKind;

/** What a step asks of hands, taken from its geometry. */
final readonly class StepLoad
{
    /**
     * @param  string  $fold  kind of fold, a key of BaseTimes::$folds
     * @param  int  $layers  under the crease where most move; 1 where nothing is creased
     * @param  bool  $twice  done on both sides
     * @param  list<int>  $repeats  the steps of the same model that it does again, from 1
     */
    public function __construct(
        public string $fold,
        public int $layers,
        public bool $twice,
        public bool $checkpoint,
        public array $repeats = [],
    ) {
    }

    public static function of(FoldedStep $step, bool $checkpoint): self
    {
        $layers = 1;
        foreach ($step->actions as $action) {
            foreach ($action->moving as $part) {
                $layers = max(
                    $layers,
                    count(array_intersect(Stacks::facesAt($action->state, $part->centroid()), $action->faces)),
                );
            }
        }

        return new self(
            $step->step->kind->value,
            $layers,
            $step->step->also !== null,
            $checkpoint,
            $step->step->kind === FoldKind::Repeat ? $step->step->steps : [],
        );
    }
}
