<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Reading\Side;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Sequence\Ways\Passage;

/** A model: what is said about it, and its steps. The sheet is given by proportion; sizes come with the sheet. */
final readonly class Sequence
{
    public const DOES = ['flap', 'fly', 'spin', 'puff', 'hold', 'stand', 'float', 'snap', 'grip', 'jump', 'climb'];

    /** What a model is folded for, or goes with. */
    public const OCCASIONS = [
        'spring', 'summer', 'autumn', 'winter', 'wish', 'thanks', 'party', 'animals', 'sea', 'play', 'home',
    ];

    /**
     * @param  string  $slug  the library name, small letters and hyphens
     * @param  float  $ratio  sheet height over width; 1 for a square
     * @param  int  $ageFrom  advice, years
     * @param  int  $difficulty  1 (first fold ever) to 5, advice by the author of the sequence
     * @param  list<int>  $resting  steps after which the model may lie until another day
     * @param  list<int>  $checkpoints  steps after which all should be caught up
     * @param  list<string>  $cautions
     * @param  list<Step>  $steps
     * @param  array<string, Part>  $parts  second pieces, by name
     * @param  array<string, Passage>  $passages  places where the lead chooses, with the way taken here
     * @param  list<string>  $talk  what there is to talk about: geometry, nature, culture
     * @param  list<string>  $decorate  hints
     * @param  list<string>  $display  hints
     * @param  list<string>  $does  what it can do when it is finished, of DOES; that sets how large and how stiff the
     *     paper must be
     * @param  list<string>  $occasions  what it is folded for, of OCCASIONS
     * @param  list<Goal>  $goals  what makes the end what the name promises
     * @param  list<string>  $play  how it is used when it is finished, by the ways taken here
     * @param  int|null  $shown  the step after which it is shown in lists: the most telling flat state of a model that
     *     is opened at the end; null: the end
     */
    public function __construct(
        public string $slug,
        public string $title,
        public string $about,
        public float $ratio,
        public Side $sideUp,
        public int $ageFrom,
        public int $difficulty,
        public array $resting,
        public array $checkpoints,
        public array $cautions,
        public array $steps,
        public array $parts = [],
        public array $passages = [],
        public array $talk = [],
        public array $decorate = [],
        public array $display = [],
        public array $does = [],
        public array $occasions = [],
        public array $goals = [],
        public ?int $shown = null,
        public array $play = [],
    ) {
    }

    /**
     * The same steps for a sheet of other proportions that lies the same way: upright or across.
     *
     * @param  float  $long  mm, as $short
     */
    public function onSheet(float $short, float $long): self
    {
        $ratio = $this->ratio >= 1 ? $long / $short : $short / $long;

        return new self(...['ratio' => $ratio] + get_object_vars($this));
    }

    /**
     * The sheet with this shorter side.
     *
     * @param  float  $shortSide  mm
     *
     * @throws CannotFold when the size is out of bounds
     */
    public function sheet(float $shortSide): Sheet
    {
        return $this->ratio >= 1
            ? Sheet::of($shortSide, $shortSide * $this->ratio)
            : Sheet::of($shortSide / $this->ratio, $shortSide);
    }

    /**
     * The sheet of a second part, when the main sheet has this shorter side (mm).
     *
     * @throws CannotFold when the size is out of bounds
     */
    public function partSheet(Part $part, float $shortSide): Sheet
    {
        $side = $shortSide * $part->scale;

        return $part->ratio >= 1 ? Sheet::of($side, $side * $part->ratio) : Sheet::of($side / $part->ratio, $side);
    }
}
