<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Run;

use Cathedra\Core\CathedraException;
use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Compound\Tuck;
use Cathedra\Core\Folding\FoldedState;
use Cathedra\Core\Folding\Order\Unfolding;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Folding\SimpleFold;
use Cathedra\Core\Geometry\Point;
use Cathedra\Core\Geometry\Polygon;
use Cathedra\Core\Geometry\Segment;
use Cathedra\Core\Sequence\Alignment\Crease;
use Cathedra\Core\Sequence\Attach;
use Cathedra\Core\Sequence\Attached;
use Cathedra\Core\Sequence\BadSequence;
use Cathedra\Core\Sequence\FoldKind;
use Cathedra\Core\Sequence\FreeLength;
use Cathedra\Core\Sequence\Hands\Change;
use Cathedra\Core\Sequence\Hands\NewCreases;
use Cathedra\Core\Sequence\Landmark\Setting;
use Cathedra\Core\Sequence\PinchPlace;
use Cathedra\Core\Sequence\Sequence;
use Cathedra\Core\Sequence\Step;
use Cathedra\Core\Sequence\Ways\Beginnings;

/** Folds a sequence step by step, each piece from its own sheet. */
final class Folder
{
    private FoldedState $state;

    private Names $names;

    /** @var array<int, array{FoldedState, FoldedState}> before and after, by step number */
    private array $past = [];

    /**
     * @var array<string, list<Segment>> creases of a step done on both sides, by its name, each side apart
     */
    private array $sides = [];

    /** @var array<string, array{FoldedState, Names}> what lies aside, by part ('' for the main piece) */
    private array $aside = [];

    private string $part = '';

    /** @var list<Action> of the step at work */
    private array $actions = [];

    /** @var list<Stage> of the step at work */
    private array $stages = [];

    /** Whether places are named by the opposite direction: the model lies half a turn round from how it is written. */
    private bool $opposite = false;

    /** @var list<float> where the model lies turned over for what is done behind: x of the axes */
    private array $turnedAbout = [];

    private function __construct(private Sequence $sequence, Sheet $sheet, private readonly float $shortSide)
    {
        $this->state = FoldedState::flat($sheet, $sequence->sideUp);
        $this->names = new Names();
    }

    /**
     * @param  float  $shortSide  of the sheet, mm
     * @param  Beginnings|null  $known  how other ways of it began, and where this one is kept
     *
     * @throws BadSequence naming the line, the step and what stands in the way
     * @throws CannotFold when the sheet's size is out of bounds
     */
    public static function fold(Sequence $sequence, float $shortSide = 150.0, ?Beginnings $known = null): FoldedModel
    {
        $self = new self($sequence, $sequence->sheet($shortSide), $shortSide);

        return $self->run($self->state, $known);
    }

    /**
     * What stands before a step: the state and everything named so far. Later steps need not be right yet.
     *
     * @param  int  $number  of the step; one more than there are: the end
     *
     * @throws BadSequence when an earlier step cannot be done
     */
    public static function settingBefore(Sequence $sequence, int $number, float $shortSide = 150.0): Setting
    {
        $self = new self($sequence, $sequence->sheet($shortSide), $shortSide);
        foreach ($sequence->steps as $step) {
            if ($step->number >= $number) {
                $self->take($step->part ?? '');
                break;
            }
            $self->step($step);
        }

        return $self->setting();
    }

    /**
     * A folder who stands before a step, to go on from there, perhaps in another way.
     *
     * @throws BadSequence when an earlier step cannot be done
     */
    public static function upTo(Sequence $sequence, int $number, float $shortSide = 150.0): self
    {
        $self = new self($sequence, $sequence->sheet($shortSide), $shortSide);
        foreach ($sequence->steps as $step) {
            if ($step->number >= $number) {
                break;
            }
            $self->step($step);
        }

        return $self;
    }

    /** Another folder with the same paper, who may do something else from here on. */
    public function branch(): self
    {
        return clone $this;
    }

    /** The piece at work; null: the main one. */
    public function part(): ?string
    {
        return $this->part === '' ? null : $this->part;
    }

