<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Sequence\Run\FoldedModel;

/**
 * Sizes of a finished form that is not flat: measured on the computed form where there is one, else by the author's
 * formulas. The volume is that of its solid.
 */
final class FormSizes
{
    /** @return array<string, float> width, depth, height, slope in mm, volume in mm3; those that are known */
    public static function of(FoldedModel $model): array
    {
        $sizes = $model->measures();
        $step = $model->formed();
        $form = $step?->step->form;
        if ($step === null || $form === null || $form->shape === null) {
            return $sizes;
        }
        $measured = Shapes::of($form, $step->before)?->sizes() ?? [];
        $known = $sizes === [] ? $measured : array_intersect_key($measured, $sizes) + $sizes;
        $solid = $form->solid;
        if ($solid !== null && array_diff($solid->lengths(), array_keys($known)) === []) {
            $known['volume'] = $solid->volume($known);
        }

        return $known;
    }
}
