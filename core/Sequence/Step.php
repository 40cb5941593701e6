<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\Landing;
use Cathedra\Core\Sequence\Alignment\Alignment;
use Cathedra\Core\Sequence\Form\Form;
use Cathedra\Core\Sequence\Landmark\PointRef;
use Cathedra\Core\Sequence\Movement\Movement;

/** One step of a sequence as written. */
final readonly class Step
{
    /**
     * @param  int  $number  counted from 1
     * @param  int  $line  of the file, counted from 1
     * @param  Alignment|null  $alignment  for the kinds that crease
     * @param  bool  $creaseAsValley  for kind crease: folded toward the folder before it is unfolded
     * @param  'mirrored'|'behind'|'opposite'|null  $also  the same again, on the other side (left and right exchanged),
     *     behind, or at the opposite side (top and bottom exchanged)
     * @param  string|null  $name  a name for the crease, besides the step's number
     * @param  array<string, PointRef>  $marks  points to remember, found after the step
     * @param  string|null  $note  a lead's own words
     * @param  list<int>  $steps  for unfold and repeat: the steps meant
     * @param  float  $turn  for rotate: radians counterclockwise
     * @param  bool  $upright  for turn-over: about the upright axis (else the level one)
     * @param  'mirrored'|'behind'|'here'|null  $on  for repeat: where; here: on what lies in that place now
     * @param  Movement|null  $movement  for the kinds that fold several creases at once, and cuts
     * @param  string|null  $part  the second part it belongs to; null: the main piece
     * @param  Form|null  $form  for the kinds that end not flat
     * @param  Attach|null  $attach  for attach
     * @param  string|null  $like  what the model looks like afterwards, "a boat"
     * @param  string|null  $caution  that belongs to this step
     * @param  array<string, PointRef|null>  $call  names of parts from here on, found after the step; null ends one
     * @param  FreeLength|null  $free  a length of it that is chosen by eye
     * @param  PointRef|null  $pinchAt  for pinch-mark: the place on the crease that is pressed
     * @param  bool  $opposite  for rotate: from here on places are named by the opposite direction, or as seen again
     */
    public function __construct(
        public int $number,
        public int $line,
        public FoldKind $kind,
        public ?Alignment $alignment,
        public Layers $layers,
        public Landing $landing,
        public bool $creaseAsValley,
        public ?string $also,
        public ?string $name,
        public array $marks,
        public ?string $note,
        public array $steps,
        public float $turn,
        public bool $upright,
        public ?string $on,
        public ?Movement $movement = null,
        public ?string $part = null,
        public ?Form $form = null,
        public ?Attach $attach = null,
        public ?string $like = null,
        public ?string $caution = null,
        public array $call = [],
        public ?FreeLength $free = null,
        public ?PointRef $pinchAt = null,
        public bool $opposite = false,
    ) {
    }

    /**
     * The same step with some of its properties changed; a length chosen by eye is the usual one then.
     *
     * @param  array<string, mixed>  $changes  by property; a misspelt one is an error, not a step without it
     */
    public function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), 'free' => null, ...$changes]);
    }

    public function label(): string
    {
        return (string) $this->number;
    }
}
