<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Reading\Anatomy;
use Cathedra\Core\Folding\Reading\Direction;
use Cathedra\Core\Folding\Reading\OutlineName;
use Cathedra\Core\Folding\Reading\Pockets;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\Run\FoldedStep;

/**
 * A fact about the end of a model that makes it what its name promises: two points up, a beak, a pocket that opens at
 * the top. A model whose end lacks one is refused; docs/fold-sequence.md lists the facts.
 */
final readonly class Goal
{
    /** Kinds of facts, as a sequence writes them. */
    public const FACTS = ['shape', 'loose', 'open', 'closed', 'pocket', 'shows', 'symmetric', 'bent', 'higher', 'form'];

    /** Shares of colour nearer to all or nothing than this count as all or nothing. */
    private const HARDLY = 0.01;

    /**
     * @param  string  $fact  of FACTS
     * @param  int  $line  of the file
     * @param  OutlineName|null  $shape  of the outline
     * @param  Direction|null  $at  of a corner or edge
     * @param  int  $count  of loose points
     * @param  'front'|'back'|'both'|null  $shows
     * @param  list<PointRef>  $points  bent: tip, bend, root; higher: the upper, the lower
     * @param  float  $least  degrees by which a tip is bent off the way from root to bend
     * @param  FoldKind|null  $form  of a step that takes it out of the plane
     */
    public function __construct(
        public string $fact,
        public int $line,
        public ?OutlineName $shape = null,
        public ?Direction $at = null,
        public int $count = 0,
        public ?string $shows = null,
        public array $points = [],
        public float $least = 0.0,
        public ?FoldKind $form = null,
    ) {
    }

    /**
     * @param  list<FoldedStep>  $steps
     * @param  Setting  $end  where its points are looked for
     *
     * @throws BadSequence saying what is there instead, when it does not hold
     */
    public function check(array $steps, Setting $end): void
    {
        try {
            $fault = $this->fault($steps, $end);
        } catch (CannotFold $e) {
            $fault = $e->getMessage();
        }
        if ($fault !== null) {
            throw new BadSequence(
                $this->line,
                count($steps),
                "The goal \"{$this->fact}\" does not hold: $fault Mend the steps, or the goal.",
            );
        }
    }

    /** @param  list<FoldedStep>  $steps */
    private function fault(array $steps, Setting $end): ?string
    {
        $anatomy = Anatomy::of($end->state);

        return match ($this->fact) {
            'shape' => $anatomy->shape() === $this->shape ? null : "the outline is {$anatomy->shape()->value}.",
            'loose' => $this->loose($anatomy),
            'open', 'closed' => $this->edge($anatomy),
            'pocket' => in_array($this->at, Pockets::of($end->state, $anatomy->stacks()), true)
                ? null
                : "no pocket opens at the {$this->at?->value}.",
            'shows' => self::shown($anatomy) === $this->shows ? null : 'it shows '.self::shown($anatomy).'.',
            'symmetric' => $anatomy->isSymmetric() ? null : 'left and right differ.',
            'bent' => $this->bent($end),
            'higher' => $this->higher($end),
            default => array_filter($steps, fn (FoldedStep $s): bool => $s->step->kind === $this->form) !== []
                ? null
                : "no step says {$this->form?->value}.",
        };
    }

    private function loose(Anatomy $anatomy): ?string
    {
        foreach (array_keys($anatomy->outline->corners) as $corner) {
            if ($anatomy->compass->nameOfCorner($corner) === $this->at) {
                $count = $anatomy->cornerAt($corner)['loose'];

                return $count === $this->count ? null : "there are $count loose points at the {$this->at?->value}.";
            }
        }

        return "there is no corner at the {$this->at?->value}.";
    }

    private function edge(Anatomy $anatomy): ?string
    {
        foreach (array_keys($anatomy->outline->sides()) as $side) {
            if ($anatomy->compass->nameOfSide($side) === $this->at) {
                $kind = $anatomy->sideKind($side);

                return $kind === $this->fact ? null : "the {$this->at?->value} edge is $kind.";
            }
        }

        return "there is no edge at the {$this->at?->value}.";
    }

    private static function shown(Anatomy $anatomy): string
    {
        $share = $anatomy->frontShare();

        return match (true) {
            $share > 1 - self::HARDLY => 'front',
            $share < self::HARDLY => 'back',
            default => 'both',
        };
    }

    private function bent(Setting $end): ?string
    {
        [$tip, $bend, $root] = array_map(static fn (PointRef $p) => $p->locate($end), $this->points);
        $along = $bend->minus($root)->unit();
        $out = $tip->minus($bend)->unit();
        $degrees = rad2deg(acos(max(-1.0, min(1.0, $along->dot($out)))));

        return $degrees >= $this->least ? null : sprintf('it is bent by %.0f degrees only.', $degrees);
    }

    private function higher(Setting $end): ?string
    {
        [$upper, $lower] = array_map(static fn (PointRef $p) => $p->locate($end), $this->points);

        return $upper->y > $lower->y + $end->state->tolerance->aside
            ? null
            : sprintf('the first point is %.1f mm below the second.', $lower->y - $upper->y);
    }
}