    private function run(FoldedState $start, ?Beginnings $known): FoldedModel
    {
        $sequence = $this->sequence;
        $keys = $known === null ? [] : Beginnings::of($sequence, $this->shortSide);
        [$self, $steps] = $known?->longest($keys) ?? [$this, []];
        $self->sequence = $sequence;
        foreach (array_slice($sequence->steps, count($steps), null, true) as $i => $step) {
            $steps[] = $self->step($step);
            $known?->keep($keys[$i], $self, $steps);
        }
        $self->take('');
        $end = $self->setting();
        foreach ($sequence->goals as $goal) {
            $goal->check($steps, $end);
        }

        return new FoldedModel($sequence, $start, $steps);
    }

    /** @throws BadSequence naming the line, the step and what stands in the way */
    public function step(Step $step): FoldedStep
    {
        $this->actions = [];
        $this->stages = [];
        $this->sides = [];
        try {
            $this->take($step->part ?? '');
            $before = $this->state;
            $called = $this->names->called;
            $range = $step->free === null ? [] : $this->range($step->free);
            $this->do($step, false);
            $this->remember($step, $before);
            $attached = $step->attach === null ? null : $this->attached($step->attach);
        } catch (CathedraException $e) {
            $place = $e instanceof CannotFold ? $e->place : null;
            throw $e instanceof BadSequence
                ? $e
                : new BadSequence(
                    atLine: $step->line,
                    step: $step->number,
                    reason: $e->getMessage(),
                    place: $place,
                    previous: $e,
                );
        }

        return new FoldedStep(
            step: $step,
            before: $before,
            after: $this->state,
            actions: $this->actions,
            called: $called,
            attached: $attached,
            stages: $this->stages,
            range: $range,
        );
    }

    /**
     * What a length chosen by eye makes at both ends of its range; each must be possible.
     *
     * @return list<Action>
     */
    private function range(FreeLength $free): array
    {
        $actions = [];
        foreach (array_combine([$free->from, $free->to], $free->ends) as $share => $end) {
            $other = $this->branch();
            try {
                $other->do($end, false);
            } catch (CannotFold $e) {
                throw $e->with("As far as $share, where the length chosen by eye ends, it cannot be done: ");
            }
            array_push($actions, ...$other->actions);
        }

        return $actions;
    }

    /** Puts the piece at work aside and takes up another; a part begins with its flat sheet. */
    private function take(string $part): void
    {
        if ($part === $this->part) {
            return;
        }
        $this->aside[$this->part] = [$this->state, $this->names];
        $spec = $this->sequence->parts[$part] ?? null;
        if (! isset($this->aside[$part]) && $spec !== null) {
            $this->aside[$part] = [
                FoldedState::flat($this->sequence->partSheet($spec, $this->shortSide), $spec->sideUp),
                new Names(),
            ];
        }
        [$this->state, $this->names] = $this->aside[$part];
        $this->part = $part;
    }

    /** The part as it lies on the main piece. */
    private function attached(Attach $attach): Attached
    {
        [$part, $names] =
            $this->aside[$attach->part]
            ?? throw CannotFold::notFound("The part \"{$attach->part}\" is not folded yet.");
        $at = $attach->at->locate($this->setting());
        $turned = $part->rotated($attach->turn);
        $setting = new Setting($turned, $names->marks, $names->creases, false);
        $hold = $attach->hold?->locate($setting) ?? $turned->box()->centre();

        return new Attached($turned->shifted($at->minus($hold)), $at);
    }

    private function setting(bool $mirrored = false, ?FoldedState $seen = null, bool $flipped = false): Setting
    {
        return new Setting(
            state: $this->state,
            marks: $this->names->marks,
            creases: $this->names->creases,
            mirrored: $mirrored,
            seen: $seen,
            flipped: $flipped,
            opposite: $this->opposite,
        );
    }

    private function do(Step $step, bool $mirrored): void
    {
        if ($step->kind->isForm() || $step->kind === FoldKind::Attach) {
            $this->past[$step->number] = [$this->state, $this->state];
            $this->measure($step);

            return;
        }
        $before = $this->state;
        match ($step->kind) {
            FoldKind::Repeat => $this->repeat($step),
            FoldKind::TurnOver => $this->turn($step, $this->state->turnedOver($step->upright)),
            FoldKind::Rotate => $this->rotate($step, $mirrored),
            FoldKind::Unfold => $this->unfold($step),
            default => $this->bothSides($step, $mirrored),
        };
        $this->past[$step->number] = [$before, $this->state];
    }

