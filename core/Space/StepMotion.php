<?php

declare(strict_types=1);

namespace Cathedra\Core\Space;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Space\Form\OpenedForm;
use Cathedra\Core\Space\Form\ShapedForm;
use Cathedra\Core\Space\Form\Shapes;
use Cathedra\Core\Space\Mesh\Piece;

/**
 * A step as it moves: as one movement where that can be, else one movement after the other, as it was folded. Where no
 * way was found it is a still: it shows before and after, never a wrong way between.
 */
final readonly class StepMotion
{
    /** @param  list<Piece>  $pieces  none: a still */
    private function __construct(public int $step, public array $pieces)
    {
    }

    public static function of(FoldedStep $step): self
    {
        return new self($step->step->number, self::pieces($step) ?? []);
    }

    public function moves(): bool
    {
        return $this->pieces !== [];
    }

    /**
     * The finished form that a step makes, with its way where one is known: its last moment is the form.
     *
     * @return list<Piece>|string none where it is not told what form; or why it cannot be this one
     */
    public static function form(FoldedStep $step): array|string
    {
        /** @var \WeakMap<FoldedStep, list<Piece>|string>|null $known  pictures and motion ask for the same one */
        static $known = null;
        $known ??= new \WeakMap();

        return $known[$step] ??= self::made($step);
    }

    /** @return list<Piece>|string */
    private static function made(FoldedStep $step): array|string
    {
        $form = $step->step->form;
        if ($form === null || ! $form->isKnown()) {
            return [];
        }
        if ($form->shape !== null) {
            $shape = Shapes::of($form, $step->before);

            return $shape === null
                ? "the flat state is not the one that a {$form->shape->value} is made of"
                : ShapedForm::of($step->before, $shape);
        }
        $opened = OpenedForm::of($step->before, array_map(strval(...), $form->opens), $form->to);

        return $opened === null
            ? 'paper would part or pass through paper; open other steps, or less far'
            : [$opened];
    }

    /** @return list<Piece>|null */
    private static function pieces(FoldedStep $step): ?array
    {
        $stages = $step->stages;
        if ($stages === []) {
            $form = self::form($step);

            return is_array($form) && count($form[0]->at ?? []) > 1 ? $form : null;
        }
        if (count($stages) > 1 && ! self::isSame($step->before, $step->after)) {
            $whole = MotionBetween::simply($step->before, $step->after)
                ?? ($step->step->on === null ? null : MotionBetween::of($step->before, $step->after));
            if ($whole !== null) {
                return [$whole];
            }
        }
        $pieces = [];
        foreach ($stages as $stage) {
            $piece = $stage->isBack
                ? $pieces[count($pieces) - 1]->reversed()
                : MotionBetween::of($stage->from, $stage->to);
            if ($piece === null) {
                return count($stages) === 1 ? null : self::atOnce($step);
            }
            $pieces[] = $stage->isBack ? $piece : $piece->turnedBack($stage->turnedAbout);
        }

        return $pieces;
    }

    /** @return list<Piece>|null */
    private static function atOnce(FoldedStep $step): ?array
    {
        $whole = self::isSame($step->before, $step->after) ? null : MotionBetween::of($step->before, $step->after);

        return $whole === null ? null : [$whole];
    }

    /** Whether nothing lies elsewhere afterwards: the step only leaves creases. */
    private static function isSame(FoldedState $before, FoldedState $after): bool
    {
        $transition = Transition::between($before, $after);

        return $transition->isRigid() && $transition->slide->isNothing();
    }
}
