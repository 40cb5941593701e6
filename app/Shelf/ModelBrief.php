<?php

declare(strict_types=1);

namespace App\Shelf;

use Cathedra\Core\Pacing\StepLoad;

/** What lists of lessons need of a model. */
final readonly class ModelBrief
{
    /**
     * @param  list<StepLoad>  $loads
     * @param  list<array{name: string, title: string, options: array<string, string>,
     *     option: string, first: int, last: int}>  $passages  that can be shown another way: the way
     *     taken, and its first and last step
     * @param  list<int>  $diagonals  steps that crease the flat square from corner to corner
     */
    public function __construct(
        public ModelFacts $facts,
        public array $loads,
        public array $passages,
        public array $diagonals,
    ) {
    }
}
