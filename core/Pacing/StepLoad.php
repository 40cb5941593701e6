<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Insight\StepInsight;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\FoldedStep;

/** What a step asks of hands, taken from its geometry. */
final readonly class StepLoad
{
    /**
     * @param  string  $fold  kind of fold, a key of BaseTimes::$folds
     * @param  int  $layers  under the crease where most move; 1 where nothing is creased
     * @param  bool  $twice  done on both sides
     * @param  list<int>  $repeats  the steps of the same model that it does again, from 1
     * @param  int  $level  1 to 5, how hard it is (core/Insight)
     * @param  float|null  $shortest  its shortest crease as a share of the sheet's shorter side
     */
    public function __construct(
        public string $fold,
        public int $layers,
        public bool $twice,
        public bool $checkpoint,
        public array $repeats = [],
        public int $level = 1,
        public ?float $shortest = null,
    ) {
    }

    /** @param  float  $side  mm, the shorter side of the sheet it was folded from */
    public static function of(FoldedStep $step, StepInsight $insight, float $side, bool $checkpoint): self
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
            fold: $step->step->kind->value,
            layers: $layers,
            twice: $step->step->also !== null,
            checkpoint: $checkpoint,
            repeats: $step->step->kind === FoldKind::Repeat ? $step->step->steps : [],
            level: $insight->level,
            shortest: $insight->shortest === null ? null : $insight->shortest / $side,
        );
    }

    /** The same where all wait for all after it, or where they do not. */
    public function checked(bool $checkpoint): self
    {
        return new self(...['checkpoint' => $checkpoint] + get_object_vars($this));
    }
}
