<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Space\StepMotion;

/** The finished forms that a model asks for. */
final class Forms
{
    /** Why a form that a step asks for cannot be made of what was folded before; null when all can. */
    public static function objection(FoldedModel $model): ?string
    {
        foreach ($model->steps as $step) {
            $form = StepMotion::form($step);
            if (is_string($form)) {
                return sprintf('Line %d, step %d: %s.', $step->step->line, $step->step->number, ucfirst($form));
            }
        }

        return null;
    }
}
