<?php

declare(strict_types=1);

namespace Cathedra\Core\Wording;

use Cathedra\Core\Insight\ModelInsight;
use Cathedra\Core\Rules\Difficulty;
use Cathedra\Core\Sequence\Alignment\Along;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Hands\Handling;
use Cathedra\Core\Sequence\Movement\ReverseMove;
use Cathedra\Core\Sequence\Run\FoldedModel;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * Says a whole model: besides what to do, why, where it stops, what is seen afterwards, and that a hard moment comes.
 * Everything is derived from the geometry and from what later steps use.
 */
final readonly class Teacher
{
    /** Folds that the paper itself ends: the flap's root or a locked layer holds them. */
    private const STOPS_ITSELF = [FoldKind::Squash, FoldKind::Petal, FoldKind::Swivel, FoldKind::RabbitEar];

    private function __construct(
        private FoldedModel $model,
        private ModelInsight $insight,
        private Difficulty $scale,
        private Phrasebook $words,
    ) {
    }

    /** @return list<SaidStep> one for each step */
    public static function of(
        FoldedModel $model,
        ModelInsight $insight,
        Difficulty $scale,
        Phrasebook $words,
    ): array {
        $self = new self($model, $insight, $scale, $words);

        return array_map($self->step(...), array_keys($model->steps));
    }

    private function step(int $i): SaidStep
    {
        $step = $this->model->steps[$i];
        $text = StepText::of($step, $this->words);

        return new SaidStep(
            name: $text->name,
            do: [...$this->takes($i), ...$text->motions],
            look: Look::of($this->model, $i, $this->words),
            because: $this->because($i),
            stop: $this->stop($i),
            warnAhead: $this->warnAhead($i),
            cautions: array_values(array_filter([
                $step->step->kind === FoldKind::Cut ? $this->words->say('teacher', 'scissors') : null,
                $step->step->caution,
            ])),
            saysWay: $text->saysWay,
            note: Note::of($step->step, $this->words),
        );
    }

    /** @return list<string> which piece of paper is taken up now, where it is another than in the step before */
    private function takes(int $i): array
    {
        $part = $this->model->steps[$i]->step->part;
        $before = ($this->model->steps[$i - 1] ?? null)?->step->part;
        if ($part === $before) {
            return [];
        }
        $of = $part === null ? null : ($this->model->sequence->parts[$part] ?? null);

        return [$of === null ? $this->words->say('steps', 'first-piece') : $this->words->say('steps', 'new-piece', [
            'part' => lcfirst($of->title),
            'side' => $of->sideUp->value,
        ])];
    }

    private function because(int $i): ?string
    {
        $kind = $this->model->steps[$i]->step->kind;
        $user = $kind === FoldKind::Crease ? $this->userOf($this->model->steps[$i]->step->number) : null;

        return match (true) {
            $user !== null => $this->words->say('teacher', 'guide', ['step' => $user]),
            $kind === FoldKind::TurnOver && $this->turnsForCreases($i) => $this->words->say('teacher', 'turn'),
            $this->isHard($i) => implode(' ', array_slice(Reasons::of(
                $this->insight->steps[$i],
                $this->scale,
                min($this->model->steps[$i]->after->sheet->width, $this->model->steps[$i]->after->sheet->height),
                $this->words,
            ), 0, 2)) ?: $this->words->say('teacher', 'hardest'),
            default => null,
        };
    }

    /** The first later step that folds along the creases of this one. */
    private function userOf(int $number): ?int
    {
        foreach ($this->insight->steps as $i => $later) {
            if (in_array($number, $later->guides, true)) {
                return $this->model->steps[$i]->step->number;
            }
        }

        return null;
    }

    /** Whether creases made before and after this turn are folded together later: mountains there, valleys here. */
    private function turnsForCreases(int $turn): bool
    {
        $number = $this->model->steps[$turn]->step->number;
        foreach ($this->insight->steps as $later) {
            if (
                $later->guides !== [] &&
                min($later->guides) < $number &&
                max($later->guides) > $number &&
                $later->creases > 1
            ) {
                return true;
            }
        }

        return false;
    }

    private function stop(int $i): ?string
    {
        $step = $this->model->steps[$i];
        $kind = $step->step->kind;

        return match (true) {
            in_array($kind, self::STOPS_ITSELF, true) => $this->words->say('teacher', 'stops-itself'),
            $step->step->free !== null => $this->words->say('teacher', 'free', [
                'from' => $step->step->free->from,
                'to' => $step->step->free->to,
                'usual' => $step->step->free->usual,
            ]),
            $kind === FoldKind::Tuck => $this->words->say('teacher', 'tuck'),
            $this->endsByEye($step) => $this->words->say('teacher', 'by-eye'),
            $this->isHard($i) && $kind === FoldKind::Collapse => $this->words->say('teacher', 'collapse'),
            default => null,
        };
    }

    /** Whether the line was chosen by its author and nothing on the paper shows it. */
    private function endsByEye(FoldedStep $step): bool
    {
        $movement = $step->step->movement;
        $alignment = $movement instanceof ReverseMove ? $movement->alignment : $step->step->alignment;
        $hands = $alignment instanceof Along ? Handling::of($step->actions[0]) : null;

        return $hands?->line !== null &&
            (new Places($step->actions[0]->state, $this->words, $step->called))->line($hands->line) === null;
    }

    private function warnAhead(int $i): ?string
    {
        $next = $this->model->steps[$i + 1] ?? null;

        return $next === null || ! $this->isHard($i + 1) || $this->isHard($i)
            ? null
            : $this->words->say(
                'teacher',
                $this->insight->steps[$i + 1]->level >= $this->scale->hardFrom ? 'ahead' : 'ahead-hardest',
                ['name' => StepText::of($next, $this->words)->name],
            );
    }

    private function isHard(int $i): bool
    {
        return in_array($this->model->steps[$i]->step->number, $this->insight->hard, true);
    }
}
