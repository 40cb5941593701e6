<?php

declare(strict_types=1);

namespace App\Programme;

use App\Shelf\ModelFacts;
use Cathedra\Core\Pacing\StepLoad;

/** One model of a lesson. */
final readonly class ProgrammeItem
{
    /**
     * @param  array<string, string>  $ways
     * @param  float|null  $side  mm wanted; null: the largest the sheet gives
     * @param  int  $first  number of its first step in the lesson
     * @param  list<StepLoad>  $loads
     * @param  list<array{name: string, title: string, options: array<string, string>,
     *     option: string, first: int, last: int}>  $passages
     * @param  int  $times  how often it is folded
     * @param  array<int, int>  $own  seconds by step of the model, as the lead says
     * @param  array<int, bool>  $checkpoints  by step of the model: those that were put or taken away
     * @param  list<int>  $diagonals  its own steps that crease the flat square from corner to corner
     */
    public function __construct(
        public string $slug,
        public array $ways,
        public ?float $side,
        public int $first,
        public array $loads,
        public ModelFacts $facts,
        public array $passages,
        public array $diagonals,
        public int $times = 1,
        public array $own = [],
        public array $checkpoints = [],
    ) {
    }
}
