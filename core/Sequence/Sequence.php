<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence;

use Cathedra\Core\Folding\CannotFold;
use Cathedra\Core\Folding\Sheet;
use Cathedra\Core\Folding\Side;

/** A model: what is said about it, and its steps. The sheet is given by proportion; sizes come with the sheet. */
final readonly class Sequence
{
    /**
     * @param  string  $slug  the library name, small letters and hyphens
     * @param  float  $ratio  sheet height over width; 1 for a square
     * @param  int  $ageFrom  advice, years
     * @param  int  $difficulty  1 (first fold ever) to 5, advice by the author of the sequence
     * @param  list<int>  $resting  steps after which the model may lie until another day
     * @param  list<int>  $checkpoints  steps after which all should be caught up
     * @param  list<string>  $cautions
     * @param  list<Step>  $steps
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
    ) {
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
        return $this->ratio >= 1 ? Sheet::of($shortSide, $shortSide * $this->ratio) : Sheet::of($shortSide / $this->ratio, $shortSide);
    }
}
