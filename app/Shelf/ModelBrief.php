<?php

declare(strict_types=1);

namespace App\Shelf;

use Cathedra\Core\Pacing\StepLoad;

/** What lists of lessons need of a model. */
final readonly class ModelBrief
{
    /** @param  list<StepLoad>  $loads */
    public function __construct(public ModelFacts $facts, public array $loads)
    {
    }
}