    /** A formula that gives no size for this sheet is found now, not when somebody asks. */
    private function measure(Step $step): void
    {
        try {
            $step->form?->measured($this->state->sheet->width, $this->state->sheet->height);
            $objection = $step->form?->objection($this->state);
        } catch (\InvalidArgumentException $e) {
            throw CannotFold::notFound('For this sheet '.$e->getMessage().'.');
        }
        if ($objection !== null) {
            throw CannotFold::notFound('The sizes are not those of the folds: '.$objection.'.');
        }
    }

    private function bothSides(Step $step, bool $mirrored): void
    {
        $before = $this->state;
        $this->once($step, $mirrored, false);
        if ($step->also === null) {
            return;
        }
        if ($step->name !== null) {
            $this->sides[$step->name] = NewCreases::between($before, $this->state);
        }
        [$first, $before] = [$before, $this->state];
        try {
            match ($step->also) {
                'mirrored' => $this->once($step, ! $mirrored, false, $first),
                'opposite' => $this->once(
                    step: $step,
                    mirrored: $mirrored,
                    behind: false,
                    first: $first,
                    flipped: true,
                ),
                default => $this->behind(
                    fn () => $this->once($step, ! $mirrored, true, self::behindOf($first, $before)),
                ),
            };
        } catch (CannotFold $e) {
            throw CannotFold::onTheOtherHalf($e);
        }
        $this->bothSidesDiffer();
        if ($step->name !== null) {
            $this->sides["{$step->name}-other"] = NewCreases::between($before, $this->state);
        }
    }

    /** A crease that is its own mirror image is done once; asking for its other side is a slip. */
    private function bothSidesDiffer(): void
    {
        [$one, $other] = array_slice($this->actions, -2) + [null, null];
        if (
            $one?->crease !== null &&
            $other?->crease !== null &&
            ! $other->behind &&
            $one->crease->landing->distanceTo($other->crease->landing) +
                $one->crease->grip->distanceTo($other->crease->grip) <
                $this->state->tolerance->meeting
        ) {
            throw CannotFold::notFound(
                'The same crease would be made twice: this fold is its own mirror image. Say "also: opposite side" '
                    .'when top and bottom are meant.',
                $one->crease->grip,
            );
        }
    }

    /** What was seen first, turned over about the same upright axis as the state that is worked on now. */
    private static function behindOf(FoldedState $first, FoldedState $now): FoldedState
    {
        return $first->turnedOver()->shifted(new Point(2 * ($now->box()->centre()->x - $first->box()->centre()->x), 0));
    }

    /**
     * @param  FoldedState|null  $first  the state before the step when this is its other side: both sides go by the
     *     same landmarks
     */
    private function once(
        Step $step,
        bool $mirrored,
        bool $behind,
        ?FoldedState $first = null,
        bool $flipped = false,
    ): void {
        if ($step->movement === null) {
            $this->crease(step: $step, mirrored: $mirrored, behind: $behind, first: $first, flipped: $flipped);

            return;
        }
        $before = $this->state;
        $made = $step->movement->make(
            $this->setting($mirrored, $first, $flipped),
            $step->label(),
        );
        $change = Change::between($before, $made->after);
        $this->actions[] = new Action(
            kind: $step->kind,
            state: $before,
            crease: null,
            valley: true,
            moving: $change->moving,
            faces: $change->faces,
            behind: $behind,
            mirrored: $mirrored,
            change: $change,
            grip: $made->grip,
            landing: $made->landing,
            line: $made->line,
            cuts: $made->cuts,
            movement: $step->movement,
            taken: $made->taken,
        );
        $this->go(...$made->between, ...[$made->after]);
    }

