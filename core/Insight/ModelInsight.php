<?php

declare(strict_types=1);

namespace Cathedra\Core\Insight;

use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;

/** What a whole model asks and teaches; found, not typed. */
final readonly class ModelInsight
{
    /**
     * @param  list<StepInsight>  $steps
     * @param  list<int>  $hard  numbers of the hard moments: steps of a high level or, in an easy model, its hardest
     *     one
     * @param  int  $level  1 to 5: that of the hardest step
     * @param  list<string>  $teaches  kinds of fold, in the order they are met
     * @param  list<string>  $needs  simpler folds that these build on and that are not met here before them
     * @param  bool  $scissors  whether anything is cut
     */
    private function __construct(
        public array $steps,
        public array $hard,
        public int $level,
        public array $teaches,
        public array $needs,
        public bool $scissors,
    ) {
    }

    public static function of(FoldedModel $model, Difficulty $scale): self
    {
        $steps = [];
        foreach ($model->steps as $i => $step) {
            $steps[] = StepInsight::of($step, array_slice($model->steps, 0, $i), $scale);
        }
        $folds = array_filter(
            $steps,
            static fn (int $i): bool => ! $model->steps[$i]->step->kind->isForm(),
            ARRAY_FILTER_USE_KEY,
        );
        $scores = array_map(static fn (StepInsight $s): float => $s->score, $folds) ?: [0.0];
        $hard = [];
        foreach ($folds as $i => $insight) {
            if ($insight->level >= $scale->hardFrom || $insight->score === max($scores)) {
                $hard[] = $model->steps[$i]->step->number;
            }
        }
        [$teaches, $needs] = self::folds($model, $scale);
        $scissors =
            array_filter($model->steps, static fn (FoldedStep $s): bool => $s->step->kind === FoldKind::Cut) !== [];

        return new self(
            steps: $steps,
            hard: $hard,
            level: max([1, ...array_map(static fn (StepInsight $s): int => $s->level, $steps)]),
            teaches: $teaches,
            needs: $needs,
            scissors: $scissors,
        );
    }

    /** @return array{list<string>, list<string>} */
    private static function folds(FoldedModel $model, Difficulty $scale): array
    {
        $met = [];
        $needs = [];
        foreach ($model->steps as $step) {
            $kind = $step->step->kind;
            if (! $kind->isFold()) {
                continue;
            }
            foreach ($scale->buildsOn[$kind->value] ?? [] as $simpler) {
                if (! isset($met[$simpler])) {
                    $needs[$simpler] = true;
                }
            }
            $met[$kind->value] = true;
        }

        return [array_keys($met), array_keys($needs)];
    }
}
