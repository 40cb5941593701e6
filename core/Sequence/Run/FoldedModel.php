<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Run;

use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Sequence\Form\Form;
use Cathedra\Core\Sequence\Sequence;

/** A whole sequence, folded from one sheet. */
final readonly class FoldedModel
{
    /** @param  list<FoldedStep>  $steps */
    public function __construct(public Sequence $sequence, public FoldedState $start, public array $steps)
    {
    }

    /** The main piece when all is folded; parts that were attached are in attached(). */
    public function end(): FoldedState
    {
        $main = array_filter($this->steps, static fn (FoldedStep $s): bool => $s->step->part === null);
        $last = array_key_last($main);

        return $last === null ? $this->start : $main[$last]->after;
    }

    /** @return list<FoldedStep> the steps that put a part on the main piece */
    public function attachments(): array
    {
        return array_values(array_filter($this->steps, static fn (FoldedStep $s): bool => $s->attached !== null));
    }

    /**
     * Sizes of the finished form that is not flat, by the formulas of the last step that gives any (Space\FormSizes
     * measures them where the form is computed).
     *
     * @return array<string, float> width, depth, height in mm, volume in mm3; those that are known
     */
    public function measures(): array
    {
        return $this->form()?->measured($this->start->sheet->width, $this->start->sheet->height) ?? [];
    }

    /** The last form that has sizes. */
    public function form(): ?Form
    {
        return $this->formed()?->step->form;
    }

    /** The step that makes it. */
    public function formed(): ?FoldedStep
    {
        foreach (array_reverse($this->steps) as $step) {
            if ($step->step->form !== null && ($step->step->form->sizes !== [] || $step->step->form->shape !== null)) {
                return $step;
            }
        }

        return null;
    }
}