    private function crease(Step $step, bool $mirrored, bool $behind, ?FoldedState $first, bool $flipped): void
    {
        $setting = $this->setting($mirrored, $first, $flipped);
        $crease = ($step->alignment ?? throw new \LogicException('A crease has an alignment.'))->locate($setting);
        $faces = $step->layers->choose($setting, $crease);
        $valley = $step->kind === FoldKind::Mountain ? false : $step->creaseAsValley;
        $pinch = $step->pinchAt === null
            ? null
            : PinchPlace::on($this->state, $crease->line, $step->pinchAt->locate($setting));
        $moving = array_map(fn (int $face): Polygon => $this->state->polygons[$face]->clippedBy($crease->line), $faces);
        $this->actions[] = new Action(
            kind: $step->kind,
            state: $this->state,
            crease: $crease,
            valley: $valley,
            moving: $moving,
            faces: $faces,
            behind: $behind,
            mirrored: $mirrored,
            pinch: $pinch,
        );
        $creased = $step->kind->isUnfoldedAgain()
            ? SimpleFold::crease(
                state: $this->state,
                line: $crease->line,
                valley: $valley,
                moving: $faces,
                origin: $step->label(),
            )
            : null;
        $after = match (true) {
            $pinch !== null => $this->state->pinched($pinch, $faces, $step->label()),
            $creased !== null => $creased,
            $step->kind === FoldKind::Tuck => Tuck::apply(
                state: $this->state,
                line: $crease->line,
                flap: $faces,
                valley: $valley,
                under: $step->landing->under,
                origin: $step->label(),
            ),
            default => SimpleFold::apply(
                state: $this->state,
                line: $crease->line,
                valley: $valley,
                moving: $faces,
                origin: $step->label(),
                landing: $step->landing,
            ),
        };
        if ($step->kind->isUnfoldedAgain()) {
            $this->thereAndBack(
                SimpleFold::apply(
                    state: $this->state,
                    line: $crease->line,
                    valley: $valley,
                    moving: $faces,
                    origin: $step->label(),
                ),
                $after,
            );
        } else {
            $this->go($after);
        }
    }

    /** One movement after the other, each from a flat state to the next. */
    private function go(FoldedState ...$states): void
    {
        foreach ($states as $state) {
            $this->stages[] = new Stage($this->state, $state, $this->turnedAbout);
            $this->state = $state;
        }
    }

    private function thereAndBack(FoldedState $there, FoldedState $back): void
    {
        $this->stages[] = new Stage($this->state, $there, $this->turnedAbout);
        $this->stages[] = new Stage($there, $back, $this->turnedAbout, true);
        $this->state = $back;
    }

    private function turn(Step $step, FoldedState $turned): void
    {
        $this->actions[] = Action::ofTheWhole($step->kind, $this->state);
        $this->go($turned);
    }

    private function rotate(Step $step, bool $mirrored): void
    {
        $this->turn($step, $this->state->rotated($mirrored ? -$step->turn : $step->turn));
        $this->opposite = $this->opposite !== $step->opposite;
    }

    private function unfold(Step $step): void
    {
        $this->samePiece($step, $step->steps[0]);
        [$before, $after] = $this->past[$step->steps[0]];
        $this->actions[] = Action::ofTheWhole($step->kind, $this->state);
        $this->go(Unfolding::of($this->state, $before, $after));
    }

    /**
     * What is repeated behind is done with the model turned over about the upright axis: left and right change places.
     */
    private function repeat(Step $step): void
    {
        $all = function (bool $mirrored) use ($step): void {
            foreach ($step->steps as $number) {
                $again = $this->sequence->steps[$number - 1];
                $this->samePiece($step, $number);
                if ($again->kind === FoldKind::Repeat) {
                    throw CannotFold::notFound("Step $number is itself a repetition; name the steps it repeats.");
                }
                $before = $this->state;
                $this->do($again, $mirrored);
                $this->nameCreases($again, $before);
            }
        };
        $named = $this->names;
        $first = count($this->actions);
        $step->on === 'behind' ? $this->behind(fn () => $all(true)) : $all($step->on === 'mirrored');
        // outside the repetition the names stand for the first creases
        $this->names = $this->names->withCreasesOf($named);
        if ($step->on === 'behind') {
            $behind = array_map(static fn (Action $a): Action => $a->asBehind(), array_slice($this->actions, $first));
            $this->actions = [...array_slice($this->actions, 0, $first), ...$behind];
        }
    }

    private function samePiece(Step $step, int $number): void
    {
        if ($this->sequence->steps[$number - 1]->part !== $step->part) {
            throw CannotFold::notFound("Step $number belongs to another piece of paper.");
        }
    }

    private function behind(callable $do): void
    {
        // about one axis both times: what is done behind leaves the model where it lies
        $axis = $this->state->box()->centre();
        $this->state = $this->state->turnedOver(about: $axis);
        $this->turnedAbout[] = $axis->x;
        $do();
        array_pop($this->turnedAbout);
        $this->state = $this->state->turnedOver(about: $axis);
    }

    private function remember(Step $step, FoldedState $before): void
    {
        $this->nameCreases($step, $before);
        $this->names = $this->names->withPoints($step, $this->setting());
    }

    private function nameCreases(Step $step, FoldedState $before): void
    {
        $this->names = $this->names->withCreases($step, $before, $this->state, $this->sides);
        $this->sides = [];
    }
}
