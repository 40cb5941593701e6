<?php

declare(strict_types=1);

namespace Cathedra\Core\Fault;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\Unfolding;
use Cathedra\Core\Folding\Reading\Stacks;
use Cathedra\Core\Folding\Sameness;
use Cathedra\Core\Rules\FaultTable;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\Run\FoldedStep;
use Cathedra\Core\Sequence\Run\Folder;
use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Wording\Look;
use Cathedra\Core\Wording\Phrasebook;

/**
 * What goes wrong at a step: the step is folded as somebody might do it instead, on the paper as it is then. What
 * cannot be folded, is the same paper, or has no one action that leads back drops out; the rest is ranked.
 */
final readonly class Faults
{
    /** Shown at a step, of all that are found. */
    public const MOST = 3;

    /** So many of the next steps are tried with the fault. */
    private const AHEAD = 3;

    /** A sheet with at most so many faces is hardly folded. */
    private const FEW = 4;

    /** From so many layers on one too many is easily taken. */
    private const THICK = 3;

    private function __construct(
        private Sequence $sequence,
        private FaultTable $table,
        private Phrasebook $words,
    ) {
    }

    /**
     * @param  int  $number  of the step
     * @return list<Fault> the likeliest first, one of each kind; MOST of them are shown
     *
     * @throws \Cathedra\Core\Sequence\BadSequence when the steps before it cannot be folded
     */
    public static function of(
        Sequence $sequence,
        int $number,
        FaultTable $table,
        Phrasebook $words,
        float $shortSide = 150.0,
    ): array {
        return (new self($sequence, $table, $words))->at(Folder::upTo($sequence, $number, $shortSide), $number);
    }

    /** @return list<Fault> */
    private function at(Folder $folder, int $number): array
    {
        $step = $this->sequence->steps[$number - 1] ?? null;
        if ($step === null) {
            return [];
        }
        $right = $folder->branch()->step($step);
        $best = [];
        foreach (Variants::of($right) as $variant) {
            $fault = $this->tried($folder->branch(), $right, $variant);
            if ($fault !== null && $fault->score >= $this->table->least &&
                $fault->score > ($best[$fault->kind->value]->score ?? 0.0)) {
                $best[$fault->kind->value] = $fault;
            }
        }
        // one that nobody can tell from the right one is no help beside others that can be told
        $told = array_filter($best, static fn (Fault $f): bool => $f->tells !== null || $f->seen !== null);
        $best = array_values($told === [] ? $best : $told);
        usort($best, static fn (Fault $a, Fault $b): int => $b->score <=> $a->score);

        return $best;
    }

    private function tried(Folder $branch, FoldedStep $right, Variant $variant): ?Fault
    {
        $kind = $variant->kind;
        $state = $right->before;
        try {
            foreach ($variant->steps as $step) {
                $done = $branch->step($step);
                $state = $done->after;
            }
        } catch (CathedraException) {
            return null;
        }
        if ($kind !== FaultKind::NotTurned && Sameness::difference($state, $right->after) === null) {
            return null;
        }
        $mend = $this->mend($right, $kind, $state);
        if ($mend === null) {
            return null;
        }
        [$stops, $goesOn] = $this->ahead($branch, $right->step->number);
        if ($kind === FaultKind::TooFar && $stops === null) {
            return null; // a little too far that harms nothing is no fault
        }
        $tells = $this->tells($right, $kind, $state);
        $seen = $this->seen($right->after, $state) ?? (isset($done) && Gap::isSeen($right, $done) ? 'front' : null);

        return new Fault(
            kind: $kind,
            state: $state,
            mend: $mend,
            seen: $seen,
            stops: $stops,
            goesOn: $goesOn,
            tells: $tells,
            score: $this->score(right: $right, kind: $kind, goesOn: $goesOn, tells: $tells, seen: $seen),
        );
    }

    /** Proved on the paper; null where no one action leads back. */
    private function mend(FoldedStep $right, FaultKind $kind, FoldedState $state): ?Mend
    {
        if ($kind === FaultKind::NotTurned) {
            return Mend::Turn;
        }
        if ($state === $right->before) {
            return $right->step->kind === FoldKind::Unfold ? Mend::Open : Mend::Finish; // the step itself is missing
        }
        foreach ($right->stages as $i => $stage) {
            if ($i > 0 && Sameness::difference($stage->from, $state) === null) {
                return $stage->isBack ? Mend::Open : Mend::Finish; // the rest of the step leads on from here
            }
        }
        try {
            $opened = Unfolding::of($state, $right->before, $state);
        } catch (CannotFold) {
            return null;
        }

        return match (true) {
            Sameness::difference($opened, $right->after) === null => Mend::Open,
            Sameness::difference($opened, $right->before) === null => Mend::Again,
            default => null,
        };
    }

    /**
     * The first of the next steps that the paper itself does not let be done with the fault, and whether all of them
     * can be done. Where only a name, a mark or a count of a step fails, hands may go on or not: neither is said.
     *
     * @return array{int|null, bool}
     */
    private function ahead(Folder $branch, int $number): array
    {
        $tried = 0;
        foreach (array_slice($this->sequence->steps, $number) as $next) {
            if (++$tried > self::AHEAD || $next->part !== $branch->part()) {
                break;
            }
            try {
                $branch->step($next);
            } catch (CathedraException $refused) {
                return [self::isByPaper($refused) ? $next->number : null, false];
            }
        }

        return [null, true];
    }

    private static function isByPaper(CathedraException $refused): bool
    {
        for ($cause = $refused; $cause !== null; $cause = $cause->getPrevious()) {
            if ($cause instanceof CannotFold) {
                return $cause->byPaper;
            }
        }

        return false;
    }

    /** The first thing that is to be seen of the right state and not of the other. */
    private function tells(FoldedStep $right, FaultKind $kind, FoldedState $state): ?string
    {
        $missing = array_diff(Look::ofState($right->after, $this->words), Look::ofState($state, $this->words));
        if ($kind === FaultKind::Plainly && self::liesBetween($right)) {
            return $this->words->say('looks', 'between');
        }

        return array_values($missing)[0] ?? null;
    }

    /** Whether what moved has paper that stayed over it and under it. */
    private static function liesBetween(FoldedStep $right): bool
    {
        $action = $right->actions[0] ?? null;
        if ($action === null) {
            return false;
        }
        foreach ($action->moving as $i => $part) {
            $onSheet = $right->before->placements[$action->faces[$i]]->inverse()->of($part->centroid());
            $face = $right->after->pattern->faceAt($onSheet, $right->after->tolerance->length);
            $place = $right->after->positionOf($onSheet);
            if ($face === null || $place === null) {
                continue;
            }
            $stack = Stacks::facesAt($right->after, $place);
            $at = array_search($face, $stack, true);
            if ($at !== false && $at > 0 && $at < count($stack) - 1) {
                return true;
            }
        }

        return false;
    }

    /** @return 'front'|'behind'|null */
    private function seen(FoldedState $right, FoldedState $state): ?string
    {
        $differs = static fn (FoldedState $a, FoldedState $b): bool => Patches::areSeen($a, $b)
            || Edges::areSeen($a, $b);
        if ($differs($right, $state)) {
            return 'front';
        }
        $about = $right->box()->centre();

        return $differs($right->turnedOver(about: $about), $state->turnedOver(about: $about)) ? 'behind' : null;
    }

    private function score(FoldedStep $right, FaultKind $kind, bool $goesOn, ?string $tells, ?string $seen): float
    {
        $f = $this->table->factors;
        $step = $right->step;
        $before = $this->sequence->steps[$step->number - 2] ?? null;
        $situation = match (true) {
            $kind === FaultKind::WrongSide && $before?->kind === FoldKind::TurnOver => $f['after-turning'],
            $kind === FaultKind::WrongSide && $right->before->faceCount() <= self::FEW => $f['few-layers'],
            $kind === FaultKind::LayerMore && self::layersThere($right) >= self::THICK => $f['thick'],
            $kind === FaultKind::GuideLeft && $step->also !== null => $f['guide-twice'],
            self::isInexact($kind) && $step->also !== null => $f['to-one-line'],
            $kind === FaultKind::LeftForRight => $f['mirror-alike'],
            $kind === FaultKind::QuarterTurned && ! $right->before->isFolded() => $f['held-across'],
            default => 1.0,
        };
        $visible = $seen !== null ? 1.0 : ($tells !== null ? $f['told'] : $f['untold']);

        return $this->table->weights[$kind->value] * $situation * ($goesOn ? $f['unnoticed'] : 1.0) * $visible;
    }

    private static function isInexact(FaultKind $kind): bool
    {
        return in_array($kind, [FaultKind::Short, FaultKind::TooFar, FaultKind::Unlike], true);
    }

    private static function layersThere(FoldedStep $right): int
    {
        $grip = $right->actions[0]->crease->grip ?? $right->before->box()->centre();

        return count(Stacks::facesAt($right->before, $grip->toward($right->before->box()->centre(), 0.02)));
    }
}
