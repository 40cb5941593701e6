<?php

declare(strict_types=1);

namespace App\Paper;

use App\Support\JsonCommand;
use Cathedra\Core\Cutting\CutPlanner;
use Cathedra\Core\Cutting\CutRequest;

/** Reads stock and need as JSON from standard input and prints a cutting plan as JSON. Needs no database. */
final class CutPlanCommand extends JsonCommand
{
    protected $signature = 'cathedra:cut-plan';

    protected $description = 'Plan how to cut squares from sheets (JSON in, JSON out)';

    protected function answer(mixed $given): array
    {
        return CutPlanner::plan(CutRequest::fromArray($given), Work::command()->budget())->toArray();
    }
}
