<?php

declare(strict_types=1);

namespace Cathedra\Core\Space;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Sequence\FoldedStep;

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

    /** @return list<Piece>|null */
    private static function pieces(FoldedStep $step): ?array
    {
        $stages = $step->stages;
        if ($stages === []) {
            $form = self::form($step);

            return $form === null ? null : [$form];
        }
        if (count($stages) > 1 && ! self::isSame($step->before, $step->after)) {
            $whole = Between::simply($step->before, $step->after)
                ?? ($step->step->on === null ? null : Between::of($step->before, $step->after));
            if ($whole !== null) {
                return [$whole];
            }
        }
        $pieces = [];
        foreach ($stages as $stage) {
            $piece = $stage->isBack ? $pieces[count($pieces) - 1]->reversed() : Between::of($stage->from, $stage->to);
            if ($piece === null) {
                return count($stages) === 1 ? null : self::atOnce($step);
            }
            $pieces[] = $stage->isBack ? $piece : $piece->turnedBack($stage->turnedAbout);
        }

        return $pieces;
    }

    /** A finished model opened along creases of earlier steps. */
    private static function form(FoldedStep $step): ?Piece
    {
        $form = $step->step->form;

        return $form === null || $form->opens === [] ? null : OpenedForm::of(
            $step->before,
            array_map(strval(...), $form->opens),
            $form->to,
        );
    }

    /** @return list<Piece>|null */
    private static function atOnce(FoldedStep $step): ?array
    {
        $whole = self::isSame($step->before, $step->after) ? null : Between::of($step->before, $step->after);

        return $whole === null ? null : [$whole];
    }

    /** Whether nothing lies elsewhere afterwards: the step only leaves creases. */
    private static function isSame(FoldedState $before, FoldedState $after): bool
    {
        $passage = Passage::between($before, $after);

        return $passage->isRigid() && $passage->slide->isNothing();
    }
}
