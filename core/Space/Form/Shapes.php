<?php

declare(strict_types=1);

namespace Cathedra\Core\Space\Form;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Sequence\Form\Form;
use Cathedra\Core\Sequence\Form\FormShape as Name;

/** The shape that a form step asks for. */
final class Shapes
{
    /** Null where none is asked for, or the flat state is not the one it is made of. */
    public static function of(Form $form, FoldedState $flat): ?FormByFormula
    {
        return match ($form->shape) {
            null => null,
            Name::CornerBox => CornerBox::of($flat),
            Name::StripBox => StripBox::of($flat),
            Name::Beaks => Beaks::of($flat),
            Name::Fan => SpreadFan::of($flat, $form->to),
            Name::CornerPyramid => CornerPyramid::of($flat),
            Name::LeafPyramid => LeafPyramid::of($flat),
            Name::BlownCube => BlownCube::of($flat),
            Name::DrawnBoat => DrawnBoat::of($flat),
            Name::Curl => Curl::of($flat, $form->curls ?? 'bottom'),
        };
    }
}
